import { flatMap } from '../../kernel/index.ts'
import { connectors, type Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, type Ink, rect, rows, stroke } from '../form.ts'
import { along } from './glass.ts'
import { type BarSolid, type BoxSolid, type Figure, glyphed, isBar, isBox, mountsOn, points } from './read.ts'

/** A scale on the edge of a plate: a tick every so far. mm */
const TICK_MM = 5
const scaleOn = (long: number, high: number): Ink => {
  const count = Math.floor((long - 10) / TICK_MM)
  return {
    look: 'texture',
    lines: Array.from({ length: Math.max(0, count + 1) }, (_, i) => {
      const u = -(count * TICK_MM) / 2 + i * TICK_MM
      const deep = i % 2 === 0 ? 0.42 : 0.26
      return stroke([u, high / 2], [u, high / 2 - high * deep])
    }),
  }
}

/** A screw for a coin in its slot. */
const coinScrew = (at: Point2, slotMm: number): readonly Ink[] => [
  { look: 'hole', outline: rect(9, slotMm, at), roundMm: 4.5 },
  { look: 'metal', outline: disc(5.6, at, 22), lines: [stroke([at[0] - 3.8, at[1]], [at[0] + 3.8, at[1]])] },
]

/** A plate with a dovetail: chamfered flanks seen from its end, a scale along its edge, its screw in a slot on top. */
export const slidePlate = (part: Part, box: BoxSolid): Form => {
  const [wide, high, deep] = box.size
  const screwUp = part.mounts.some(({ side, out }) => side === 'sits' && points(out, [0, 1, 0]))
  const trapezoid: readonly Point2[] = [
    [-wide / 2, -high / 2],
    [wide / 2, -high / 2],
    [wide / 2 - Math.min(4, high * 0.4), high / 2],
    [-wide / 2 + Math.min(4, high * 0.4), high / 2],
  ]
  const tails = part.mounts.some(({ standard }) => glyphed(standard)?.glyph === 'dovetail')
  return {
    x: { roundMm: 1.2, on: [scaleOn(deep, high)] },
    y: {
      roundMm: 3,
      plus: screwUp ? coinScrew([0, 0], Math.min(deep * 0.55, 52)) : [],
      on: [
        {
          look: 'line',
          lines: tails
            ? [
                stroke([-wide / 2 + 3, -deep / 2], [-wide / 2 + 3, deep / 2]),
                stroke([wide / 2 - 3, -deep / 2], [wide / 2 - 3, deep / 2]),
              ]
            : [],
        },
      ],
    },
    z: tails ? { outline: trapezoid, roundMm: 0.8 } : { roundMm: 1.5 },
  }
}

export const plateFigure = (part: Part): Figure =>
  part.solids.map((solid) => (isBox(solid) ? slidePlate(part, solid) : undefined))

/** The bore of a rod. mm */
const BORE_MM = 15
const boresOf = (standard: string): readonly number[] => glyphed(standard)?.boresMm ?? []

/** A block that rods go through: bores seen from its end, the slots by which it clamps, a knob's screw. */
const rodBlock = (part: Part, box: BoxSolid): Form => {
  const [wide, high, deep] = box.size
  const through = part.mounts.find(
    ({ standard, out }) => boresOf(standard).length > 0 && (Math.abs(out[2]) > 0.9 || Math.abs(out[1]) > 0.9),
  )
  const level = through ? through.at[1] - box.centre[1] : 0
  const inside = Math.abs(level) + BORE_MM / 2 < high / 2 - 0.5
  const bores: readonly Ink[] =
    through && inside
      ? flatMap(boresOf(through.standard), (x): Ink[] => [
          { look: 'hole', outline: disc(BORE_MM / 2, [x, level], 26) },
          { look: 'line', lines: [stroke([x, level + BORE_MM / 2], [x, high / 2])] },
        ])
      : []
  return {
    z: { roundMm: 3, on: bores },
    x: {
      roundMm: 2.5,
      on: [
        { look: 'line', lines: rows(1, [-deep / 2, deep / 2], [inside ? level : -high * 0.2, 0]) },
        { look: 'metal', outline: disc(Math.min(4, high * 0.22), [0, inside ? level : 0], 20) },
      ],
    },
    y: {
      roundMm: 4,
      plus:
        mountsOn(part, box, 'y').length > 0 ? [{ look: 'line', outline: rect(wide - 8, deep - 8), roundMm: 3 }] : [],
    },
  }
}

