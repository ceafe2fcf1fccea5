import { type Assembly, everywhere, type PlacedPart, type SocketHere, socketsOf } from '../assembly/index.ts'
import { gives, pathTo, picturesOf, type Run, soundsOf, takes } from '../cabling/index.ts'
import type { Carried } from '../catalogue/index.ts'
import { sitsAsBattery } from '../power/index.ts'

/** Something a piece has to be joined to: where from, or where to. */
export interface Demand {
  readonly what: Carried
  /** The piece that needs it. */
  readonly piece: PlacedPart
  /** `in`: something has to come to the piece; `out`: what it gives has to go somewhere. */
  readonly way: 'in' | 'out'
  /** The piece's own sockets that would do. */
  readonly own: readonly SocketHere[]
}

const own = (piece: PlacedPart, wanted: (here: SocketHere) => boolean): readonly SocketHere[] =>
  (piece.part.sockets ?? []).map((socket) => ({ piece, socket })).filter(wanted)

/** A piece that records pictures and sound: the camera, and any recorder. */
export const records = ({ part }: PlacedPart): boolean => part.media?.codecs !== undefined

const hasOwnBattery = (assembly: Assembly, piece: PlacedPart): boolean =>
  everywhere(assembly).some((other) => other.host === piece && other.part.power?.store && sitsAsBattery(other))

const wantsPower = ({ part }: PlacedPart): boolean =>
  part.power?.drawW !== undefined && part.power.ownMin === undefined && !part.power.mains && !part.power.store

/**
 * What a set-up has to be wired for and is not: power for what draws some and has no battery of its own, a picture for
 * what takes one in, an input for every sound, timecode and trigger, and a lead to every drive.
 * @param trickle the camera wants power by lead although its own pack is in
 */
export const demandsOf = (assembly: Assembly, runs: readonly Run[], trickle = false): readonly Demand[] => {
  const demands: Demand[] = []
  const arrives = (piece: PlacedPart, what: Carried) => pathTo(piece, runs, what).runs.length > 0
  const leaves = ({ piece, socket }: SocketHere) =>
    runs.some((run) => run.from.piece === piece && run.from.socket.id === socket.id)
  for (const piece of everywhere(assembly)) {
    const camera = piece.part.role === 'camera'
    const alone = hasOwnBattery(assembly, piece) && !(camera && trickle)
    // A dummy pack draws nothing itself: its lead feeds what it sits in.
    const wants = wantsPower(piece) || (piece.part.role === 'dummy' && sitsAsBattery(piece))
    const dummyIn = everywhere(assembly).some((other) => other.host === piece && other.part.role === 'dummy')
    if (wants && !alone && !dummyIn && !arrives(piece, 'power'))
      demands.push({ what: 'power', piece, way: 'in', own: own(piece, ({ socket }) => takes(socket, 'power')) })
  }
  for (const { sink, runs: way } of picturesOf(assembly, runs))
    if (way.length === 0)
      demands.push({
        what: 'picture',
        piece: sink,
        way: 'in',
        own: own(sink, ({ socket }) => takes(socket, 'picture')),
      })
  for (const { piece, socket, run } of soundsOf(assembly, runs))
    if (!run) demands.push({ what: 'sound', piece, way: 'out', own: [{ piece, socket }] })
  for (const here of socketsOf(assembly)) {
    const { piece, socket } = here
    const leadsOut = (what: Carried) => socket.direction === 'out' && gives(socket, what) && !leaves(here)
    if (leadsOut('timecode')) demands.push({ what: 'timecode', piece, way: 'out', own: [here] })
    if (leadsOut('trigger')) demands.push({ what: 'trigger', piece, way: 'out', own: [here] })
  }
  for (const piece of everywhere(assembly)) {
    const { stores } = piece.part.media ?? {}
    const joined = runs.some((run) => run.from.piece === piece || run.to.piece === piece)
    if (stores?.kind === 'drive' && !joined)
      demands.push({ what: 'data', piece, way: 'out', own: own(piece, ({ socket }) => gives(socket, 'data')) })
  }
  return demands
}

/** Sockets at the other end that could meet a demand, whatever lead that takes. */
export const othersFor = (assembly: Assembly, { what, piece, way }: Demand): readonly SocketHere[] =>
  socketsOf(assembly).filter(({ piece: other, socket }) => {
    if (other === piece || socket.phones) return false
    if (way === 'in') return gives(socket, what) && (what !== 'power' || socket.direction === 'out')
    // Sound goes to what records it or mixes it in; a picture socket brings its own sound and takes no microphone.
    if (what === 'sound') return takes(socket, 'sound') && !takes(socket, 'picture')
    if (what === 'data') return takes(socket, 'data') && other.part.media?.drive === true
    return takes(socket, what)
  })
