import type { Assessment } from '@zucchini/core/assess'
import { LONG_MIN } from '@zucchini/core/balance'
import { type Extent, extentOfRig, type ViewId } from '@zucchini/core/drawing'
import type { FigureRef } from '../../stores/ask.ts'
import { degrees, grams, holdWords, hoursMinutes, millimetres, signed, type Style } from '../../wording.ts'

/** One figure of two set-ups, and by how much the second differs. */
export interface CompareRow {
  readonly asks: FigureRef
  readonly title: string
  readonly a: string
  readonly b: string
  readonly change: string
}

/** A figure of both sides; a dash where there is none. */
export const rowOf =
  (a: Assessment, b: Assessment) =>
  (
    asks: FigureRef,
    title: string,
    of: (side: Assessment) => number | undefined,
    write: (value: number) => string,
  ): CompareRow => {
    const [x, y] = [of(a), of(b)]
    const change = x !== undefined && y !== undefined ? y - x : undefined
    return {
      asks,
      title,
      a: x === undefined ? '–' : write(x),
      b: y === undefined ? '–' : write(y),
      change: change === undefined ? '' : Math.abs(change) < 0.005 ? 'the same' : signed(change, write),
    }
  }

/** Both drawn to one scale: the larger of the two decides. */
export const extentOfBoth = (view: ViewId, a: Assessment, b: Assessment): Extent => {
  const [p, q] = [extentOfRig(view, a.assembly), extentOfRig(view, b.assembly)]
  return {
    left: Math.min(p.left, q.left),
    right: Math.max(p.right, q.right),
    bottom: Math.min(p.bottom, q.bottom),
    top: Math.max(p.top, q.top),
  }
}

/** How long each can be held; what can be held long differs from nothing by minutes. */
const heldRow = (a: Assessment, b: Assessment): CompareRow => {
  const isLong = ({ holdMinutes }: Assessment) => holdMinutes !== undefined && holdMinutes > LONG_MIN
  const minutes = (side: Assessment) => (isLong(side) ? undefined : side.holdMinutes)
  const row = rowOf(a, b)('held', 'held still for', minutes, holdWords)
  const words = (side: Assessment, told: string) => (isLong(side) ? holdWords(side.holdMinutes ?? 0) : told)
  return { ...row, a: words(a, row.a), b: words(b, row.b) }
}

/** What two set-ups are measured by, side by side. */
export const compareRows = (a: Assessment, b: Assessment, { units }: Style): readonly CompareRow[] => {
  const row = rowOf(a, b)
  const tilt = ({ hang, assembly }: Assessment) =>
    hang && assembly.setup.support === 'hand-low' ? Math.abs(hang.tiltDeg) : undefined
  return [
    row(
      'in-hand',
      'in the hand',
      ({ mass }) => Math.round(mass.inHandG),
      (g) => grams(g, units),
    ),
    row(
      'fact mass',
      'all of it',
      ({ mass }) => Math.round(mass.totalG),
      (g) => grams(g, units),
    ),
    row(
      'tall',
      'tall',
      ({ size }) => Math.round(size.tallMm),
      (mm) => millimetres(mm, units),
    ),
    row(
      'fact size',
      'wide',
      ({ size }) => Math.round(size.wideMm),
      (mm) => millimetres(mm, units),
    ),
    row(
      'fact size',
      'long',
      ({ size }) => Math.round(size.longMm),
      (mm) => millimetres(mm, units),
    ),
    row('hangs', 'hangs off level', tilt, degrees),
    row(
      'fact steadiness',
      'yaw shake',
      ({ steadiness }) => steadiness?.yaw,
      (value) => `${value.toFixed(2)} ×`,
    ),
    heldRow(a, b),
    row('set-up', 'put together in', ({ setupSeconds }) => setupSeconds, hoursMinutes),
  ]
}
