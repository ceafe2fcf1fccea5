import { everywhere, type PlacedPart } from '../../assembly/index.ts'
import { passes } from '../../cabling/index.ts'
import { records } from '../../wiring/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const withJack = ({ assembly }: Sees): readonly PlacedPart[] =>
  everywhere(assembly).filter(({ part }) => part.sockets?.some(({ phones }) => phones))

/** Is there sound in this piece to be listened to: because it records it, receives it by radio, or a lead brings it? */
const hears = (piece: PlacedPart, { leads }: Sees<'leads'>): boolean =>
  records(piece) ||
  piece.part.role === 'receiver' ||
  leads.some((run) => run.to.piece === piece && passes(run, 'sound'))

/** Headphones are wanted, and no jack on the rig has sound. */
export const noMonitoringPath = defineCheck<readonly PlacedPart[], object, 'needs' | 'leads'>({
  id: 'no-monitoring-path',
  family: 'picture',
  title: 'Nothing to listen to',
  why: 'A rustling shirt is found at home, when nobody wears it any more.',
  level: 'risk',
  source: 'The brief, and the headphone jacks that sound gets to.',
  ...noOptions,
  about: 'electric',
  needs: ['needs', 'leads'],
  messages: {
    speaks: { silent: 'Nothing to listen to. {part} has a headphone jack, and no sound gets to it.' },
    silent: { heard: 'Headphones go into {part}.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const jacks = withJack(facts)
    return facts.needs.some(({ capability }) => capability === 'headphones') && jacks.length > 0 ? [jacks] : []
  },
  judge: (jacks, facts) => {
    const good = jacks.find((piece) => hears(piece, facts))
    const names = { part: (good ?? jacks[0])?.part.name ?? '' }
    return good
      ? { group: 'silent', message: 'heard', names }
      : { group: 'speaks', message: 'silent', names, parts: jacks.map(({ instance }) => instance.id) }
  },
})
