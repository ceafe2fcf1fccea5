import { flatMap } from '../kernel/index.ts'
import { type Assembly, everywhere, type Link, type PlacedPart, socketAt } from '../assembly/index.ts'
import {
  type ConnectorId,
  isUnknown,
  mountOf,
  type Part,
  type Socket,
  standardOf,
  type Volts,
} from '../catalogue/index.ts'

/** What a converter gives of what it takes (usual figure for small switching converters). */
export const CONVERTER = 0.9
/** What of a pack's charge is used before it is changed. */
export const DEPTH = 0.9

/** What is reckoned with where nobody states it. */
export interface PowerMargins {
  readonly depth: number
  readonly converter: number
  /** What packs of a kind still hold of what they held when new, where nobody says it of the piece itself. */
  readonly healthOf?: (partId: string) => number
}
export const usualPowerMargins: PowerMargins = { depth: DEPTH, converter: CONVERTER }

/**
 * What cold leaves of a lithium pack: full at 20 C, 0.8 at freezing, 0.7 at -10 C; straight lines between, flat
 * outside.
 */
export const coldFactor = (celsius: number): number => {
  const table = [
    [-10, 0.7],
    [0, 0.8],
    [20, 1],
  ] as const
  const [[coldest, least]] = table
  if (celsius <= coldest) return least
  for (let i = 1; i < table.length; i++) {
    const [[a, fa], [b, fb]] = [table[i - 1] ?? table[0], table[i] ?? table[2]]
    if (celsius <= b) return fa + ((celsius - a) / (b - a)) * (fb - fa)
  }
  return 1
}

/**
 * Energy that can be taken from a battery, Wh: `capacity x depth x cold x health`. @example 16 Wh at 0 C, new: 16 x 0.9
 * x 0.8 = 11.52
 */
export const usableWh = (capacityWh: number, celsius: number, health = 1, depth = DEPTH): number =>
  capacityWh * depth * coldFactor(celsius) * health

/** A battery that sits on the rig or goes along off it. */
export interface Cell {
  readonly id: string
  readonly name: string
  readonly partId: string
  /** Batteries of one kind change places: the standard and family of their seat. */
  readonly kind: string
  readonly capacityWh: number
  readonly usableWh: number
  readonly maxW: number
  readonly volts: Volts
  readonly gauge: boolean
}

/** A piece that draws power or passes it on. */
export interface PowerNode {
  readonly id: string
  readonly name: string
  readonly drawW: number
  readonly standbyW: number
  readonly fullW: number
  /** Nobody knows what it draws: run times are *at most* what they say. */
  readonly unknown?: boolean
  /** Hangs on the wall. */
  readonly mains: boolean
}

/** Power from a battery or a piece to a piece: by its seat or by a lead. */
export interface Feed {
  readonly from: string
  readonly to: string
  readonly efficiency: number
  /** The most that arrives, W; Infinity when nothing limits it. */
  readonly limitW: number
  /** Spare power that goes into the battery in `to`, W at most. */
  readonly chargeW: number
  /** Works only while the battery in `to` is in and not empty. */
  readonly needsPack: boolean
  /** What arrives, V; undefined when the source is not known. */
  readonly volts: Volts | undefined
  readonly link: Link | undefined
  /**
   * Where a battery runs lower than its load bears: the battery, and the share of its charge at which the load switches
   * off. Volts are taken to fall evenly with the charge.
   */
  readonly ends?: { readonly cell: string; readonly share: number }
}

export interface Network {
  readonly cells: readonly Cell[]
  readonly nodes: readonly PowerNode[]
  /** Into each piece, the leads come before its own seat: what comes by lead is used first. */
  readonly feeds: readonly Feed[]
  /** Leads that would close a ring of power; they are left out of `feeds`. */
  readonly rings: readonly Link[]
  /** Batteries and pieces, each before everything it feeds. */
  readonly order: readonly string[]
}

export const carriesPower = (socket: Socket): boolean => socket.carries?.includes('power') ?? false

/** The family of seats a battery goes on; `undefined` for a part that is no battery. */
export const batteryKind = (part: Part): string | undefined => {
  const seat =
    part.power?.store &&
    part.mounts.find((mount) => mount.side === 'sits' && standardOf(mount.standard).kind === 'battery')
  return seat && (seat.family ? `${seat.standard} ${seat.family}` : seat.standard)
}

