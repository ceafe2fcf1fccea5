import type { Issue } from '../kernel/index.ts'
import type { MountEnd, ObjectionCode } from './standard.ts'

/** An objection when two ends belong to different families; an end without a family goes with none. */
export const sameFamily =
  (code: ObjectionCode) =>
  (socket: MountEnd, plug: MountEnd): readonly Issue<ObjectionCode>[] =>
    socket.mount.family !== undefined && socket.mount.family === plug.mount.family
      ? []
      : [
          {
            code,
            path: plug.mount.id,
            names: { holds: socket.mount.family ?? 'unknown', wants: plug.mount.family ?? 'unknown' },
          },
        ]

/** Like `sameFamily`, but a family the socket lists as almost fitting goes in, with a fault. */
export const familyOrAlmost =
  (code: ObjectionCode) =>
  (socket: MountEnd, plug: MountEnd): readonly Issue<ObjectionCode>[] =>
    socket.mount.almost?.includes(plug.mount.family ?? '') ? [] : sameFamily(code)(socket, plug)

/** The fault of an almost fitting family. */
export const almostFault =
  (words: string) =>
  (socket: MountEnd, plug: MountEnd): string | undefined =>
    socket.mount.family !== plug.mount.family && socket.mount.almost?.includes(plug.mount.family ?? '')
      ? words
      : undefined

/**
 * A ring's size as people type it, mm; undefined when it can't be read as one. Never NaN.
 * @example `77`, `77 mm`, `Ø77mm`, `M77x0.75` and `77,0` are all 77; `large` is undefined
 */
export const diameterOf = (typed: string | undefined): number | undefined => {
  const [, figure] =
    /^\s*(?:[Øøm]\s*)?(\d{1,3}(?:[.,]\d{1,2})?)\s*(?:mm)?\s*(?:x\s*[01](?:[.,]\d+)?\s*(?:mm)?)?\s*$/i.exec(
      typed ?? '',
    ) ?? []
  return figure === undefined ? undefined : Number(figure.replace(',', '.'))
}

const sizeWord = (typed: string | undefined): string => {
  const mm = diameterOf(typed)
  return mm === undefined ? (typed ?? 'an unknown size') : `${mm} mm`
}

/** An objection when two rings are not of one size, however it was typed; an end of no known size goes with none. */
export const sameSize =
  (code: 'clamp-size-differs' | 'filter-size-differs') =>
  (socket: MountEnd, plug: MountEnd): readonly Issue<ObjectionCode>[] => {
    const [holdsMm, wantsMm] = [diameterOf(socket.mount.family), diameterOf(plug.mount.family)]
    if (holdsMm !== undefined && holdsMm === wantsMm) return []
    const names = { holds: sizeWord(socket.mount.family), wants: sizeWord(plug.mount.family) }
    const known = holdsMm !== undefined && wantsMm !== undefined
    return [{ code, path: plug.mount.id, names, ...(known ? { numbers: { lensMm: holdsMm, filterMm: wantsMm } } : {}) }]
  }
