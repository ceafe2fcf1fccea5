import { freshId, type Link, type PlacedPart, type SocketHere, socketName } from '../assembly/index.ts'
import { gives, type Run, type RunEnd, takes } from '../cabling/index.ts'
import { type Carried, type ConnectorId, connectors, goesIn, mate, standardOf } from '../catalogue/index.ts'
import { batteriesOf, batteryKind } from '../power/index.ts'
import {
  type Candidate,
  type Demand,
  isTaken,
  type LeadOption,
  leadsBetween,
  othersFor,
  plugIn,
  type Stock,
} from '../wiring/index.ts'
import type { Remedy } from './check.ts'
import type { Sees } from '../facts/index.ts'
import { paceOf } from './limits.ts'
import { marginsOf } from '../context/index.ts'
import { addRemedy, byReadiness, eachOf, firstOf } from './places.ts'

/** What is around a rig when its leads are chosen, with the room in front of its sockets. */
export const stockOf = (facts: Sees<'plugs'>): Stock => ({
  catalogue: facts.context.catalogue,
  owned: facts.context.owned,
  leadMinor: (paceOf(facts.context.limits).lead / 60) * marginsOf(facts.context.limits).minuteMinor,
  freeMm: ({ piece, socket }: SocketHere) => freeMm(facts, { piece, socket }) ?? Infinity,
})

/** What is free in front of a socket, mm; undefined when even a straight plug stands clear. */
export const freeMm = (facts: Sees<'plugs'>, { piece, socket }: SocketHere): number | undefined => {
  const room = facts.plugs.find((other) => other.piece === piece && other.socket.id === socket.id)
  return room && room.freeMm < room.wantedMm ? room.freeMm : undefined
}

/** What a lead is for: the first thing that leaves its one socket and enters the other. */
export const purposeOf = ({ cable, from, to }: Run): Carried | undefined =>
  cable.carries.find((what) => gives(from.socket, what) && takes(to.socket, what))

/** Names for the words about a lead. */
export const runNames = (run: Run): Record<string, string> => ({
  cable: run.part.name,
  from: socketName(run.from),
  to: socketName(run.to),
})
export const runParts = (run: Run): readonly string[] => [
  run.link.cable,
  run.from.piece.instance.id,
  run.to.piece.instance.id,
]

const worded = (text: string, option: LeadOption, commands: Remedy['commands']): Remedy => ({
  text,
  numbers: {},
  names: { part: option.part.name, from: socketName(option.from), to: socketName(option.to) },
  commands,
})

/** Other leads for the same two sockets, the best first. */
export const swapLead = (
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
    .options.slice(0, 2)
    .map((option) =>
      worded('swap the lead for {part}', option, [
        { do: 'unlink', setup: setup.id, cable: run.link.cable },
        ...plugIn(rig, setup.id, option).commands,
      ]),
    )
}

export const unplug = (facts: Sees, run: Run): Remedy => ({
  text: 'unplug {cable}',
  numbers: {},
  names: { cable: run.part.name },
  commands: [{ do: 'unlink', setup: facts.assembly.setup.id, cable: run.link.cable }],
})

/** Leads that would meet a demand, through sockets that are free. */
export const joinRemedies = (facts: Sees<'plugs'>, demand: Demand, most = 2): readonly Remedy[] => {
  const { assembly } = facts
  const stock = stockOf(facts)
  const options = demand.own
    .filter((here) => !isTaken(assembly, here))
    .flatMap((own) =>
      othersFor(assembly, demand)
        .filter((here) => !isTaken(assembly, here))
        .flatMap((other) => {
          const [from, to] = demand.way === 'in' ? [other, own] : [own, other]
          return leadsBetween(assembly, stock, from, to, demand.what).options
        }),
    )
  return options
    .sort((a, b) => a.cost - b.cost)
    .slice(0, most)
    .map((option) =>
      worded('plug in {part}: {from} to {to}', option, plugIn(assembly.rig, assembly.setup.id, option).commands),
    )
}

/** Batteries for a piece's own seat, those at hand first. */
export const seatBattery = (facts: Sees<'points'>, piece: PlacedPart, most = 2): readonly Remedy[] => {
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
  return firstOf(
    most,
    eachOf(fits, (part) => addRemedy(facts, part, seats)),
  )
}

const isIdle = (facts: Sees, partId: string): boolean => facts.assembly.loose.some(({ part }) => part.id === partId)

/** One more of something into the bag. */
export const packRemedy = (facts: Sees, partId: string, name: string, count = 1): Remedy => {
  const taken = new Set(facts.assembly.rig.kit.map(({ id }) => id))
  const ids: string[] = []
  for (let n = 2; ids.length < count; n++) {
    const id = `${partId.slice(0, 52)}-${n}`
    if (!taken.has(id)) ids.push(id)
  }
  return {
    text: 'pack {count} more: {part}',
    numbers: { count },
    names: { part: name },
    commands: ids.map((id) => ({ do: 'add', instance: { id, partId, status: 'in' } })),
  }
}

/** The end of a lead, and the other one. */
export const endsOf = (run: Run): readonly (readonly [RunEnd, RunEnd])[] => [
  [run.from, run.to],
  [run.to, run.from],
]

/** A battery of a kind, on the rig or in the bag. */
export const batteryOf = (facts: Sees, kind: string) =>
  batteriesOf(facts.assembly).find(({ part }) => batteryKind(part) === kind)

/** A port saver between a plug and its socket that turns nothing, the readiest one that goes in. */
export const saverRemedies = (
  { assembly, context }: Sees,
  link: Link,
  end: 'from' | 'to',
  connector: ConnectorId,
): readonly Remedy[] => {
  const { rig } = assembly
  const fits = [...(context.catalogue.byRole.get('coupler') ?? [])]
    .filter(({ coupler }) => coupler?.angle === 'straight' && goesIn(coupler.connector, connector))
    .sort(byReadiness({ assembly, context }))
  return fits.slice(0, 1).map((part) => {
    const idle = assembly.loose.find(
      ({ instance, part: other }) => other.id === part.id && !Object.values(link.couplers ?? {}).includes(instance.id),
    )
    const id = idle?.instance.id ?? freshId(rig, part.id)
    return {
      text: 'leave {part} in {socket}',
      numbers: {},
      names: { part: part.name, socket: connectors[connector].title },
      commands: [
        ...(idle ? [] : [{ do: 'add', instance: { id, partId: part.id, status: 'in' } } as const]),
        ...rig.setups.flatMap((one) =>
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
    }
  })
}
const sameSocket = (a: Link['from'], b: Link['from']): boolean => a.instance === b.instance && a.socket === b.socket
