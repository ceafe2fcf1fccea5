import { z } from 'zod'
import { holdThat } from '../../balance/index.ts'
import type { Need } from '../../brief/index.ts'
import { capabilities, type Capability, type Part } from '../../catalogue/index.ts'
import { defineCheck } from '../check.ts'
import { givers, lotOfParts, type Sees } from '../../facts/index.ts'

/** Needs that a rule of their own speaks up for. */
const HAS_A_RULE: ReadonlySet<string> = new Set(['tether'])

const screens = lotOfParts(({ optics }) => optics?.kind === 'screen')

/** What gives something and sits on the rig in another of its set-ups. */
const givenElsewhere = ({ assembly: { rig, setup }, context }: Sees, capability: Capability): Part | undefined => {
  for (const { id, partId } of rig.kit) {
    const part = context.catalogue.parts.get(partId)
    if (
      part?.provides.includes(capability) &&
      rig.setups.some((other) => other.id !== setup.id && other.joints.some(({ guest }) => guest === id))
    )
      return part
  }
  return undefined
}

/** Something the brief asks for that nothing on the rig gives. */
export const needUnmet = defineCheck<Need, object, 'needs' | 'unmet'>({
  id: 'need-unmet',
  family: 'need',
  title: 'The brief asks for it, nothing gives it',
  why: 'It is missed on the first shot, far from any shop.',
  level: 'risk',
  source: 'The brief: shoot kind, conditions and the operator’s own wishes.',
  options: z.object({}),
  defaults: {},
  needs: ['needs', 'unmet'],
  messages: {
    speaks: {
      unmet: 'Nothing gives {need}. Wanted because: {reason}.',
      elsewhere: 'Without {need} in this set-up. {part} gives it in another.',
    },
    silent: { met: '{part} gives {need}.' },
    cannotTell: {},
  },
  // Whether a monitor that is on can be read in the sun is told with its number elsewhere.
  subjects: (facts) =>
    facts.needs.filter(
      ({ capability }) => !HAS_A_RULE.has(capability) && !(capability === 'sun-view' && screens(facts).length > 0),
    ),
  judge: (need, facts) => {
    const { assembly, unmet } = facts
    const key = need.capability
    const names = { need: capabilities[need.capability].title, reason: need.because.reason }
    if (unmet.includes(need)) {
      const other = givenElsewhere(facts, need.capability)
      return other
        ? {
            group: 'speaks',
            message: 'elsewhere',
            level: 'hint',
            names: { ...names, part: other.name },
            key,
            station: capabilities[need.capability].station,
          }
        : { group: 'speaks', message: 'unmet', names, key, station: capabilities[need.capability].station }
    }
    const giver =
      givers(facts).find((piece) => piece.part.provides.includes(need.capability)) ??
      holdThat(assembly, need.capability)?.piece
    return {
      group: 'silent',
      message: 'met',
      names: { ...names, part: giver?.part.name ?? '' },
      key,
      station: capabilities[need.capability].station,
    }
  },
})
