import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { direction } from '../../kernel/index.ts'
import { defineCheck, partsThat } from '../check.ts'

const filterOf = ({ optics }: PlacedPart['part']) => (optics?.kind === 'filter' ? optics : undefined)

/** A graduated filter whose dark half is not in the sky. */
export const gradUp = defineCheck<PlacedPart, { mostDeg: number }>({
  id: 'grad-up',
  family: 'glass',
  title: 'The dark half is not in the sky',
  why: 'It darkens the faces, and the sky stays white.',
  level: 'risk',
  source: 'Its upper edge against straight up, as the camera is held; a horizon hides 15 degrees.',
  options: z.object({ mostDeg: z.number().positive() }),
  defaults: { mostDeg: 15 },
  units: { mostDeg: 'deg' },
  about: 'glass',
  needs: [],
  limit: { measured: 'offDeg', allowed: 'mostDeg' },
  messages: {
    speaks: {
      turned: 'The dark half of {filter} is {offDeg:deg} off the sky. {mostDeg:deg} goes unseen; turn it in its tray.',
    },
    silent: { up: 'The dark half of {filter} is in the sky.' },
    cannotTell: {},
  },
  subjects: partsThat((part) => filterOf(part)?.effect === 'graduated'),
  judge: (piece, _, { mostDeg }) => {
    const up = direction(piece.frame, [0, 1, 0])[1]
    const offDeg = (Math.acos(Math.max(-1, Math.min(1, up))) * 180) / Math.PI
    const names = { filter: piece.part.name }
    const numbers = { offDeg, mostDeg }
    return offDeg > mostDeg + 1e-6
      ? { group: 'speaks', message: 'turned', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'up', names, numbers }
  },
})
