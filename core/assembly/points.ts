import { type Mount, type Part, standardOf } from '../catalogue/index.ts'
import { direction, numberOf, perKey, perThing, point, type Vec3, flatMap } from '../kernel/index.ts'
import { type Assembly, guestsOf, type PlacedPart } from './place.ts'

/** A mounting point on the placed rig. */
export interface Point {
  readonly piece: PlacedPart
  readonly mount: Mount
  readonly at: Vec3
  readonly out: Vec3
  /** Instances that sit on it now, or whose own seat it is. */
  readonly taken: readonly string[]
  /** Nothing more goes on: it is taken, or a mount that shares its place is. Rails stay open while there is room. */
  readonly open: boolean
}

/** The shortest clamp there is; a rail with less room than this is full. mm */
const MIN_CLAMP_MM = 12

const isRail = (mount: Mount): boolean => standardOf(mount.standard).along?.rail === mount.side

/** The mounts of a piece, where they are, all of them free. */
const freeOf = perThing('mounting points of a piece', (piece: PlacedPart): readonly Point[] =>
  piece.part.mounts.map((mount) => ({
    piece,
    mount,
    at: point(piece.frame, mount.at),
    out: direction(piece.frame, mount.out),
    taken: [],
    open: true,
  })),
)

/** What sits on each mount of a piece, the host by which it hangs itself among it, and how much of a rail is taken. */
const takenOn = (piece: PlacedPart, guests: readonly PlacedPart[]) => {
  const takers = new Map<string, string[]>()
  const railUsed = new Map<string, number>()
  const note = (mount: string, by: string) => {
    const list = takers.get(mount)
    if (list) list.push(by)
    else takers.set(mount, [by])
  }
  const use = ({ joint, mate }: PlacedPart, mount: string, side: Mount['side']) => {
    if (joint && mate?.ok && mate.value.along?.rail === side)
      railUsed.set(mount, (railUsed.get(mount) ?? 0) + mate.value.along.takesMm)
  }
  if (piece.joint) {
    const { host, hostMount, guestMount } = piece.joint
    note(guestMount, host)
    // A rail of its own that its host's clamp holds; where the host has the rail, that one is used up.
    if (mountOf(piece.host?.part, hostMount)?.side !== railOf(piece)) use(piece, guestMount, railOf(piece) ?? 'sits')
  }
  for (const guest of guests) {
    if (!guest.joint) continue
    const { hostMount } = guest.joint
    note(hostMount, guest.instance.id)
    if (mountOf(piece.part, hostMount)?.side === railOf(guest)) use(guest, hostMount, railOf(guest) ?? 'holds')
  }
  return { takers, railUsed }
}
const railOf = ({ mate }: PlacedPart): Mount['side'] | undefined => (mate?.ok ? mate.value.along?.rail : undefined)

const pointsOfPiece = (piece: PlacedPart, guests: readonly PlacedPart[]): readonly Point[] => {
  const { takers, railUsed } = takenOn(piece, guests)
  return freeOf(piece).map((free): Point => {
    const { mount } = free
    const blocked = mount.shares?.some((other) => takers.has(other)) ?? false
    const taken = takers.get(mount.id)
    if (!taken) return blocked ? { ...free, open: false } : free
    const open = !blocked && isRail(mount) && (mount.lengthMm ?? 0) - (railUsed.get(mount.id) ?? 0) >= MIN_CLAMP_MM
    return { ...free, taken, open }
  })
}

const bare = perThing('points of a piece that carries nothing', (piece: PlacedPart) => pointsOfPiece(piece, []))
const carrying = perKey<PlacedPart, readonly Point[]>('points of a piece with its guests')

/** Every mounting point of the rig with what sits on it; on a piece that carries what it carried they are the same. */
export const pointsOf = ({ placed }: Pick<Assembly, 'placed'>): readonly Point[] => {
  const guests = guestsOf(placed)
  return flatMap(placed, (piece) => {
    const here = guests.get(piece)
    return here ? carrying(piece, here.map(numberOf).join(), () => pointsOfPiece(piece, here)) : bare(piece)
  })
}

const mountOf = (part: Part | undefined, id: string): Mount | undefined => part?.mounts.find((mount) => mount.id === id)
