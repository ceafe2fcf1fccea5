import type { Assessment } from '@zucchini/core/assess'
import type { PlacedPart } from '@zucchini/core/assembly'
import type { Run } from '@zucchini/core/cabling'
import { type Carried, connectors, type Socket } from '@zucchini/core/catalogue'
import type { Level } from '@zucchini/core/checks'
import { hours, millimetres, type Style, voltSpan, watts, wattHours } from '../../wording.ts'

/** How a lead is drawn and named: what matters most of what it carries. */
export type LineKind = 'power' | 'picture' | 'sound' | 'control' | 'seat'

export interface Port {
  readonly id: string
  readonly socket: string
  readonly label: string
  readonly side: 'in' | 'out'
  readonly y: number
  readonly taken: boolean
}

/** A battery in its seat, drawn on top of what it sits in. */
export interface Docked {
  readonly instance: string
  readonly name: string
  readonly facts: string
}

export interface Node {
  readonly id: string
  readonly instance: string
  readonly kind: 'battery' | 'camera' | 'device'
  readonly name: readonly string[]
  readonly facts: string
  readonly tone: 'good' | 'look' | 'over' | 'none'
  readonly ports: readonly Port[]
  readonly docked: readonly Docked[]
  readonly width: number
  readonly height: number
}

export interface Edge {
  readonly id: string
  readonly cable: string | undefined
  readonly kind: LineKind
  readonly from: { readonly node: string; readonly port: string | undefined }
  readonly to: { readonly node: string; readonly port: string | undefined }
  readonly label: readonly string[]
  readonly worst: Level | undefined
  readonly title: string
}

export interface Graph {
  readonly nodes: readonly Node[]
  readonly edges: readonly Edge[]
}

export const NODE_WIDTH = 168
export const HEAD = 60
export const PORT_STEP = 24
const NAME_LETTERS = 23
/** Where a battery’s contacts are, and those of what it sits in. */
export const SEAT_Y = 24
/** Height of a battery that is drawn on top of its host. */
export const DOCK = 42
const DOCK_LETTERS = 24

const cut = (text: string, most: number): string => (text.length > most ? `${text.slice(0, most - 1)}…` : text)

/** Breaks a name into two lines at a blank. */
export const twoLines = (name: string, most = NAME_LETTERS): readonly string[] => {
  if (name.length <= most) return [name]
  const blank = name.lastIndexOf(' ', most)
  const first = name.slice(0, blank > 0 ? blank : most)
  const rest = name.slice(first.length).trim()
  return [first, cut(rest, most)]
}

const kindOf = (carries: readonly Carried[], { from }: Pick<Run, 'from'>): LineKind => {
  const given = from.socket.carries ?? []
  const passes = carries.filter((what) => given.includes(what))
  if (passes.includes('picture')) return 'picture'
  if (passes.includes('power')) return 'power'
  return passes.includes('sound') ? 'sound' : 'control'
}

const worstOf = ({ findings }: Assessment, id: string): Level | undefined =>
  (['stop', 'risk', 'hint'] as const).find((level) =>
    findings.some((finding) => finding.level === level && finding.parts.includes(id)),
  )

const kindWords: Readonly<Record<LineKind, string>> = {
  power: 'power',
  picture: 'picture',
  sound: 'sound',
  control: 'control',
  seat: 'in its seat',
}

const edgesOf = (assessment: Assessment, style: Style): Edge[] => {
  const { leads, network } = assessment.facts
  const plugged = leads.map((run): Edge => {
    const { link, cable, part, needMm, reachMm } = run
    const feed = network.feeds.find((other) => other.link === link)
    const kind = kindOf(cable.carries, run)
    const ends = [run.from, run.to].map(({ plug }) => connectors[plug.connector].title)
    return {
      id: link.cable,
      cable: link.cable,
      kind,
      from: { node: link.from.instance, port: `${link.from.instance}/${link.from.socket}` },
      to: { node: link.to.instance, port: `${link.to.instance}/${link.to.socket}` },
      label: [
        ends[0] === ends[1] ? `${kindWords[kind]}, ${ends[0] ?? ''}` : ends.join(' to '),
        `${millimetres(Math.round(needMm), style.units).replace(/ \w+$/, '')} of ${millimetres(Math.round(reachMm), style.units)}`,
        ...(feed?.volts ? [voltSpan(feed.volts)] : []),
      ],
      worst: worstOf(assessment, link.cable),
      title: part.name,
    }
  })
  const seats = network.feeds
    .filter(({ link }) => !link)
    .map((feed): Edge => ({
      id: `seat-${feed.from}`,
      cable: undefined,
      kind: 'seat',
      from: { node: feed.from, port: `${feed.from}//contacts` },
      to: { node: feed.to, port: `${feed.to}//seat` },
      label: feed.volts ? [voltSpan(feed.volts)] : [],
      worst: undefined,
      title: 'in its seat',
    }))
  return [...plugged, ...seats]
}