/** A base plate, a rod clamp, a lens support. */
export const rodGearFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    return solid.look === 'metal' ? rodBlock(part, solid) : undefined
  })

/** Light on a rod, this far off its middle. */
const LIGHT_ON_ROD = 0.45

/** A rod: the light on it, and the thread in its end. */
const rod = ({ radius, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: 1.2,
    on: [
      {
        look: 'sheen',
        lines: [stroke([-radius * LIGHT_ON_ROD, -length / 2 + 3], [-radius * LIGHT_ON_ROD, length / 2 - 3])],
      },
      {
        look: 'line',
        lines: [
          stroke([-radius, length / 2 - 2], [radius, length / 2 - 2]),
          stroke([-radius, -length / 2 + 2], [radius, -length / 2 + 2]),
        ],
      },
    ],
  },
  y: {
    on: [
      { look: 'hole', outline: disc(radius * 0.55) },
      { look: 'metal', outline: disc(radius * 0.3) },
    ],
  },
})

export const rodsFigure = (part: Part): Figure => part.solids.map((solid) => (isBar(solid) ? rod(solid) : undefined))

/** A post that tapers to its pivot. */
const postBar = ({ radius: r, length }: BarSolid): Form => ({
  turned: true,
  z: {
    outline: [
      [-r, -length / 2],
      [r, -length / 2],
      [r * 0.74, length / 2],
      [-r * 0.74, length / 2],
    ],
    roundMm: 3,
    on: length > 30 ? [{ look: 'line', lines: along(r * 0.7, [-length / 2 + 5, length / 2 - 6], 3) }] : [],
  },
})

/** A link of an arm: slotted, with round ends. */
const link = ({ size: [, high, deep] }: BoxSolid): Form => ({
  x: {
    roundMm: high / 2,
    holes: deep > 50 ? [{ outline: rect(deep - 34, high * 0.36), roundMm: high * 0.18 }] : [],
    on: [-1, 1].map((end): Ink => ({ look: 'hole', outline: disc(2, [end * (deep / 2 - high * 0.55), 0], 16) })),
  },
  y: { roundMm: 5 },
})

/** A tilt mount or an arm: foot, post or links, knob, pad on top. */
export const armFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (isBox(solid)) return solid.look === 'plain' ? link(solid) : undefined
    return solid.look === 'plain' ? postBar(solid) : undefined
  })

/** A pad for the shoulder: its plate, and the soft under it. */
const ribsOnPad = (long: number, high: number): Ink => ({
  look: 'line',
  lines: rows(2, [-long / 2 + 6, long / 2 - 6], [-high * 0.2, high * 0.2]),
})
export const padFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined =>
    isBox(solid) && solid.look === 'foam'
      ? { x: { roundMm: 9, on: [ribsOnPad(solid.size[2], solid.size[1])] }, z: { roundMm: 9 }, y: { roundMm: 12 } }
      : undefined,
  )

/** A loop of webbing over its foot: stitched along its edge. */
const webbing = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    roundMm: 12,
    holes: [{ outline: rect(wide - 18, high - 18, [0, 1]), roundMm: 8 }],
    on: [{ look: 'line', outline: rect(wide - 5, high - 5), roundMm: 10 }],
  },
  x: { roundMm: 4 },
  y: { roundMm: 4 },
})

