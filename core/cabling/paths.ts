import { type Assembly, type PlacedPart, type SocketHere, socketsOf } from '../assembly/index.ts'
import { type Carried, mountOf, type PictureFormat, pictureFormats, type Socket } from '../catalogue/index.ts'
import type { Run } from './runs.ts'

/** Does something of this kind leave, or enter, by this socket? */
export const gives = (socket: Socket, what: Carried): boolean =>
  socket.direction !== 'in' && (socket.carries?.includes(what) ?? false)
export const takes = (socket: Socket, what: Carried): boolean =>
  socket.direction !== 'out' && (socket.carries?.includes(what) ?? false)

/** A lead that takes a signal from one piece to the next. */
export const passes = (run: Run, what: Carried): boolean =>
  run.from.fits &&
  run.to.fits &&
  run.cable.carries.includes(what) &&
  gives(run.from.socket, what) &&
  takes(run.to.socket, what)

/** A piece that wants a signal, and the way it comes. */
export interface SignalPath {
  readonly sink: PlacedPart
  /** The leads it comes through, the source's first; empty when nothing comes. */
  readonly runs: readonly Run[]
  /** Where it comes from: the camera, or whatever stands at the start of the leads. */
  readonly source: PlacedPart | undefined
}

/** Back along the leads from a piece to where its signal starts; a ring ends where it closes. */
export const pathTo = (sink: PlacedPart, runs: readonly Run[], what: Carried): SignalPath => {
  const taken: Run[] = []
  let at = sink
  for (;;) {
    const run = runs.find((other) => passes(other, what) && other.to.piece === at && !taken.includes(other))
    if (!run) return { sink, runs: taken, source: taken.length > 0 ? at : undefined }
    taken.unshift(run)
    at = run.from.piece
    if (at === sink) return { sink, runs: taken, source: undefined }
  }
}

const inlets = (assembly: Assembly, what: Carried): readonly SocketHere[] =>
  socketsOf(assembly).filter(({ socket }) => takes(socket, what))

/** A screen, recorder, sender or converter, and the picture it gets. */
export interface PicturePath extends SignalPath {
  /** The heaviest picture that all on the way pass; undefined when they have none in common. */
  readonly format: PictureFormat | undefined
  /** The heaviest the camera gives. */
  readonly given: PictureFormat | undefined
  readonly delayMs: number
}

const heaviest = (formats: readonly PictureFormat[]): PictureFormat | undefined =>
  [...pictureFormats].reverse().find((format) => formats.includes(format))

const upTo = (limit: PictureFormat | undefined): readonly PictureFormat[] =>
  limit ? pictureFormats.slice(0, pictureFormats.indexOf(limit) + 1) : pictureFormats

/** All pieces that take a picture in, with the way it comes. */
export const picturesOf = (assembly: Assembly, runs: readonly Run[]): readonly PicturePath[] => {
  const sinks = [...new Set(inlets(assembly, 'picture').map(({ piece }) => piece))]
  return sinks.map((sink): PicturePath => {
    const path = pathTo(sink, runs, 'picture')
    let common: readonly PictureFormat[] = pictureFormats
    for (const run of path.runs) {
      const of = (socket: Socket) => socket.formats ?? pictureFormats
      common = common.filter(
        (format) =>
          of(run.from.socket).includes(format) &&
          of(run.to.socket).includes(format) &&
          upTo(run.cable.upTo).includes(format),
      )
    }
    const first = path.runs[0]?.from.socket.formats
    return {
      ...path,
      format: path.runs.length > 0 ? heaviest(common) : undefined,
      given: first && heaviest(first),
      delayMs: path.runs.reduce(
        (sum, run) => sum + (run.to.piece === sink ? 0 : (run.to.piece.part.delayMs ?? 0)),
        sink.part.delayMs ?? 0,
      ),
    }
  })
}

/** A mic, receiver or preamp that gives sound, and where it goes. */
export interface SoundSource extends SocketHere {
  readonly run: Run | undefined
}

/** Does its sound go through the contacts of the shoe it sits in? Then it wants no lead and no input. */
export const heardByShoe = ({ host, joint, part, mate }: PlacedPart): boolean =>
  mate?.ok === true &&
  joint !== undefined &&
  mountOf(part, joint.guestMount)?.sound === true &&
  (host && mountOf(host.part, joint.hostMount))?.sound === true

/** Jacks and receivers that give sound to something by a lead; headphone jacks do not count. */
export const soundsOf = (assembly: Assembly, runs: readonly Run[]): readonly SoundSource[] =>
  socketsOf(assembly)
    .filter(
      ({ piece, socket }) =>
        gives(socket, 'sound') &&
        !socket.phones &&
        !takes(socket, 'picture') &&
        !gives(socket, 'picture') &&
        !heardByShoe(piece),
    )
    .map(({ piece, socket }): SoundSource => ({
      piece,
      socket,
      run: runs.find((run) => run.from.piece === piece && run.from.socket.id === socket.id && passes(run, 'sound')),
    }))

/** Inputs for sound on the rig. */
export const soundInlets = (assembly: Assembly): readonly SocketHere[] =>
  inlets(assembly, 'sound').filter(({ socket }) => !takes(socket, 'picture'))
