import { inHand, type Unweighed } from '../../balance/index.ts'
import type { Sees } from '../../facts/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** What the rig's mass is made of; of a part nobody knows at all, more is said elsewhere. */
const weighed = ({ assembly, leads, context }: Sees<'leads'>): readonly Unweighed[] =>
  [
    ...assembly.placed.filter(inHand),
    ...leads.map(({ link, part }) => ({ instance: { id: link.cable }, part })),
  ].filter(({ part }) => context.catalogue.gone.get(part.id) !== 'placeholder')

/** A piece on the rig whose mass nobody knows. */
export const massUnknown = defineCheck<Unweighed, object, 'mass' | 'leads'>({
  id: 'mass-unknown',
  family: 'balance',
  title: 'Nobody knows what it weighs',
  why: 'Mass, tilt, hold time and what the joints carry leave it out: the rig is heavier than it looks, and tips where nobody expects it.',
  level: 'hint',
  source: 'The part says that its mass is unknown; one weighing in the locker settles it.',
  ...noOptions,
  needs: ['mass', 'leads'],
  messages: {
    speaks: {
      unweighed:
        'Nobody knows what {part} weighs. The rig is at least {knownG:g}; tilt, hold time and what joints carry are told without it. Weigh it.',
    },
    silent: { known: 'The mass of {part} is known.' },
    cannotTell: {},
  },
  // Where all is known the camera speaks for all: mostly it is.
  subjects: (facts) => (facts.mass.unknown.length === 0 ? facts.assembly.placed.slice(0, 1) : weighed(facts)),
  judge: ({ instance, part }, { mass }) => {
    const names = { part: part.name }
    return mass.unknown.some((one) => one.instance.id === instance.id)
      ? { group: 'speaks', message: 'unweighed', names, numbers: { knownG: mass.inHandG }, parts: [instance.id] }
      : { group: 'silent', message: 'known', names }
  },
})
