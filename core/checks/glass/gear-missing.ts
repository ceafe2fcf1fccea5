import type { Drive } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A follow focus with no teeth to drive. */
export const gearMissing = defineCheck<Drive, object, 'drives'>({
  id: 'gear-missing',
  family: 'glass',
  title: 'No teeth on the lens',
  why: 'The wheel turns in the air; the printed ring that costs a few coins was not ordered.',
  level: 'risk',
  source: '0.8 gears on the lens and on rings clamped round it.',
  ...noOptions,
  about: 'glass',
  needs: ['drives'],
  messages: {
    speaks: { bare: '{drive} has nothing to drive. {lens} has no teeth; a gear ring of its diameter gives it some.' },
    silent: { toothed: '{drive} drives the teeth on {toothed}.' },
    cannotTell: {},
  },
  subjects: ({ drives }) => drives,
  judge: ({ piece, lens, toothed }) => {
    const names = { drive: piece.part.name, lens: lens.part.name, toothed: toothed?.part.name ?? '' }
    return toothed
      ? { group: 'silent', message: 'toothed', names }
      : { group: 'speaks', message: 'bare', names, parts: [piece.instance.id, lens.instance.id], at: piece.centre }
  },
  aims: ({ piece, lens }, { points }) => [
    { do: 'add', parts: ({ role }) => role === 'gear-ring', at: points.filter((point) => point.piece === lens) },
    { do: 'take-off', piece },
  ],
})
