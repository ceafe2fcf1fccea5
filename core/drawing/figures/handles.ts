import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, rect, rows, smooth, stroke, within } from '../form.ts'
import { type BarSolid, type BoxSolid, type Figure, isBox } from './read.ts'

/** The rubber ends so far before the nose, and lies so far inside the edge of the bar. mm */
const NOSE_MM = 30
const INSET_MM = 2.5

/** The bar of a top handle: metal with rubber let into it, a nose that takes screws. */
const handleBar = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  const rubber = deep - NOSE_MM - INSET_MM * 2
  // Places along x run with z: the nose looks ahead, where z is least.
  const middle = deep / 2 - INSET_MM - rubber / 2
  return {
    look: 'metal',
    x: {
      outline: within(
        smooth([
          [deep / 2 - 1, -high * 0.2],
          [deep / 2, high * 0.16],
          [deep / 2 - 5, high / 2 - 0.5],
          [deep * 0.2, high / 2],
          [-deep * 0.2, high / 2],
          [-deep / 2 + 8, high / 2],
          [-deep / 2, high / 2 - 4],
          [-deep / 2, -high / 2 + 5],
          [-deep / 2 + 5, -high / 2],
          [-deep * 0.2, -high / 2],
          [deep * 0.2, -high / 2],
          [deep / 2 - 7, -high / 2],
        ]),
        deep,
        high,
      ),
      roundMm: 0,
      on: [
        { look: 'grip', outline: rect(rubber, high - 2 * INSET_MM, [middle, 0]), roundMm: 7 },
        { look: 'hole', outline: disc(2.2, [-deep / 2 + 10, 1], 16) },
        { look: 'hole', outline: disc(2.2, [-deep / 2 + 20, 1], 16) },
      ],
    },
    y: {
      roundMm: 8,
      plus: [{ look: 'grip', outline: rect(wide - 2 * INSET_MM, rubber, [0, middle]), roundMm: 6 }],
    },
    z: { roundMm: 8, plus: [{ look: 'grip', outline: rect(wide - 4, high - 4), roundMm: 7 }] },
  }
}

/** A post: waisted, from its foot to the bar. */
const post = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  const waist = (across: number): readonly Point2[] => [
    [-across / 2, -high / 2],
    [across / 2, -high / 2],
    [across * 0.36, -high * 0.24],
    [across * 0.36, high * 0.18],
    [across / 2, high / 2],
    [-across / 2, high / 2],
    [-across * 0.36, high * 0.18],
    [-across * 0.36, -high * 0.24],
  ]
  return { x: { outline: waist(deep), roundMm: 4 }, z: { outline: waist(wide), roundMm: 3 } }
}

const foot = ({ size: [wide, , deep] }: BoxSolid): Form => ({
  y: { roundMm: 3, on: [{ look: 'line', outline: rect(wide - 5, deep - 5), roundMm: 2 }] },
})

/** A top handle: foot, post, bar. */
export const topHandleFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (!isBox(solid)) return undefined
    if (solid.look === 'grip') return handleBar(solid)
    return solid.look === 'plain' ? post(solid) : foot(solid)
  })

/** Fingers on a side handle, and how deep their hollows are, as a part of its thickness. */
const FINGERS = 4
const DEEP = 0.14

/** A side handle from its side: smooth behind, where the palm lies, hollows for the fingers ahead. */
const palm = ({ radius, length }: BarSolid): Form => {
  const [r, half] = [radius, length / 2]
  const hollow = 2 * radius * DEEP
  const top = half - length * 0.1
  const pitch = (length * 0.8) / FINGERS
  const fingers = Array.from({ length: FINGERS }, (_, i): readonly Point2[] => [
    [-r, top - i * pitch],
    [-r + hollow, top - (i + 0.5) * pitch],
  ]).flat()
  const side = within(
    smooth([
      [r * 0.72, half],
      [-r * 0.72, half],
      ...fingers,
      [-r, -half + 5],
      [-r * 0.8, -half],
      [r * 0.8, -half],
      [r, -half + 6],
      [r * 0.94, -half * 0.3],
      [r, half * 0.3],
      [r * 0.92, half - 8],
    ]),
    2 * r,
    length,
  )
  const front = within(
    smooth([
      [r * 0.74, half],
      [-r * 0.74, half],
      [-r * 0.9, half - 9],
      [-r * 0.84, 0],
      [-r, -half + 10],
      [-r * 0.8, -half],
      [r * 0.8, -half],
      [r, -half + 10],
      [r * 0.84, 0],
      [r * 0.9, half - 9],
    ]),
    2 * r,
    length,
  )
  const cap = [{ look: 'line', lines: [stroke([-r * 0.9, -half + 5], [r * 0.9, -half + 5])] }]
  return { x: { outline: side, roundMm: 0, on: cap }, z: { outline: front, roundMm: 0, on: cap } }
}

/** The clamp of a side handle: two jaws. */
const jaws = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  z: { roundMm: 3, on: [{ look: 'line', lines: rows(1, [-wide / 2, wide / 2], [0, 0]) }] },
  x: { roundMm: 3, on: [{ look: 'line', lines: rows(2, [-deep / 2, deep / 2], [-high * 0.16, high * 0.16]) }] },
})

export const sideHandleFigure = (part: Part): Figure =>
  part.solids.map((solid) => (isBox(solid) ? jaws(solid) : solid.look === 'grip' ? palm(solid) : undefined))
