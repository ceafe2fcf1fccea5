import { flatMap } from '../kernel/index.ts'
import { type Assembly, everywhere, type PlacedPart } from '../assembly/index.ts'
import type { Codec, Part } from '../catalogue/index.ts'

/** What file system, sound and rounding leave of a card. */
export const FILLED = 0.93
/** More than the plan says is always shot. */
export const SPARE = 1.3
/** A drive has to take this much more than the stream, so that it never has to wait. */
export const WRITE_MARGIN = 1.3
/** How much more is planned for than asked. */
export interface RecordMargins {
  readonly spare: number
  readonly write: number
}
export const usualRecordMargins: RecordMargins = { spare: SPARE, write: WRITE_MARGIN }
const MB_PER_GB = 1000

/** Minutes a card or drive takes: `GB x 8000 / Mbps / 60 x 0.93`. @example 128 GB at 200 Mbps: 79.36 min */
export const recordMinutes = (gb: number, mbps: number): number => ((gb * 8000) / mbps / 60) * FILLED

/** What a day's recording fills, GB. @example 132 min at 200 Mbps with 1.3 to spare: 276.8 GB */
export const dayGb = (rollMin: number, mbps: number, spare = SPARE): number =>
  (rollMin * 60 * mbps * spare) / 8000 / FILLED

/** Minutes to copy so much off at a reading speed, MB/s. @example 276.8 GB at 200 MB/s: 23.1 min */
export const offloadMinutes = (gb: number, readMBs: number): number => (gb * MB_PER_GB) / readMBs / 60

/** The writing speed a stream wants, MB/s. @example 200 Mbps: 25 MB/s, and 32.5 with room to spare */
export const wantedMBs = (mbps: number, margin = WRITE_MARGIN): number => (mbps / 8) * margin

/** A card or drive that a recorder can use. */
export interface Medium {
  readonly id: string
  readonly part: Part
  readonly gb: number
  readonly minutes: number
  readonly writeMBs: number
  readonly readMBs: number
  readonly onRig: boolean
}

/** A piece that records, what on, and for how long. */
export interface Recording {
  readonly piece: PlacedPart
  readonly codec: Codec
  readonly media: readonly Medium[]
  /** All of it together, minutes. */
  readonly minutes: number
  readonly neededMin: number
  /**
   * Room for it on cards, GB; what is really written, and copied off, is less by what file system and rounding take.
   */
  readonly neededGb: number
  readonly writtenGb: number
  /** Copying what the plan asks for, at the slowest of its media, minutes; Infinity without any. */
  readonly offloadMin: number
}

/** A drive is used by the recorder its data lead goes to. */
const driveOf = (assembly: Assembly, recorder: PlacedPart, drive: string): boolean =>
  assembly.setup.links.some(({ from, to }) =>
    [
      [from, to],
      [to, from],
    ].some(([a, b]) => a?.instance === drive && b?.instance === recorder.instance.id),
  )

const mediumOf = (id: string, part: Part, codec: Codec, onRig: boolean): Medium | undefined => {
  const { stores } = part.media ?? {}
  return (
    stores && {
      id,
      part,
      gb: stores.gb,
      minutes: recordMinutes(stores.gb, codec.mbps),
      writeMBs: stores.writeMBs,
      readMBs: stores.readMBs,
      onRig,
    }
  )
}

/**
 * What records in this set-up. Cards of the kit go into the slots that take their kind; drives count when a lead joins
 * them. The camera comes first; a recorder counts with its own cards.
 * @param codecId the recording to plan with; a recorder that can't make it plans with its usual one
 * @param canMake what comes to a piece may not be enough for all that it could record
 */
export const recordingsOf = (
  assembly: Assembly,
  rollMin: number,
  codecId: string,
  { spare } = usualRecordMargins,
  canMake: (piece: PlacedPart, codec: Codec) => boolean = () => true,
): readonly Recording[] => {
  const used = new Set<string>()
  return flatMap(everywhere(assembly), (piece): Recording[] => {
    const { codecs: stated, takes = [], drive } = piece.part.media ?? {}
    const codecs = stated?.filter((codec) => canMake(piece, codec))
    const codec = codecs?.find(({ id }) => id === codecId) ?? codecs?.[0]
    if (!codec) return []
    const cards = assembly.loose.filter(
      ({ instance, part }) =>
        instance.status === 'in' &&
        part.media?.stores &&
        takes.includes(part.media.stores.kind) &&
        !used.has(instance.id),
    )
    for (const { instance } of cards) used.add(instance.id)
    const drives = drive
      ? everywhere(assembly).filter(
          (other) => other.part.media?.stores?.kind === 'drive' && driveOf(assembly, piece, other.instance.id),
        )
      : []
    const media = [
      ...flatMap(cards, ({ instance, part }) => mediumOf(instance.id, part, codec, false) ?? []),
      ...flatMap(drives, ({ instance, part }) => mediumOf(instance.id, part, codec, true) ?? []),
    ]
    const neededGb = dayGb(rollMin, codec.mbps, spare)
    const writtenGb = neededGb * FILLED
    const slowest = Math.min(...media.map(({ readMBs }) => readMBs))
    return [
      {
        piece,
        codec,
        media,
        minutes: media.reduce((sum, medium) => sum + medium.minutes, 0),
        neededMin: rollMin * spare,
        neededGb,
        writtenGb,
        offloadMin: media.length > 0 ? offloadMinutes(writtenGb, slowest) : Infinity,
      },
    ]
  })
}