const cellOf = (piece: PlacedPart, celsius: number, { depth, healthOf }: PowerMargins): Cell | undefined => {
  const { store } = piece.part.power ?? {}
  return (
    store && {
      id: piece.instance.id,
      name: piece.part.name,
      partId: piece.part.id,
      kind: batteryKind(piece.part) ?? piece.part.id,
      capacityWh: store.capacityWh,
      usableWh: usableWh(store.capacityWh, celsius, piece.instance.health ?? healthOf?.(piece.part.id), depth),
      maxW: store.maxW,
      volts: store.volts,
      gauge: store.gauge,
    }
  )
}

const nodeOf = ({ instance, part }: PlacedPart): PowerNode => {
  const drawW = part.power?.ownMin === undefined ? (part.power?.drawW ?? 0) : 0
  return {
    id: instance.id,
    name: part.name,
    drawW,
    standbyW: Math.min(drawW, part.power?.standbyW ?? drawW),
    fullW: Math.max(drawW, part.power?.fullW ?? drawW),
    ...(isUnknown(part, 'drawW') ? { unknown: true } : {}),
    mains: part.power?.mains ?? false,
  }
}

/** Is this piece held by its battery contacts? */
export const sitsAsBattery = (piece: PlacedPart): boolean => {
  const mount = piece.joint && mountOf(piece.part, piece.joint.guestMount)
  return mount !== undefined && standardOf(mount.standard).kind === 'battery' && piece.mate?.ok === true
}

/** Volts that stand at a piece's unregulated outlets: its own battery's, its converter's, or what it is fed with. */
const voltsOut = (piece: PlacedPart, given: readonly Feed[]): Volts | undefined =>
  piece.part.power?.converts?.volts ??
  piece.part.power?.store?.volts ??
  given.find(({ to }) => to === piece.instance.id)?.volts

/** What a piece bears where a feed comes in, and by which connector; by its seat there is none. */
export const bearsAt = (
  assembly: Assembly,
  { link, from }: Pick<Feed, 'link' | 'from'>,
): { readonly volts: Volts | undefined; readonly connector: ConnectorId | undefined } => {
  if (link) {
    const socket = socketAt(assembly, link.to)?.socket
    return { volts: socket?.volts, connector: socket?.connector }
  }
  const { joint, host } = assembly.byInstance.get(from) ?? {}
  return { volts: joint && host ? mountOf(host.part, joint.hostMount)?.volts : undefined, connector: undefined }
}

/** The battery whose own volts come through a feed, past plates that only pass them on. */
const cellBehind = (
  feed: Pick<Feed, 'from' | 'volts'>,
  cells: ReadonlyMap<string, Cell>,
  feeds: readonly Feed[],
): Cell | undefined => {
  const cell = cells.get(feed.from)
  if (cell) return cell.volts === feed.volts ? cell : undefined
  const before = feeds.find(({ to, volts }) => to === feed.from && volts === feed.volts)
  return before && cellBehind(before, cells, feeds)
}

/**
 * At which share of its charge a battery has fallen to what its load wants at least: `(wanted - empty) / (full -
 * empty)`. @example 11 to 16.8 V into a load from 12 V: 1 / 5.8 = 17 %
 */
export const endShare = (gives: Volts, bears: Volts): number =>
  gives.max > gives.min ? (bears.min - gives.min) / (gives.max - gives.min) : 0

const endsOf = (
  assembly: Assembly,
  feed: Feed,
  cells: ReadonlyMap<string, Cell>,
  feeds: readonly Feed[],
): Pick<Feed, 'ends'> => {
  const { volts: bears, connector } = bearsAt(assembly, feed)
  const cell = feed.volts && cellBehind(feed, cells, feeds)
  if (!bears || !cell || connector === 'usb-c' || cell.volts.max > bears.max) return {}
  const share = endShare(cell.volts, bears)
  return share > 0 && share < 1 ? { ends: { cell: cell.id, share } } : {}
}

const seatFeeds = (assembly: Assembly, converter: number): readonly Omit<Feed, 'volts'>[] =>
  everywhere(assembly)
    .filter(sitsAsBattery)
    .map((piece) => ({
      from: piece.instance.id,
      to: piece.joint?.host ?? '',
      efficiency: piece.part.power?.converts ? converter : 1,
      limitW: piece.part.power?.converts?.watts ?? Infinity,
      chargeW: 0,
      needsPack: false,
      link: undefined,
    }))

