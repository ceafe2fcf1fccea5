import { inHand, type Unweighed } from '../../balance/index.ts'
import { defineCheck, noOptions } from '../check.ts'

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
  // Of a part nobody knows at all, more is said elsewhere.
  subjects: ({ assembly, leads, context }) =>
    [
      ...assembly.placed.filter(inHand),
      ...leads.map(({ link, part }) => ({ instance: { id: link.cable }, part })),
    ].filter(({ part }) => context.catalogue.gone.get(part.id) !== 'placeholder'),
  judge: ({ instance, part }, { mass }) => {
    const names = { part: part.name }
    return mass.unknown.some((one) => one.instance.id === instance.id)
      ? { group: 'speaks', message: 'unweighed', names, numbers: { knownG: mass.inHandG }, parts: [instance.id] }
      : { group: 'silent', message: 'known', names }
  },
})