const factsOf = (piece: PlacedPart, { facts }: Assessment): { facts: string; tone: Node['tone'] } => {
  const id = piece.instance.id
  const cell = facts.network.cells.find((other) => other.id === id)
  if (cell) {
    const ends = facts.runDown.cellMin.get(id) ?? Infinity
    return {
      facts: `${wattHours(cell.capacityWh)}, ${Number.isFinite(ends) ? `empty at ${hours(ends)}` : 'idle'}`,
      tone: 'none',
    }
  }
  const node = facts.network.nodes.find((other) => other.id === id)
  const own = piece.part.power?.ownMin
  if (own !== undefined) return { facts: `own battery, ${hours(own)}`, tone: 'none' }
  if (!node || node.drawW === 0)
    return { facts: piece.part.role === 'dummy' || !piece.part.sockets?.length ? 'passes on' : '', tone: 'none' }
  const dark = facts.runDown.nodeMin.get(id) ?? Infinity
  if (dark === 0) return { facts: `${watts(node.drawW)}, no power`, tone: 'over' }
  return {
    facts: `${watts(node.drawW)}, ${Number.isFinite(dark) ? `dark at ${hours(dark)}` : 'never dark'}`,
    tone: 'none',
  }
}

const sideOf = (socket: Socket, id: string, edges: readonly Edge[]): Port['side'] => {
  if (socket.direction !== 'both') return socket.direction
  return edges.some(({ to }) => to.port === id) ? 'in' : 'out'
}

const portsOf = (piece: PlacedPart, edges: readonly Edge[], top: number): readonly Port[] => {
  const count = { in: 0, out: 0 }
  return (piece.part.sockets ?? []).map((socket): Port => {
    const id = `${piece.instance.id}/${socket.id}`
    const side = sideOf(socket, id, edges)
    const y = top + HEAD + PORT_STEP * (count[side]++ + 0.5)
    const taken = edges.some(({ from, to }) => from.port === id || to.port === id)
    return { id, socket: socket.id, label: socket.label ?? connectors[socket.connector].title, side, y, taken }
  })
}

/** What a set-up’s wiring is made of: sources, what passes power on, devices, and the leads and seats between them. */
export const graphOf = (assessment: Assessment, style: Style): Graph => {
  const { assembly, facts } = assessment
  const edges = edgesOf(assessment, style)
  const joined = new Set(edges.flatMap(({ from, to }) => [from.node, to.node]))
  const drawing = new Set(facts.network.nodes.filter(({ drawW }) => drawW > 0).map(({ id }) => id))
  const shown = assembly.placed.filter(
    ({ instance, part }) =>
      joined.has(instance.id) || drawing.has(instance.id) || part.power?.store || (part.sockets?.length ?? 0) > 0,
  )
  // A battery none of whose own sockets is in use is part of what it sits in.
  const seats = new Map(
    facts.network.feeds
      .filter((feed) => !feed.link && facts.network.cells.some(({ id }) => id === feed.from))
      .filter(
        (feed) => !edges.some(({ cable, from, to }) => cable && (from.node === feed.from || to.node === feed.from)),
      )
      .map((feed) => [feed.from, feed.to]),
  )
  const nodes = shown
    .filter(({ instance }) => !seats.has(instance.id))
    .map((piece): Node => {
      const docked = shown
        .filter(({ instance }) => seats.get(instance.id) === piece.instance.id)
        .map((battery): Docked => ({
          instance: battery.instance.id,
          name: cut(battery.part.name, DOCK_LETTERS),
          facts: `${factsOf(battery, assessment).facts.replace(/^[^,]*, /, '')} · ${voltSpan(battery.part.power?.store?.volts ?? { min: 0, max: 0 })}`,
        }))
      const top = docked.length * DOCK
      const ports = portsOf(piece, edges, top)
      const rows = Math.max(
        ports.filter(({ side }) => side === 'in').length,
        ports.filter(({ side }) => side === 'out').length,
      )
      return {
        id: piece.instance.id,
        instance: piece.instance.id,
        kind: piece.part.role === 'camera' ? 'camera' : piece.part.power?.store ? 'battery' : 'device',
        name: twoLines(piece.part.name),
        ...factsOf(piece, assessment),
        ports,
        docked,
        width: NODE_WIDTH,
        height: top + HEAD + rows * PORT_STEP + (rows > 0 ? 6 : 0),
      }
    })
  return {
    nodes,
    edges: edges.filter(({ from, to }) => [from, to].every(({ node }) => nodes.some(({ id }) => id === node))),
  }
}
