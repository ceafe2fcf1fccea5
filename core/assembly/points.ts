import { type Mount, type Part, standardOf } from '../catalogue/index.ts'
import { direction, perThing, point, type Vec3 } from '../kernel/index.ts'
import type { Assembly, PlacedPart } from './place.ts'

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

/** Where the mounts of a piece are. */
const placesOf = perThing('mounting points of a piece', (piece: PlacedPart) =>
  piece.part.mounts.map((mount) => ({
    piece,
    mount,
    key: `${piece.instance.id}/${mount.id}`,
    shares: (mount.shares ?? []).map((other) => `${piece.instance.id}/${other}`),
    free: {
      piece,
      mount,
      at: point(piece.frame, mount.at),
      out: direction(piece.frame, mount.out),
      taken: [],
      open: true,
    } satisfies Point as Point,
  })),
)

/** Every mounting point of the rig with what sits on it. */
export const pointsOf = (assembly: Assembly): readonly Point[] => {
  const takers = new Map<string, string[]>()
  const railUsed = new Map<string, number>()
  const note = (instance: string, mount: string, by: string) => {
    const key = `${instance}/${mount}`
    takers.set(key, [...(takers.get(key) ?? []), by])
  }
  for (const { joint, mate, host } of assembly.placed) {
    if (!joint) continue
    note(joint.host, joint.hostMount, joint.guest)
    note(joint.guest, joint.guestMount, joint.host)
    if (!mate?.ok || !mate.value.along) continue
    const { rail, takesMm } = mate.value.along
    const onHost = mountOf(host?.part, joint.hostMount)?.side === rail
    const key = onHost ? `${joint.host}/${joint.hostMount}` : `${joint.guest}/${joint.guestMount}`
    railUsed.set(key, (railUsed.get(key) ?? 0) + takesMm)
  }
  return assembly.placed.flatMap((piece) =>
    placesOf(piece).map(({ mount, key, shares, free }): Point => {
      const blocked = shares.some((other) => takers.has(other))
      const taken = takers.get(key)
      if (!taken) return blocked ? { ...free, open: false } : free
      const used = railUsed.get(key)
      const open = !blocked && isRail(mount) && (mount.lengthMm ?? 0) - (used ?? 0) >= MIN_CLAMP_MM
      return { ...free, taken, open }
    }),
  )
}

const mountOf = (part: Part | undefined, id: string): Mount | undefined => part?.mounts.find((mount) => mount.id === id)
