import { type SocketHere, socketName } from '../assembly/index.ts'
import { gives, type Run, type RunEnd, takes } from '../cabling/index.ts'
import type { Carried } from '../catalogue/index.ts'
import { batteriesOf, batteryKind } from '../power/index.ts'
import type { Stock } from '../wiring/index.ts'
import type { Sees } from '../facts/index.ts'
import { paceOf } from './limits.ts'
import { marginsOf } from '../context/index.ts'

/** What is around a rig when its leads are chosen, with the room in front of its sockets. */
export const stockOf = (facts: Sees<'plugs'>): Stock => ({
  catalogue: facts.context.catalogue,
  owned: facts.context.owned,
  leadMinor: (paceOf(facts.context).lead / 60) * marginsOf(facts.context).minuteMinor,
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

/** The end of a lead, and the other one. */
export const endsOf = (run: Run): readonly (readonly [RunEnd, RunEnd])[] => [
  [run.from, run.to],
  [run.to, run.from],
]

/** A battery of a kind, on the rig or in the bag. */
export const batteryOf = (facts: Sees, kind: string) =>
  batteriesOf(facts.assembly).find(({ part }) => batteryKind(part) === kind)
