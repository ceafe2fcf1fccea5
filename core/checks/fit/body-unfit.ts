import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { defineCheck, piecesThat } from '../check.ts'

/** A cage or plate shaped for another camera body. */
export const bodyUnfit = defineCheck<PlacedPart, object>({
  id: 'body-unfit',
  family: 'fit',
  title: 'Cage made for another body',
  why: 'The holes do not line up, doors and sockets are covered, and it goes back to the shop.',
  level: 'stop',
  source: "The list of camera bodies in the part's data.",
  options: z.object({}),
  defaults: {},
  needs: [],
  messages: {
    speaks: { unfit: '{cage} was made for another body. It will not seat on the {camera}.' },
    silent: { fits: '{cage} is made for the {camera}.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.part.fits.length > 0 && piece.host !== undefined),
  judge: (piece) => {
    const names = { cage: piece.part.name, camera: piece.host?.part.name ?? '' }
    const unfit = piece.mate?.ok === false && piece.mate.issues.some((issue) => issue.code === 'body-unfit')
    return unfit
      ? { group: 'speaks', message: 'unfit', names, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'fits', names }
  },
  aims: (piece) => {
    const family = piece.host?.part.mounts.find((mount) => mount.id === piece.joint?.hostMount)?.family ?? ''
    return [
      { do: 'swap', piece, most: 2, for: ({ fits }) => fits.includes(family), tried: Infinity },
      { do: 'take-off', piece },
    ]
  },
})