/** How thick the cord of a tether is, mm. */
const CORD_MM = 5
/** A tether: a cord that hangs in a loop, its ends in one sleeve. */
const cordLoop = ({ size: [wide, high] }: BoxSolid): Form => ({
  z: {
    roundMm: 15,
    holes: [{ outline: rect(wide - 2 * CORD_MM, high - 2 * CORD_MM), roundMm: 11 }],
    on: [{ look: 'knob', outline: rect(11, CORD_MM + 3, [0, CORD_MM / 2 + 1.5 - high / 2]), roundMm: 2 }],
  },
  x: { outline: rect(CORD_MM, high), roundMm: 2 },
  y: { outline: rect(wide, CORD_MM), roundMm: 2 },
})

export const strapFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid) || solid.look !== 'foam') return undefined
    return part.role === 'tether' ? cordLoop(solid) : webbing(solid)
  })

/** A tray for a drive: the pad it lies on, and the two bands that hold it. */
export const holderFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid) || solid.size[0] < 30) return undefined
    const [wide, high, deep] = solid.size
    const bands = (long: number): readonly Ink[] =>
      [-1, 1].map((side) => ({
        look: 'knob',
        outline: rect(wide * 0.12, long, [side * wide * 0.26, 0]),
        roundMm: 1,
      }))
    return {
      y: { roundMm: 4, plus: [{ look: 'foam', outline: rect(wide - 8, deep - 8), roundMm: 3 }, ...bands(deep)] },
      z: { roundMm: 1.5, on: bands(high) },
      x: { roundMm: 1.5 },
    }
  })

/** A card: its notched corner and its contacts; a drive: the light and its socket; a charger: its bays. */
export const pocketFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    const [wide, high, deep] = solid.size
    if (part.role === 'card')
      return {
        z: {
          outline: [
            [-wide / 2, -high / 2],
            [wide / 2, -high / 2],
            [wide / 2, high / 2 - 4],
            [wide / 2 - 4, high / 2],
            [-wide / 2, high / 2],
          ],
          roundMm: 1,
          plus: [{ look: 'detail', outline: rect(wide - 5, high * 0.5, [0, -high * 0.12]), roundMm: 1 }],
          minus: [-2, -1, 0, 1, 2].map((i): Ink => ({ look: 'gold', outline: rect(2.4, 5, [i * 3.6, high / 2 - 5]) })),
        },
      }
    if (part.role === 'drive')
      return {
        y: {
          roundMm: 6,
          plus: [
            { look: 'line', outline: rect(wide - 9, deep - 9), roundMm: 4 },
            { look: 'leaf', outline: disc(1.5, [wide / 2 - 8, deep / 2 - 8], 14) },
          ],
        },
        z: { roundMm: 3, on: [{ look: 'hole', outline: rect(9, 3.2), roundMm: 1.6 }] },
        x: { roundMm: 3, on: [{ look: 'line', lines: rows(3, [-deep * 0.4, deep * 0.4], [-high * 0.2, high * 0.2]) }] },
      }
    if (part.role === 'case') {
      const flap = { look: 'line', lines: [stroke([-wide / 2, high * 0.2], [wide / 2, high * 0.2])] }
      return {
        z: { roundMm: 18, plus: [flap, { look: 'metal', outline: rect(26, 16, [0, high * 0.2]), roundMm: 4 }] },
        x: { roundMm: 18 },
      }
    }
    const bays = mountsOn(part, solid, 'y')
    const bay = bays.map((at): Ink => ({
      look: 'hole',
      outline: rect(Math.min(30, wide * 0.8), deep * 0.66, at),
      roundMm: 3,
    }))
    const contacts = flatMap(bays, ([u, v]) =>
      [-1, 0, 1].map((i): Ink => ({ look: 'gold', outline: rect(2.4, 6, [u + i * 5, v + deep * 0.25]) })),
    )
    const lamps = bays.map(([u]): Ink => ({ look: 'leaf', outline: disc(1.6, [u, -high * 0.2], 14) }))
    return { y: { roundMm: 5, plus: [...bay, ...contacts] }, z: { roundMm: 4, on: lamps }, x: { roundMm: 4 } }
  })

