import { exceeds } from '../../kernel/index.ts'
import type { Drive } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A follow focus or motor whose gear does not meet the teeth. */
export const motorReach = defineCheck<Drive, object, 'drives'>({
  id: 'motor-reach',
  family: 'glass',
  title: 'The drive does not reach the teeth',
  why: 'The gear hangs beside the ring, or presses on it so that the lens creaks.',
  level: 'risk',
  source:
    'The distance between the two gears across the lens against the swing of the drive’s arm, and along it against its slide.',
  ...noOptions,
  about: 'glass',
  needs: ['drives'],
  limit: { measured: 'offMm', allowed: 'reachMm' },
  messages: {
    speaks: {
      far: '{drive} does not reach the teeth on {toothed}. {offMm:mm} lie between them; its arm swings {reachMm:mm}.',
      into: '{drive} stands into the teeth on {toothed}. It would have to give way {offMm:mm}; its arm swings {reachMm:mm}.',
      along: '{drive} stands too far along the lens. The teeth are {offMm:mm} away; {reachMm:mm} of slide are left.',
    },
    silent: { meets: '{drive} meets the teeth on {toothed}: {offMm:mm} of {reachMm:mm}.' },
    cannotTell: {},
  },
  subjects: ({ drives }) => drives.filter(({ toothed }) => toothed),
  judge: ({ piece, toothed, acrossMm, alongMm, armMm, slideMm }) => {
    const names = { drive: piece.part.name, toothed: toothed?.part.name ?? '' }
    const where = { parts: [piece.instance.id], at: piece.centre }
    if (exceeds(alongMm, slideMm))
      return { group: 'speaks', message: 'along', names, numbers: { offMm: alongMm, reachMm: slideMm }, ...where }
    const numbers = { offMm: Math.abs(acrossMm), reachMm: armMm }
    return exceeds(Math.abs(acrossMm), armMm)
      ? { group: 'speaks', message: acrossMm > 0 ? 'far' : 'into', names, numbers, ...where }
      : { group: 'silent', message: 'meets', names, numbers }
  },
})
