import type { Catalogue, Part } from '../catalogue/index.ts'
import { placesBy } from '../kernel/index.ts'
import type { Instance, Joint, Link, Off, Rig, Setup } from './rig.ts'

/**
 * What a rig is does not hang on the order in which it was put together, nor on the names of its pieces. Here
 * everything gets an order that comes from the rig itself: by host, point, slide, turn and part. Pieces that are the
 * same in all of these are the same to everyone.
 */
type Key = readonly (string | number)[]

const compare = (a: Key, b: Key): number => {
  const length = Math.max(a.length, b.length)
  for (let i = 0; i < length; i++) {
    const x = a[i] ?? ''
    const y = b[i] ?? ''
    if (x !== y) return typeof x === 'number' && typeof y === 'number' ? x - y : String(x) < String(y) ? -1 : 1
  }
  return 0
}

/** A list by its keys; equal keys stay as they were. */
export const inOrder = <T>(list: readonly T[], keyOf: (item: T) => Key): readonly T[] => {
  if (list.length < 2) return list
  const keyed = list.map((item) => ({ item, key: keyOf(item) }))
  const sorted = keyed.every(({ key }, i) => {
    const before = keyed[i - 1]
    return !before || compare(before.key, key) <= 0
  })
  return sorted ? list : keyed.sort((a, b) => compare(a.key, b.key)).map(({ item }) => item)
}

/** The places of some ranks, the lowest first; equal ones stay as they were. Mostly one came last and belongs farther up. */
const byRank = (ranks: readonly number[]): readonly number[] => {
  const at = [...ranks.keys()]
  for (let i = 1; i < at.length; i++) {
    const one = at[i] as number
    const rank = ranks[one] as number
    let to = i
    for (; to > 0 && (ranks[at[to - 1] as number] as number) > rank; to--) at[to] = at[to - 1] as number
    at[to] = one
  }
  return at
}

/**
 * The same where keys begin with a number that few have in common: by that first, and by whole keys only among those
 * that have it in common.
 */
const inRank = <T>(list: readonly T[], rankOf: (item: T) => number, keyOf: (item: T) => Key): readonly T[] => {
  if (list.length < 2) return list
  const ranks = list.map(rankOf)
  // Mostly it is in order already, and no two have a rank in common.
  if (ranks.every((rank, i) => i === 0 || rank > (ranks[i - 1] ?? 0))) return list
  const at = byRank(ranks)
  const rank = (i: number): number => ranks[at[i] ?? 0] ?? 0
  const all: T[] = []
  for (let from = 0; from < at.length;) {
    let to = from + 1
    while (to < at.length && rank(to) === rank(from)) to++
    const alike = at.slice(from, to).map((i) => list[i] as T)
    for (const item of to - from > 1 ? inOrder(alike, keyOf) : alike) all.push(item)
    from = to
  }
  return all.every((item, i) => item === list[i]) ? list : all
}

/** What somebody wrote beside a piece puts it in no other place. */
const instanceKey = ({ partId, status, health = 1, tier }: Instance): Key => [partId, status, health, tier ?? '']

/** The guests of one host, by the order of its points, then by how they sit. */
export const guestsInOrder = (
  joints: readonly Joint[],
  host: Part,
  partOf: (instance: string) => Instance | undefined,
): readonly Joint[] =>
  inOrder(joints, ({ guest, guestMount, hostMount, slideMm, turnDeg }) => {
    const instance = partOf(guest)
    return [
      host.mounts.findIndex(({ id }) => id === hostMount),
      slideMm,
      turnDeg,
      guestMount,
      ...(instance ? instanceKey(instance) : []),
    ]
  })

/** Pieces off the rig, by where they are and what they are. */
export const offInOrder = (off: readonly Off[], partOf: (instance: string) => Instance | undefined): readonly Off[] =>
  inOrder(off, ({ instance, at }) => {
    const known = partOf(instance)
    return [at, ...(known ? instanceKey(known) : [])]
  })

/**
 * The rig and its set-up with every list in the order that its placed pieces give.
 * @param pieces the kit by its ids, and at which place each piece stands, hosts before guests
 */
export const canonical = (
  rig: Rig,
  setup: Setup,
  { kit, places }: { readonly kit: ReadonlyMap<string, Instance>; readonly places: ReadonlyMap<string, number> },
  catalogue: Catalogue,
): { readonly rig: Rig; readonly setup: Setup } => {
  const place = (id: string): number => places.get(id) ?? places.size
  const partOf = (id: string): string => kit.get(id)?.partId ?? ''
  const socketIndex = (end: Link['from']): number =>
    catalogue.parts.get(partOf(end.instance))?.sockets?.findIndex(({ id }) => id === end.socket) ?? -1
  const jointKey = ({ guestMount, host, hostMount, slideMm, turnDeg }: Joint): Key => [
    place(host),
    guestMount,
    hostMount,
    slideMm,
    turnDeg,
  ]
  const links = inRank(
    setup.links,
    ({ from }) => place(from.instance),
    ({ cable, from, to, through }) => [
      socketIndex(from),
      place(to.instance),
      socketIndex(to),
      ...(kit.has(cable) ? instanceKey(kit.get(cable) as Instance) : []),
      ...through.map(place),
    ],
  )
  const cables = placesBy(links, ({ cable }) => cable)
  return {
    rig: {
      ...rig,
      kit: inRank(
        rig.kit,
        ({ id }) => place(id),
        (instance) => [cables.get(instance.id) ?? links.length, ...instanceKey(instance)],
      ),
    },
    setup: {
      ...setup,
      joints: inRank(setup.joints, ({ guest }) => place(guest), jointKey),
      braces: inRank(setup.braces, ({ guest }) => place(guest), jointKey),
      poses: inOrder(setup.poses, ({ instance, hinge, position }) => [place(instance), hinge, position]),
      links,
      ...(setup.off ? { off: inOrder(setup.off, ({ instance, at }) => [place(instance), at]) } : {}),
    },
  }
}