/** A dummy pack: the contacts of the pack it stands in for, and where its lead comes out. */
export const dummyFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    const [wide, high, deep] = solid.size
    const contacts = [-1, 0, 1].map((i): Ink => ({ look: 'gold', outline: rect(3, 6, [i * 6, high * 0.18]) }))
    return {
      z: { roundMm: 2.5, plus: contacts, minus: [{ look: 'hole', outline: disc(2.6, [0, 0], 18) }] },
      y: { roundMm: 2.5, on: [{ look: 'line', outline: rect(wide - 5, deep - 10), roundMm: 2 }] },
      x: {
        roundMm: 2.5,
        on: [{ look: 'line', lines: rows(3, [-deep * 0.3, deep * 0.1], [-high * 0.24, high * 0.24]) }],
      },
    }
  })

/** A finder: its case, the rubber of its cup, the pane one looks into. */
export const finderFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (isBar(solid)) {
      const { radius: r, length } = solid
      const side: readonly Point2[] = [
        [-r * 0.7, -length / 2],
        [r * 0.7, -length / 2],
        [r, length / 2],
        [-r, length / 2],
      ]
      return {
        turned: true,
        look: 'grip',
        z: { outline: side, roundMm: 3 },
        y: {
          plus: [
            { look: 'hole', outline: disc(r * 0.62) },
            { look: 'glass', outline: disc(r * 0.5) },
          ],
        },
      }
    }
    const [wide, high, deep] = solid.size
    return solid.look === 'plain'
      ? {
          z: { roundMm: 6, minus: [{ look: 'line', outline: rect(wide - 8, high - 8), roundMm: 4 }] },
          x: {
            roundMm: 6,
            on: [
              { look: 'line', lines: [stroke([deep * 0.22, -high / 2], [deep * 0.22, high / 2])] },
              { look: 'knob', outline: disc(5, [-deep * 0.1, high * 0.1], 24) },
            ],
          },
          y: { roundMm: 6 },
        }
      : undefined
  })

/** Of a plug so much is its tip, and so wide it is beside its body. */
const TIP = { long: 0.3, wide: 0.66 } as const

/** The two plugs of a lead, side by side in the middle of its coil, each as wide and long as its kind. */
const plugsOf = ({ cable }: Part, radius: number): readonly Ink[] => {
  if (!cable) return []
  const ends = [cable.a, cable.b].map(({ connector }) => connectors[connector])
  const scale = Math.min(1, ...ends.map(({ wideMm, bodyMm }) => Math.min((radius * 0.62) / wideMm, radius / bodyMm)))
  return flatMap(ends, ({ wideMm, bodyMm }, k): Ink[] => {
    const [wide, long] = [wideMm * scale, bodyMm * scale]
    const u = (k === 0 ? -1 : 1) * radius * 0.34
    const body = long * (1 - TIP.long)
    const low = -long / 2
    return [
      { look: 'metal', outline: rect(wide * TIP.wide, long * TIP.long, [u, low + body + (long * TIP.long) / 2]) },
      {
        look: 'knob',
        outline: rect(wide, body, [u, low + body / 2]),
        roundMm: 2,
        lines: [0.3, 0.45, 0.6].map((share) =>
          stroke([u - wide * 0.34, low + body * share], [u + wide * 0.34, low + body * share]),
        ),
      },
    ]
  })
}

/** A coiled lead, as it lies in the bag: its turns, and its plugs in their middle. */
export const coilFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBar(solid)) return undefined
    const { radius: r, length } = solid
    const turns = [0.88, 0.76, 0.64].map((k): Ink => ({ look: 'line', outline: disc(r * k) }))
    return {
      look: 'grip',
      y: { holes: [{ outline: disc(r * 0.5) }], on: turns, plus: plugsOf(part, r), minus: plugsOf(part, r) },
      z: {
        roundMm: length / 2,
        on: [{ look: 'line', lines: rows(2, [-r * 0.9, r * 0.9], [-length / 5, length / 5]) }],
      },
      turned: true,
    }
  })
