import { flatMap } from '../kernel/index.ts'
import { freshId, type PlacedPart, socketName } from '../assembly/index.ts'
import { gives, type Run, takes } from '../cabling/index.ts'
import { connectors, goesIn, mate, type Part, standardOf } from '../catalogue/index.ts'
import { bothOf, byReadiness, purposeOf, stockOf, type Remedy } from '../checks/index.ts'
import type { Facts, Sees } from '../facts/index.ts'
import {
  type Candidate,
  type Demand,
  demandsOf,
  isTaken,
  type LeadOption,
  leadsBetween,
  othersFor,
  plugIn,
} from '../wiring/index.ts'
import { figuresAfter } from './after.ts'
import { putOn } from './seats.ts'

/** Of leads that would do so many are proposed; of others for the same two sockets more, for each is of another length. */
const MOST_LEADS = { joined: 2, others: 5 } as const

const worded = (text: string, option: LeadOption, commands: Remedy['commands']): Remedy => ({
  text,
  numbers: {},
  names: { part: option.part.name, from: socketName(option.from), to: socketName(option.to) },
  commands,
})

/** Other leads for the same two sockets, the best first. */
export const otherLeads = (
  facts: Sees<'plugs'>,
  run: Run,
  wanted: (option: Candidate) => boolean = () => true,
): readonly Remedy[] => {
  const what = purposeOf(run)
  if (!what) return []
  const { rig, setup } = facts.assembly
  const other = (option: Candidate) => option.part.id !== run.part.id && wanted(option)
  const through = run.held.map(({ piece }) => piece)
  return leadsBetween(facts.assembly, stockOf(facts), run.from, run.to, what, other, through)
    .options.slice(0, MOST_LEADS.others)
    .map((option) =>
      worded('swap the lead for {part}', option, [
        { do: 'unlink', setup: setup.id, cable: run.link.cable },
        ...plugIn(rig, setup.id, option).commands,
      ]),
    )
}

/** Sockets that a lead is tried in instead, at most. */
const MOST_SOCKETS = 4

/** The same lead with one plug in another socket that it goes into and gets through to; on the same piece first. */
export const replugged = function* ({ assembly }: Sees, run: Run): Generator<Remedy> {
  const { link, cable } = run
  for (const stays of ['from', 'to'] as const) {
    const goes = stays === 'from' ? 'to' : 'from'
    const [fixed, loose] = [run[stays], run[goes]]
    if (!fixed.fits) continue
    const places = flatMap(cable.carries, (what) =>
      flatMap(['out', 'in'] as const, (way) =>
        (way === 'out' ? gives : takes)(fixed.socket, what)
          ? othersFor(assembly, { what, piece: fixed.piece, way, own: [fixed] }).map((here) => ({ here, way }))
          : [],
      ),
    )
    const open = places
      .filter(({ here }) => goesIn(loose.plug.connector, here.socket.connector) && !isTaken(assembly, here))
      .sort((a, b) => Number(b.here.piece === loose.piece) - Number(a.here.piece === loose.piece))
    for (const { here, way } of open.slice(0, MOST_SOCKETS)) {
      const other = { instance: here.piece.instance.id, socket: here.socket.id }
      const { couplers, ...bare } = link
      // What stays in the socket that the lead leaves alone goes on saving it.
      const saver = couplers?.[stays]
      const end = way === 'out' ? 'from' : 'to'
      const ends = way === 'out' ? { from: link[stays], to: other } : { from: other, to: link[stays] }
      yield {
        text: 'plug {cable} into {to} instead',
        numbers: {},
        names: { cable: run.part.name, to: socketName(here) },
        commands: [
          {
            do: 'link',
            setup: assembly.setup.id,
            // A lead is written down from what gives to what takes.
            link: { ...bare, ...ends, ...(saver === undefined ? {} : { couplers: { [end]: saver } }) },
          },
        ],
      }
    }
  }
}

export const unplugged = (facts: Sees, run: Run): Remedy => ({
  text: 'unplug {cable}',
  numbers: {},
  names: { cable: run.part.name },
  commands: [{ do: 'unlink', setup: facts.assembly.setup.id, cable: run.link.cable }],
})

/** Leads that would meet a demand, through sockets that are free. */
export const joined = (facts: Sees<'plugs'>, demand: Demand): readonly Remedy[] => {
  const { assembly } = facts
  const stock = stockOf(facts)
  const options = flatMap(
    demand.own.filter((here) => !isTaken(assembly, here)),
    (own) =>
      flatMap(
        othersFor(assembly, demand).filter((here) => !isTaken(assembly, here)),
        (other) => {
          const [from, to] = demand.way === 'in' ? [other, own] : [own, other]
          return leadsBetween(assembly, stock, from, to, demand.what).options
        },
      ),
  )
  return options
    .sort((a, b) => a.cost - b.cost)
    .slice(0, MOST_LEADS.joined)
    .map((option) =>
      worded('plug in {part}: {from} to {to}', option, plugIn(assembly.rig, assembly.setup.id, option).commands),
    )
}

/** A lead taken out, and one put in that goes to a free input of another piece; the one that was there where it reaches. */
const takenIn = function* (facts: Facts, run: Run, piece: PlacedPart, what: Demand['what']): Generator<Remedy> {
  const unplug = unplugged(facts, run)
  const after = figuresAfter(facts, unplug.commands)
  if (!after) return
  const { assembly } = after
  const from = { piece: assembly.byInstance.get(run.from.piece.instance.id) ?? run.from.piece, socket: run.from.socket }
  const here = assembly.byInstance.get(piece.instance.id) ?? piece
  for (const socket of here.part.sockets ?? []) {
    const to = { piece: here, socket }
    if (!takes(socket, what) || isTaken(assembly, to)) continue
    const [best] = [...leadsBetween(assembly, stockOf(after), from, to, what).options].sort((x, y) => x.cost - y.cost)
    if (!best) continue
    const commands = [...unplug.commands, ...plugIn(assembly.rig, assembly.setup.id, best).commands]
    const isSame = best.part.id === run.part.id
    const made = worded(isSame ? 'plug {part} over' : 'plug in {part} for {cable}', best, commands)
    yield { ...made, text: `${made.text}: {from} to {to}`, names: { ...made.names, cable: run.part.name } }
  }
}

