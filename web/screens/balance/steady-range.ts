import type { Variant } from '@zucchini/core/assess'

export interface Span {
  readonly min: number
  readonly max: number
}
interface Sheet {
  readonly massG: Span
  readonly yawShake: Span
  /** The bare camera where it lies too far off to be drawn: the others would lie on one another. */
  readonly off: Variant | undefined
}

/** What a sheet is wide and high at least: less would make differences that nobody feels look great. */
const LEAST_G = 100
const LEAST_SHAKE = 0.1
/** A bare camera that would make the sheet more than so many times as wide is told in words. */
const MOST_TIMES = 3

/** A span round figures, with a margin, in whole steps of a fifth of what it is wide at least. */
const spanOf = (values: readonly number[], least: number): Span => {
  const step = least / 5
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const margin = Math.max(step / 2, (high - low) * 0.08, (least - (high - low)) / 2)
  return {
    min: Math.max(0, Math.floor((low - margin) / step) * step),
    max: Math.ceil((high + margin) / step) * step,
  }
}

/** The part of light against steady that is drawn. */
export const sheetOf = (variants: readonly Variant[]): Sheet => {
  const rigs = variants.filter(({ kind }) => kind !== 'bare')
  const spans = (of: readonly Variant[]) => ({
    massG: spanOf(
      of.map((one) => one.massG),
      LEAST_G,
    ),
    yawShake: spanOf(
      of.map((one) => one.yawShake),
      LEAST_SHAKE,
    ),
  })
  const all = spans(variants)
  if (rigs.length === 0 || rigs.length === variants.length) return { ...all, off: undefined }
  const near = spans(rigs)
  const wide = ({ min, max }: Span) => max - min
  return wide(all.massG) > MOST_TIMES * wide(near.massG) || wide(all.yawShake) > MOST_TIMES * wide(near.yawShake)
    ? { ...near, off: variants.find(({ kind }) => kind === 'bare') }
    : { ...all, off: undefined }
}
