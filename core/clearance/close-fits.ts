import type { Assembly, PlacedPart } from '../assembly/index.ts'
import type { Room } from '../catalogue/index.ts'
import { CLASH_MM, overlap, perPairKey, flatMap } from '../kernel/index.ts'
import { depthIn } from './pressing.ts'
import { invasionsOf, sweepOf } from './rooms.ts'

/** A room that stays free by little, and what stands nearest to it. */
export interface CloseFit {
  readonly piece: PlacedPart
  readonly room: Room
  readonly by: PlacedPart
  /** The gap between the room and that piece, mm. */
  readonly spareMm: number
}

/** What clears by more than this is worth no word. mm */
export const CLOSE_MM = 5
/** Halvings of that, to a fiftieth of a millimetre. */
const STEPS = 8

const remembered = perPairKey<PlacedPart, PlacedPart, number>('close fits')

/** What turns stands close to what it sits on, and that says nothing. */
const ringKinds: ReadonlySet<Room['kind']> = new Set(['turn', 'lever'])
const joined = (a: PlacedPart, b: PlacedPart): boolean => a.host === b || b.host === a

/** Does a room grown by so much, in any of its poses, meet a piece? */
const meets = (piece: PlacedPart, index: number, byMm: number, other: PlacedPart): boolean => {
  const { poses, swept } = sweepOf(piece, index, byMm)
  return overlap(swept, other.bounds, CLASH_MM) && poses.some(({ shape, bounds }) => depthIn(shape, bounds, other) > 0)
}

const spareBeside = (piece: PlacedPart, index: number, grownMm: number, other: PlacedPart): number =>
  remembered(piece, other, `${index} ${grownMm}`, () => {
    // A touch of half a millimetre is let pass everywhere; the gap itself is what is told.
    if (!meets(piece, index, grownMm + CLOSE_MM + CLASH_MM, other)) return CLOSE_MM
    let [free, met] = [0, CLOSE_MM + CLASH_MM]
    for (let i = 0; i < STEPS; i++) {
      const middle = (free + met) / 2
      if (meets(piece, index, grownMm + middle, other)) met = middle
      else free = middle
    }
    return Math.max(0, free - CLASH_MM)
  })

/**
 * Rooms that are free, but by less than five millimetres: how far each could grow on all sides (under a grip, downwards)
 * before something solid is in it. The closest first.
 * @param grownMm what a kind of room is grown by anyway, for gloves
 */
export const closeFitsOf = (assembly: Assembly, grownMm: (kind: Room['kind']) => number): readonly CloseFit[] =>
  flatMap(assembly.placed, (piece) =>
    flatMap(piece.part.rooms, (room, index): CloseFit[] => {
      const grown = grownMm(room.kind)
      if (invasionsOf(assembly, piece, room.kind, grown).some((one) => one.room === room)) return []
      let nearest: CloseFit | undefined
      for (const by of assembly.placed) {
        if (by === piece || (ringKinds.has(room.kind) && joined(piece, by))) continue
        const spareMm = spareBeside(piece, index, grown, by)
        if (spareMm < (nearest?.spareMm ?? CLOSE_MM)) nearest = { piece, room, by, spareMm }
      }
      return nearest ? [nearest] : []
    }),
  ).sort((a, b) => a.spareMm - b.spareMm)
