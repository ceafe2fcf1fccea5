import { flatMap } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, type Ink, rect, sheen, smooth, stroke, within } from '../form.ts'
import { type BoxSolid, type Figure, isBar, isBox } from './read.ts'

/** A grip seen from its side: it bulges, has a notch for a finger, and its top slopes by 18 degrees. */
const gripSide = ([, high, deep]: readonly [number, number, number]): readonly Point2[] => {
  const [b, f, t, d] = [deep / 2, -deep / 2, high / 2, -high / 2]
  return within(
    smooth([
      [b, t],
      [b - deep * 0.5, t - 1],
      [f + 2, t - deep * 0.3],
      [f + 0.5, t - high * 0.22],
      [f + 2.6, t - high * 0.36],
      [f + 0.2, t - high * 0.52],
      [f + 0.6, d + high * 0.14],
      [f + 3.4, d + 1],
      [b - deep * 0.3, d],
      [b, d],
    ]),
    deep,
    high,
  )
}

/** A grip seen from the front: a shoulder above, where the button lies, and a rounded foot. */
const gripFront = ([wide, high]: readonly [number, number, number]): readonly Point2[] => {
  const [l, r, t, d] = [-wide / 2, wide / 2, high / 2, -high / 2]
  return within(
    smooth([
      [l + 1, t - 5],
      [l + wide * 0.3, t - 0.5],
      [r - wide * 0.24, t - 0.5],
      [r - 0.5, t - 8],
      [r, 0],
      [r - 1, d + 7],
      [r - wide * 0.26, d],
      [l + wide * 0.3, d],
      [l, d + 8],
      [l + 1.6, 0],
    ]),
    wide,
    high,
  )
}

const grip = (box: BoxSolid): Form => ({
  x: { outline: gripSide(box.size), roundMm: 0 },
  z: { outline: gripFront(box.size), roundMm: 0 },
  y: { roundMm: 9 },
})

/** The hump over the finder: its foot as wide as the solid, its top three quarters of that. */
const hump = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  z: {
    outline: [
      [-wide / 2, -high / 2],
      [wide / 2, -high / 2],
      [wide * 0.375, high / 2],
      [-wide * 0.375, high / 2],
    ],
    roundMm: 4,
  },
  x: {
    outline: [
      [deep / 2, -high / 2],
      [deep / 2, high / 2],
      [-deep * 0.22, high / 2],
      [-deep / 2, -high * 0.28],
      [-deep / 2, -high / 2],
    ],
    roundMm: 3,
  },
})

const eyecup = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  x: {
    outline: [
      [-deep / 2, -high * 0.32],
      [deep / 2, -high / 2],
      [deep / 2, high / 2],
      [-deep / 2, high * 0.32],
    ],
    roundMm: 2.4,
  },
  z: {
    plus: [{ look: 'hole', outline: rect(wide * 0.66, high * 0.6), roundMm: 2 }, sheen(wide * 0.6, high * 0.56)],
  },
})

const screen = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    on: [{ look: 'screen', outline: rect(wide - 8, high - 9), roundMm: 0.8 }, sheen(wide - 12, high - 12)],
    roundMm: 2.5,
  },
  x: { roundMm: 1.5 },
})

