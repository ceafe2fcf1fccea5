import { flatMap } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { columns, disc, type Form, type Ink, rect, rows, sheen, stroke } from '../form.ts'
import { type BarSolid, type BoxSolid, type Figure, glyphed, isBox } from './read.ts'

const display = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    on: [{ look: 'screen', outline: rect(wide - 3, high - 3), roundMm: 1 }, sheen(wide - 6, high - 6)],
    roundMm: 1.5,
  },
})

/** The case of a monitor: the line of its face, buttons under the picture, vents behind. */
const panel = ({ size: [wide, high, deep] }: BoxSolid, screenHigh: number): Form => {
  const below = (high - screenHigh) / 2
  const buttons: readonly Ink[] =
    below > 4
      ? [-1.5, -0.5, 0.5, 1.5].map((i) => ({
          look: 'detail',
          outline: rect(8, 2.4, [i * 14, -high / 2 + below * 0.52]),
          roundMm: 1.2,
        }))
      : []
  const vents: Ink = { look: 'line', lines: columns(9, [high / 2 - 14, high / 2 - 7], [-wide * 0.26, wide * 0.26]) }
  return {
    z: { roundMm: 5, plus: buttons, minus: [vents, { look: 'line', outline: rect(wide - 8, high - 8), roundMm: 4 }] },
    x: {
      roundMm: 3,
      on: [{ look: 'line', lines: [stroke([deep / 2 - 3, -high / 2], [deep / 2 - 3, high / 2])] }],
    },
    y: { roundMm: 3, on: [{ look: 'line', lines: [stroke([-wide / 2, deep / 2 - 3], [wide / 2, deep / 2 - 3])] }] },
  }
}

/** The tray of a monitor's pack. */
const packTray = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    roundMm: 2,
    minus: [
      { look: 'line', lines: columns(2, [-high / 2 + 3, high / 2 - 3], [-wide / 2 + 7, wide / 2 - 7]) },
      { look: 'gold', outline: rect(12, 3, [0, high / 2 - 6]), roundMm: 0.5 },
    ],
  },
})

/** A monitor or recorder. */
export const monitorFigure = (part: Part): Figure => {
  const picture = part.solids.filter(isBox).find(({ look }) => look === 'screen')
  return part.solids.map((solid) => {
    if (!isBox(solid)) return undefined
    if (solid.look === 'screen') return display(solid)
    return solid.look === 'detail' ? packTray(solid) : panel(solid, picture?.size[1] ?? solid.size[1])
  })
}

const GAUGE = 4
/** The dots of a gauge, in a row under the upper edge. */
const gauge = (wide: number, high: number): readonly Ink[] =>
  Array.from({ length: GAUGE }, (_, i): Ink => ({
    look: i < GAUGE - 1 ? 'leaf' : 'plain',
    outline: disc(1.9, [-wide * 0.34 + i * 6, high / 2 - 9], 16),
  }))

/** A pack on a plate: ribs for the fingers on both flanks. */
const brick = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  z: { roundMm: 5 },
  x: { roundMm: 5, on: [{ look: 'line', lines: rows(6, [-deep * 0.22, deep * 0.22], [-high * 0.2, high * 0.2]) }] },
  y: { roundMm: 4, on: [{ look: 'line', lines: [stroke([-wide / 2 + 4, deep * 0.2], [wide / 2 - 4, deep * 0.2])] }] },
})

/** The face of a brick: the dots of its gauge over its label. */
const brickFace = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    roundMm: 4,
    on: [...gauge(wide, high), { look: 'plain', outline: rect(wide - 12, high - 30, [0, -8]), roundMm: 3 }],
  },
})