const leadFeeds = (
  assembly: Assembly,
  cables: ReadonlyMap<string, Part>,
  converter: number,
): readonly Omit<Feed, 'volts'>[] =>
  flatMap(assembly.setup.links, (link): Omit<Feed, 'volts'>[] => {
    const [from, to, part] = [socketAt(assembly, link.from), socketAt(assembly, link.to), cables.get(link.cable)]
    if (!from || !to || !part?.cable?.carries.includes('power')) return []
    if (
      !carriesPower(from.socket) ||
      !carriesPower(to.socket) ||
      from.socket.direction === 'in' ||
      to.socket.direction === 'out'
    )
      return []
    const regulated = from.socket.volts !== undefined && !from.piece.part.power?.mains
    return [
      {
        from: link.from.instance,
        to: link.to.instance,
        efficiency: (part.cable.converts ? converter : 1) * (regulated ? converter : 1),
        limitW: Math.min(
          from.socket.watts ?? Infinity,
          to.socket.watts ?? Infinity,
          part.cable.converts?.watts ?? Infinity,
        ),
        chargeW: to.socket.chargeW ?? 0,
        needsPack: to.socket.needsPack ?? false,
        link,
      },
    ]
  })

/** Kahn's sorting: sources first. Feeds are taken in one after the other, and one that closes a ring is left out. */
const withoutRings = <F extends { readonly from: string; readonly to: string }>(
  feeds: readonly F[],
): [kept: F[], left: F[]] => {
  const [kept, left]: [F[], F[]] = [[], []]
  const reaches = (from: string, to: string): boolean =>
    from === to || kept.some((feed) => feed.from === from && reaches(feed.to, to))
  for (const feed of feeds) (reaches(feed.to, feed.from) ? left : kept).push(feed)
  return [kept, left]
}

const sorted = (
  ids: readonly string[],
  feeds: readonly { readonly from: string; readonly to: string }[],
): readonly string[] => {
  const order: string[] = []
  const seen = new Set<string>()
  const visit = (id: string) => {
    if (seen.has(id)) return
    seen.add(id)
    for (const { from, to } of feeds) if (to === id) visit(from)
    order.push(id)
  }
  ids.forEach(visit)
  return order
}

/** The parts of the cables and port savers that are linked in a set-up, by instance. */
export const cablesOf = ({ rig, setup }: Assembly, part: (id: string) => Part | undefined): ReadonlyMap<string, Part> =>
  new Map(
    flatMap(
      flatMap(setup.links, ({ cable, couplers }) => [cable, ...Object.values(couplers ?? {})]),
      (id): [string, Part][] => {
        const instance = rig.kit.find((one) => one.id === id)
        const known = instance && part(instance.partId)
        return known ? [[id, known]] : []
      },
    ),
  )

/**
 * What feeds what in a placed set-up.
 * @param cables the parts of the linked cables, by instance
 * @param celsius temperature the batteries work at
 */
export const networkOf = (
  assembly: Assembly,
  cables: ReadonlyMap<string, Part>,
  celsius: number,
  margins: PowerMargins = usualPowerMargins,
): Network => {
  const { converter } = margins
  const cells = flatMap(everywhere(assembly), (piece) => cellOf(piece, celsius, margins) ?? [])
  const cellsById = new Map(cells.map((cell) => [cell.id, cell]))
  const seats = seatFeeds(assembly, converter)
  const [kept, left] = withoutRings([...seats, ...leadFeeds(assembly, cables, converter)])
  // Handles and plates have no part in it: only what draws, gives or passes on.
  const joined = new Set(flatMap(kept, ({ from, to }) => [from, to]))
  const nodes = everywhere(assembly)
    .filter(({ instance }) => !cellsById.has(instance.id))
    .map(nodeOf)
    .filter(({ id, drawW, mains, unknown }) => joined.has(id) || drawW > 0 || mains || unknown)
  const order = sorted([...cells.map(({ id }) => id), ...nodes.map(({ id }) => id)], kept)
  const feeds: Feed[] = []
  for (const id of order)
    for (const feed of kept.filter(({ from }) => from === id)) {
      const piece = assembly.byInstance.get(id)
      const from = feed.link && socketAt(assembly, feed.link.from)
      const converts = feed.link && cables.get(feed.link.cable)?.cable?.converts
      const given = { ...feed, volts: converts?.volts ?? from?.socket.volts ?? (piece && voltsOut(piece, feeds)) }
      feeds.push({ ...given, ...endsOf(assembly, given, cellsById, feeds) })
    }
  const rank = (feed: Feed) => (feed.link ? 0 : 1)
  return {
    cells,
    nodes,
    feeds: feeds.sort((a, b) => rank(a) - rank(b)),
    rings: flatMap(left, ({ link }) => link ?? []),
    order,
  }
}