/**
 * Where the input that a demand wants is taken: what is plugged in there goes into the piece instead, which hands both on.
 * @example a microphone sits in the only input of a camera; a receiver mixes it in and takes the input
 */
export const handedOn = function* (facts: Facts, { what, piece, way }: Demand): Generator<Remedy> {
  if (way !== 'out') return
  const inputs = othersFor(facts.assembly, { what, piece, way, own: [] })
  for (const run of facts.leads) {
    if (!inputs.some((input) => input.piece === run.to.piece && input.socket.id === run.to.socket.id)) continue
    for (const first of takenIn(facts, run, piece, what)) {
      const after = figuresAfter(facts, first.commands)
      const demand =
        after &&
        demandsOf(after.assembly, []).find((one) => one.what === what && one.piece.instance.id === piece.instance.id)
      for (const lead of after && demand ? joined(after, demand) : []) yield bothOf(first, lead)
    }
  }
}

const isIdle = (facts: Sees, partId: string): boolean => facts.assembly.loose.some(({ part }) => part.id === partId)

/** Batteries for a piece's own seat, those at hand first. */
export const seatedBattery = function* (facts: Sees<'points'>, piece: PlacedPart): Generator<Remedy> {
  const seats = facts.points.filter(
    (point) => point.open && point.piece === piece && standardOf(point.mount.standard).kind === 'battery',
  )
  const fits = [...(facts.context.catalogue.byRole.get('battery') ?? [])]
    .filter((part) =>
      seats.some((seat) =>
        part.mounts.some((mount) => {
          const made = mate({ part: piece.part, mount: seat.mount }, { part, mount })
          return made.ok && !made.value.fault
        }),
      ),
    )
    .sort((a, b) => Number(isIdle(facts, b.id)) - Number(isIdle(facts, a.id)) || byReadiness(facts)(a, b))
  for (const part of fits) {
    const put = putOn(facts, part, seats)
    if (put) yield put
  }
}

/** On each plate so many batteries are tried. */
const MOST_PLATED = 2

/** A battery on an empty plate of the rig: its lead is there already, or comes with it. */
export const platedBattery = function* (facts: Facts, demand: Demand): Generator<Remedy> {
  const plates = facts.assembly.placed.filter(({ part }) => part.role === 'battery-plate')
  for (const plate of plates) {
    const isJoined = facts.assembly.setup.links.some(({ from, to }) =>
      [from, to].every(({ instance }) => [plate, demand.piece].some((piece) => piece.instance.id === instance)),
    )
    let count = 0
    for (const put of seatedBattery(facts, plate)) {
      if (count++ >= MOST_PLATED) break
      yield put
      if (isJoined) continue
      const after = figuresAfter(facts, put.commands)
      for (const lead of after ? joined(after, demand) : []) yield bothOf(put, lead)
    }
  }
}

/** One more of something into the bag, or several. */
export const packed = (facts: Sees, { id: partId, name }: Part, count: number): Remedy => {
  const taken = new Set(facts.assembly.rig.kit.map(({ id }) => id))
  const ids: string[] = []
  for (let n = 2; ids.length < count; n++) {
    const id = `${partId.slice(0, LONGEST_STEM)}-${n}`
    if (!taken.has(id)) ids.push(id)
  }
  return {
    text: 'pack {count} more: {part}',
    numbers: { count },
    names: { part: name },
    commands: ids.map((id) => ({ do: 'add', instance: { id, partId, status: 'in' } })),
  }
}
/** So much of a part's id goes into a piece's. */
const LONGEST_STEM = 52

/** A port saver between a plug and its socket that turns nothing, the readiest one that goes in. */
export const saved = ({ assembly, context }: Sees, run: Run, end: 'from' | 'to'): readonly Remedy[] => {
  const { rig } = assembly
  const { link } = run
  const { connector } = run[end].socket
  const [part] = [...(context.catalogue.byRole.get('coupler') ?? [])]
    .filter(({ coupler }) => coupler?.angle === 'straight' && goesIn(coupler.connector, connector))
    .sort(byReadiness({ assembly, context }))
  if (!part) return []
  const idle = assembly.loose.find(
    ({ instance, part: other }) => other.id === part.id && !Object.values(link.couplers ?? {}).includes(instance.id),
  )
  const id = idle?.instance.id ?? freshId(rig, part.id)
  return [
    {
      text: 'leave {part} in {socket}',
      numbers: {},
      names: { part: part.name, socket: connectors[connector].title },
      commands: [
        ...(idle ? [] : [{ do: 'add', instance: { id, partId: part.id, status: 'in' } } as const]),
        ...flatMap(rig.setups, (one) =>
          one.links
            .filter((other) => sameSocket(other[end], link[end]))
            .slice(0, 1)
            .map((other) => ({
              do: 'link' as const,
              setup: one.id,
              link: { ...other, couplers: { ...other.couplers, [end]: id } },
            })),
        ),
      ],
    },
  ]
}
const sameSocket = (a: Run['link']['from'], b: Run['link']['from']): boolean =>
  a.instance === b.instance && a.socket === b.socket
