import type { Part, UnknownFigure } from './part.ts'

/** Is a figure of this part unknown? */
export const isUnknown = (part: Pick<Part, 'unknown'>, figure: UnknownFigure): boolean =>
  part.unknown?.includes(figure) ?? false

/** A part of which a figure is not known any more. */
export const nowUnknown = (part: Part, figure: UnknownFigure): Part =>
  isUnknown(part, figure) ? part : { ...part, unknown: [...(part.unknown ?? []), figure] }

/** A part of which a figure is known from now on; the last unknown one takes the list away. */
export const nowKnown = (part: Part, figure: UnknownFigure): Part => {
  if (!isUnknown(part, figure)) return part
  const { unknown = [], ...rest } = part
  const left = unknown.filter((one) => one !== figure)
  return left.length > 0 ? { ...rest, unknown: left } : rest
}
