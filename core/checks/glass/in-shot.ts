import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'

const intoOf = ({ inShot: seen }: Sees<'inShot'>, piece: PlacedPart): number =>
  seen.find((one) => one.piece === piece)?.intoMm ?? 0
const widestOf = ({ sight }: Sees<'sight'>): number => sight?.focalMm ?? 0

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
    const intoMm = takenFrom(facts, piece, intoOf)
    const focalMm = takenFrom(facts, undefined, widestOf)
    const names = { part: piece.part.name }
    const numbers = { focalMm, intoMm, allowedMm: 0 }
    return exceeds(numbers.intoMm, 0)
      ? { group: 'speaks', message: 'seen', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'clear', names, numbers }
  },
})
