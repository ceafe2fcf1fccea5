import { z } from 'zod'
import type { Watched } from '../../clearance/index.ts'
import { defineCheck } from '../check.ts'
import { swapsThat } from '../places.ts'

/** A monitor that is too dark for the light it stands in. */
export const screenDim = defineCheck<Watched, { openNits: number }, 'screens'>({
  id: 'screen-dim',
  family: 'clearance',
  title: 'Too dark for the sun',
  why: 'In open sun it is a mirror, and exposure is judged by the reflection of your own hat.',
  level: 'risk',
  source:
    'Open sun, 100,000 lux on glass that reflects 1 % of it, lays 300 nit over the picture; read well from two and a half times as much on.',
  options: z.object({ openNits: z.number().positive() }),
  defaults: { openNits: 800 },
  units: {},
  needs: ['screens'],
  limit: { measured: 'nits', allowed: 'openNits' },
  messages: {
    speaks: {
      dim: '{screen} is too dark for open sun. It gives {nits} nit; {openNits} and more are read there. A hood, or a brighter one.',
    },
    silent: { bright: '{screen} is read in open sun: {nits} nit.' },
    cannotTell: {},
  },
  subjects: ({ assembly, screens }) => (assembly.rig.brief.conditions.includes('sun') ? screens : []),
  judge: ({ piece, at, nits }, _, { openNits }) => {
    const names = { screen: piece.part.name }
    const numbers = { nits, openNits }
    return nits < openNits
      ? { group: 'speaks', message: 'dim', names, numbers, parts: [piece.instance.id], at }
      : { group: 'silent', message: 'bright', names, numbers }
  },
  remedies: ({ piece }, facts, _, { openNits }) =>
    swapsThat(facts, piece, 2, ({ optics }) => optics?.kind === 'screen' && optics.nits >= openNits),
})