/** Front and back of a hybrid body: the seam of its top, the lens release at four, buttons and the wheel behind. */
const body = (part: Part, { centre, size: [wide, high, deep] }: BoxSolid, gripped: boolean): Form => {
  // Of the optical axis, as it is seen from the middle of the body.
  const axis: Point2 = [-centre[0], -centre[1]]
  const shoulder = high * 0.1
  const outline: readonly Point2[] = [
    [-wide / 2, -high / 2],
    [wide / 2, -high / 2],
    [wide / 2, high / 2 - shoulder * 0.6],
    [wide / 2 - shoulder, high / 2],
    [-wide / 2 + shoulder * 1.4, high / 2],
    [-wide / 2, high / 2 - shoulder],
  ]
  const front: readonly Ink[] = [
    { look: 'plain', outline: disc(3.4, [axis[0] - 29, axis[1] - 21], 18) },
    {
      look: 'line',
      lines: [stroke([-wide / 2 + 3, high / 2 - shoulder - 3], [wide / 2 - 3, high / 2 - shoulder - 3])],
    },
    { look: 'hole', outline: disc(1.8, [axis[0] - 38, high / 2 - shoulder - 8], 14) },
  ]
  const right = wide / 2 - 11
  const rear: readonly Ink[] = [
    { look: 'knob', outline: disc(8, [right, -high * 0.12], 26) },
    { look: 'plain', outline: disc(3, [right, -high * 0.12], 16) },
    { look: 'plain', outline: disc(2.4, [right - 5, high * 0.2], 14) },
    { look: 'plain', outline: disc(2.4, [right + 3, high * 0.2], 14) },
    { look: 'plain', outline: disc(2.4, [right, -high * 0.34], 14) },
  ]
  const door: readonly Ink[] = gripped
    ? [
        {
          look: 'line',
          outline: rect(deep * 0.46, high * 0.62, [deep * 0.18, -high * 0.06]),
          roundMm: 3,
        },
        { look: 'hole', outline: rect(2.6, 9, [deep * 0.36, -high * 0.06]), roundMm: 1.3 },
      ]
    : []
  const lug: Ink = { look: 'metal', outline: disc(2.6, [-deep * 0.2, high / 2 - 8], 14) }
  return {
    z: { outline, roundMm: 6, minus: front, plus: rear },
    x: { roundMm: 6, plus: [...door, lug], minus: [lug] },
    y: {
      roundMm: 8,
      plus: [{ look: 'line', lines: [stroke([-wide / 2 + 6, deep * 0.3], [wide / 2 - 6, deep * 0.3])] }],
    },
  }
}

const BOX_SHAPED = 0.75
/** A box body: corner screws in front, a record button, vents on both flanks. */
const boxBody = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  const screws = flatMap([-1, 1], (x) =>
    [-1, 1].map((y): Ink => {
      const at: Point2 = [x * (wide / 2 - 6), y * (high / 2 - 6)]
      return { look: 'metal', outline: disc(2.2, at, 14), lines: [stroke([at[0] - 1.4, at[1]], [at[0] + 1.4, at[1]])] }
    }),
  )
  const [left, right, low, top] = [-deep * 0.3, deep * 0.12, -high * 0.3, high * 0.3]
  const vents: readonly Ink[] = [
    { look: 'detail', outline: rect(right - left, top - low, [(left + right) / 2, 0]), roundMm: 2.5 },
    ...Array.from({ length: 7 }, (_, i): Ink => {
      const u = left + 4 + ((right - left - 8) * i) / 6
      return { look: 'hole', outline: rect(1.5, top - low - 7, [u, 0]), roundMm: 0.7 }
    }),
  ]
  return {
    z: {
      roundMm: 6,
      minus: [...screws, { look: 'mark', outline: disc(2.6, [wide / 2 - 8, -high / 2 + 16], 16) }],
      plus: screws,
    },
    x: { roundMm: 5, on: vents },
    y: { roundMm: 6 },
  }
}

/** A camera: body with shoulders, grip with a notch, hump, eyecup, screen and dials; or a box. */
export const cameraFigure = (part: Part): Figure => {
  const boxes = part.solids.filter(isBox)
  const main = boxes[0]
  const gripped = boxes.some(({ look, centre }) => look === 'grip' && centre[2] < 0)
  return part.solids.map((solid) => {
    if (isBar(solid)) return undefined
    if (solid === main) {
      const [wide, high] = solid.size
      return !gripped && high / wide > BOX_SHAPED ? boxBody(solid) : body(part, solid, gripped)
    }
    if (solid.look === 'screen') return screen(solid)
    if (solid.look === 'grip') return solid.centre[2] < 0 ? grip(solid) : eyecup(solid)
    return solid.look === 'plain' && solid.centre[1] > 0 ? hump(solid) : undefined
  })
}
