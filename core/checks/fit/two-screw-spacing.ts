import type { PlacedPart } from '../../assembly/index.ts'
import { mountOf } from '../../catalogue/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'

const spacing = (piece: PlacedPart) => {
  const host = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  const guest = mountOf(piece.part, piece.joint?.guestMount ?? '')
  if (host?.spacingMm === undefined || guest?.spacingMm === undefined) return undefined
  const [holesMm, screwsMm] =
    host.side === 'holds' ? [host.spacingMm, guest.spacingMm] : [guest.spacingMm, host.spacingMm]
  return { holesMm, screwsMm, offMm: Math.abs(holesMm - screwsMm), slotMm: (host.slotMm ?? 0) + (guest.slotMm ?? 0) }
}

/** Two screws that stand too far apart or too close for the holes. */
export const twoScrewSpacing = defineCheck<PlacedPart, object>({
  id: 'two-screw-spacing',
  family: 'fit',
  title: 'Two screws do not meet the holes',
  why: 'One screw goes in, the other meets metal, and the part turns on the one.',
  level: 'stop',
  source: 'The two spacings and the length of the slots.',
  ...noOptions,
  needs: [],
  limit: { measured: 'offMm', allowed: 'slotMm' },
  messages: {
    speaks: {
      apart:
        '{part} will not take both screws. They stand {screwsMm:mm} apart, the holes {holesMm:mm}; the slots give {slotMm:mm}.',
    },
    silent: { meets: 'Both screws of {part} meet their holes, {offMm:mm} off with {slotMm:mm} of slot.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => spacing(piece) !== undefined),
  judge: (piece) => {
    const numbers = spacing(piece) ?? { holesMm: 0, screwsMm: 0, offMm: 0, slotMm: 0 }
    const names = { part: piece.part.name }
    return exceeds(numbers.offMm, numbers.slotMm)
      ? { group: 'speaks', message: 'apart', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'meets', names, numbers }
  },
})
