import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { takenFrom } from '../../facts/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'

/** Part of the rig stands in its own picture. */
export const inShot = defineCheck<PlacedPart, object, 'inShot' | 'sight'>({
  id: 'in-shot',
  family: 'glass',
  title: 'In the picture',
  why: 'The mic’s fur hangs in the top of every wide shot, and is seen at the edit.',
  level: 'risk',
  source:
    'The view of the lens at its shortest focal length, from its entrance pupil; any solid inside is in the picture.',
  ...noOptions,
  needs: ['inShot', 'sight'],
  limit: { measured: 'intoMm', allowed: 'allowedMm' },
  messages: {
    speaks: { seen: '{part} is in the picture. At {focalMm:mm} it stands {intoMm:mm} into the frame.' },
    silent: { clear: '{part} stays out of the picture at {focalMm:mm}.' },
    cannotTell: {},
  },
  subjects: piecesThat<'sight'>(
    (piece) => piece.joint !== undefined && piece.part.optics?.kind !== 'lens',
    ({ sight }) => sight !== undefined,
  ),
  judge: (piece, facts) => {
    const intoMm = takenFrom(facts, ({ inShot: seen }) => seen.find((one) => one.piece === piece)?.intoMm ?? 0)
    const focalMm = takenFrom(facts, ({ sight }) => sight?.focalMm ?? 0)
    const names = { part: piece.part.name }
    const numbers = { focalMm, intoMm, allowedMm: 0 }
    return exceeds(numbers.intoMm, 0)
      ? { group: 'speaks', message: 'seen', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'clear', names, numbers }
  },
})