/** A slab: its contacts amber, and on its back the triangle that points the way it slides. */
const slab = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  const triangle: Ink = {
    look: 'line',
    outline: [
      [-5, high * 0.18],
      [5, high * 0.18],
      [0, high * 0.34],
    ],
  }
  const contacts: readonly Ink[] = [-1, 0, 1].map((i) => ({
    look: 'gold',
    outline: rect(2.4, 4, [i * 4.6, high / 2 - 4]),
  }))
  const label: Ink = { look: 'detail', outline: rect(wide - 7, high * 0.36, [0, -high * 0.16]), roundMm: 1.5 }
  return {
    z: { roundMm: 3, plus: [triangle, label], minus: contacts },
    x: { roundMm: 3, on: [{ look: 'line', lines: rows(5, [-deep * 0.24, deep * 0.24], [-high * 0.3, -high * 0.05]) }] },
    y: {
      roundMm: 2.5,
      on: [{ look: 'line', lines: [stroke([-wide / 2 + 2, deep * 0.18], [wide / 2 - 2, deep * 0.18])] }],
    },
  }
}

/** A battery: a brick for a plate, or a slab that slides on. */
export const batteryFigure = (part: Part): Figure => {
  const mount = part.mounts[0]
  const glyph = glyphed(mount?.standard ?? '')?.glyph
  const onPlate = glyph === 'wedge' || glyph === 'studs'
  return part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    if (solid.look === 'detail') return brickFace(solid)
    return onPlate ? brick(solid) : slab(solid)
  })
}

/** The plate of a brick: its lever at the side, screws at its corners. */
export const batteryPlateFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    const [wide, high, deep] = solid.size
    const screws = flatMap([-1, 1], (x) =>
      [-1, 1].map((y): Ink => ({ look: 'metal', outline: disc(2.4, [x * (wide / 2 - 7), y * (high / 2 - 8)], 14) })),
    )
    return {
      z: {
        roundMm: 5,
        on: [...screws, { look: 'knob', outline: rect(9, 18, [wide / 2 - 6, high * 0.22]), roundMm: 3 }],
      },
      x: {
        roundMm: 3,
        on: [
          { look: 'line', lines: [stroke([deep * 0.18, -high / 2 + 2], [deep * 0.18, high / 2 - 2])] },
          { look: 'knob', outline: rect(6, 16, [0, high * 0.22]), roundMm: 2 },
        ],
      },
    }
  })

/** Slots of a bare tube, in its front half. */
const SLOTS = 9

const tube = ({ radius, length }: BarSolid): Form => {
  const half = length / 2
  return {
    turned: true,
    z: {
      roundMm: 3,
      on: [
        {
          look: 'line',
          lines: [
            stroke([-radius, half * 0.08], [radius, half * 0.08]),
            stroke([-radius, -half + 5], [radius, -half + 5]),
          ],
        },
        ...Array.from({ length: SLOTS }, (_, i): Ink => ({
          look: 'hole',
          outline: rect(radius * 0.9, 2.1, [0, half * 0.16 + (half * 0.76 * i) / (SLOTS - 1)]),
          roundMm: 1,
        })),
      ],
    },
    y: {
      on: [
        { look: 'hole', outline: disc(radius * 0.72) },
        { look: 'metal', outline: disc(radius * 0.6) },
      ],
    },
  }
}

/** The cradle of a microphone: two bands over a U. */
const cradle = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  x: {
    roundMm: 1,
    on: [
      { look: 'knob', outline: rect(4.5, high, [-deep / 2 + 3.4, 0]), roundMm: 1 },
      { look: 'knob', outline: rect(4.5, high, [deep / 2 - 3.4, 0]), roundMm: 1 },
    ],
  },
  z: { roundMm: 2, on: [{ look: 'line', lines: [stroke([-wide / 2 + 3, 0], [wide / 2 - 3, 0])] }] },
})

/** A microphone; what is soft about it is drawn as fur by whoever draws soft things. */
export const micFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (isBox(solid)) return solid.look === 'detail' ? cradle(solid) : undefined
    if (solid.look === 'foam') return { turned: true, fur: true }
    return solid.look === 'ribs' ? tube(solid) : undefined
  })
