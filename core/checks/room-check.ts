import { hingeDegrees, type PlacedPart } from '../assembly/index.ts'
import { dot, lengthOf, subtract, flatMap } from '../kernel/index.ts'
import type { Room } from '../catalogue/index.ts'
import type { Invasion } from '../clearance/index.ts'
import { type Check, type CheckDefinition, defineCheck, noOptions, ofEachPiece } from './check.ts'
import { type FactName, lotOfParts, type Sees } from '../facts/index.ts'

/** Two hinges whose middles lie no farther apart are one. mm */
const SAME_HINGE_MM = 8

/**
 * Is the screen that a room is the way of posed open in this set-up? Then it need not swing any more; that it can be shut
 * is asked of nobody.
 */
export const posedOpen = ({ assembly }: Sees, { instance, part }: PlacedPart, { hinge }: Room): boolean =>
  hingeDegrees(part, instance.id, assembly.setup).some((deg, i) => {
    const own = part.hinges?.[i]
    return (
      deg !== 0 &&
      own !== undefined &&
      hinge !== undefined &&
      lengthOf(subtract(own.at, hinge.at)) < SAME_HINGE_MM &&
      Math.abs(dot(own.axis, hinge.axis)) > 0.99
    )
  })

interface RoomSubject {
  readonly piece: PlacedPart
  readonly room: Room
  readonly index: number
}

type Words = Pick<CheckDefinition<RoomSubject, object>, 'id' | 'family' | 'title' | 'why' | 'level' | 'source'>

/**
 * What the rules about one kind of room have in common: they differ in the room, the words, and how far the hand
 * reaches.
 */
export const roomCheck = <N extends FactName = never>(
  words: Words & {
    readonly kind: Room['kind']
    /** Where the intruders come from, if not from all invasions; and the figures that this reads besides. */
    readonly among?: (facts: Sees<'invasions' | N>) => readonly Invasion[]
    readonly also?: readonly N[]
    readonly when?: (facts: Sees) => boolean
  },
): Check => {
  const {
    kind,
    among = ({ invasions }: Sees<'invasions'>) => invasions,
    also = [],
    when = () => true,
    ...fields
  } = words
  const found = (facts: Sees<'invasions' | N>, { piece, index }: RoomSubject) =>
    among(facts).find(
      (one) => one.piece.instance.id === piece.instance.id && one.piece.part.rooms.indexOf(one.room) === index,
    )
  return defineCheck<RoomSubject, object, 'invasions' | N>({
    ...fields,
    ...noOptions,
    needs: ['invasions', ...also],
    limit: { measured: 'intoMm', allowed: 'allowedMm' },
    messages: {
      speaks: { blocked: '{by} is in the way: {lost}. It reaches {intoMm:mm} into the room {part} wants there.' },
      silent: { free: '{part} has its room.' },
      cannotTell: {},
    },
    subjects: ofEachPiece(
      (piece) => flatMap(piece.part.rooms, (room, index) => (room.kind === kind ? [{ piece, room, index }] : [])),
      when,
      lotOfParts(({ rooms }) => rooms.some((room) => room.kind === kind)),
    ),
    judge: (subject, facts) => {
      const one = found(facts, subject)
      const key = subject.room.lost
      const names = { part: subject.piece.part.name, by: one?.by.part.name ?? '', lost: subject.room.lost }
      const numbers = { intoMm: one?.depthMm ?? 0, allowedMm: 0 }
      return one
        ? {
            group: 'speaks',
            message: 'blocked',
            names,
            key,
            numbers,
            parts: [one.by.instance.id, subject.piece.instance.id],
            at: one.by.centre,
          }
        : { group: 'silent', message: 'free', names, key, numbers }
    },
  })
}
