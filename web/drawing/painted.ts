import type { Stroke } from '@zucchini/core/drawing'

/** What is drawn of a stroke here; a card has no finer lines. */
export type Drawn = Pick<Stroke, 'key' | 'instance' | 'look' | 'outline'> &
  Partial<Pick<Stroke, 'detail' | 'onFace' | 'said' | 'by'>>

/** A stroke with how it is painted. */
export interface Painted {
  readonly stroke: Drawn
  readonly fill: string
  readonly line: string
  readonly width: number
  readonly fine: string
  readonly fineWidth: number
  readonly fineOpacity: number
}

/** Strokes of a piece that follow each other. */
export interface Run {
  readonly key: string
  readonly instance: string
  /** Where they are painted, if not where their paths are. */
  readonly aside: string | undefined
  readonly strokes: readonly Painted[]
}

/** Does it look the same, wherever it is painted? */
const looksAlike = (a: Painted, b: Painted | undefined): boolean =>
  b !== undefined &&
  a.stroke.key === b.stroke.key &&
  a.stroke.outline === b.stroke.outline &&
  a.stroke.detail === b.stroke.detail &&
  a.stroke.said === b.stroke.said &&
  a.fill === b.fill &&
  a.line === b.line &&
  a.width === b.width &&
  a.fine === b.fine &&
  a.fineWidth === b.fineWidth &&
  a.fineOpacity === b.fineOpacity

/**
 * Strokes in the order of painting, piece by piece.
 * @param before as they were: strokes that look the same are the same list again, so that nothing of them is drawn anew
 */
export const runsOf = (painted: readonly Painted[], before: readonly Run[] = []): readonly Run[] => {
  const was = new Map(before.map((run) => [run.key, run.strokes]))
  const all: { key: string; instance: string; aside: string | undefined; strokes: Painted[] }[] = []
  for (const one of painted) {
    const { key, instance, by } = one.stroke
    const last = all.at(-1)
    if (last?.instance === instance) last.strokes.push(one)
    else all.push({ key, instance, aside: by && `translate(${by[0]} ${by[1]})`, strokes: [one] })
  }
  return all.map((run) => {
    const old = was.get(run.key)
    const stays = old?.length === run.strokes.length && run.strokes.every((one, i) => looksAlike(one, old[i]))
    return stays ? { ...run, strokes: old } : run
  })
}
