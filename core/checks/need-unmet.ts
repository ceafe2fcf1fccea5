import { z } from 'zod'
import type { Need } from '../brief/index.ts'
import { capabilities, type Part } from '../catalogue/index.ts'
import { defineCheck } from './check.ts'
import { addRemedy, byReadiness, eachOf, firstOf, spareOwned } from './places.ts'

const MOST_TRIED = 12

/** Something the brief asks for that nothing on the rig gives. */
export const needUnmet = defineCheck<Need, object>({
  id: 'need-unmet',
  title: 'The brief asks for it, nothing gives it',
  why: 'It is missed on the first shot, far from any shop.',
  level: 'risk',
  source: 'The brief: shoot kind, conditions and the operator’s own wishes.',
  options: z.object({}),
  defaults: {},
  needs: ['needs', 'unmet'],
  messages: {
    speaks: { unmet: 'Nothing gives {need}. Wanted because: {reason}.' },
    silent: { met: '{part} gives {need}.' },
    cannotTell: {},
  },
  subjects: ({ needs }) => needs,
  judge: (need, { assembly, unmet }) => {
    const names = { need: capabilities[need.capability].title, reason: need.because.reason, capability: need.capability }
    if (unmet.includes(need)) return { group: 'speaks', message: 'unmet', names }
    const giver = assembly.placed.find((piece) => piece.part.provides.includes(need.capability))
    return { group: 'silent', message: 'met', names: { ...names, part: giver?.part.name ?? '' } }
  },
  remedies: (need, facts) => {
    const givers = [...facts.shelf.catalogue.parts.values()].filter(
      (part: Part) => part.role !== 'camera' && part.provides.includes(need.capability),
    )
    const sorted = givers.sort(byReadiness(facts))
    const enough = sorted.length > 0 && sorted[0] !== undefined && spareOwned(facts, sorted[0]) ? 1 : 2
    return firstOf(
      enough,
      eachOf(sorted.slice(0, MOST_TRIED), (part) => addRemedy(facts, part)),
    )
  },
})
