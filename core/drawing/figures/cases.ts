import type { Part, Role } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, type Ink, rect, stroke } from '../form.ts'
import { type BoxSolid, type Figure, isBox } from './read.ts'

/** What stands in the window of a small case, by what it is for. */
type Window = (wide: number, high: number) => readonly Ink[]

/** Two bars of text. */
const lines: Window = (wide, high) => [
  { look: 'hole', outline: rect(wide * 0.72, 2.4, [-wide * 0.08, high * 0.12]) },
  { look: 'hole', outline: rect(wide * 0.44, 2.4, [-wide * 0.22, -high * 0.12]) },
]

const BARS = 5
/** How well a picture arrives: bars that rise. */
const signal: Window = (wide, high) =>
  Array.from({ length: BARS }, (_, i): Ink => {
    const tall = (high * 0.5 * (i + 1)) / BARS
    return {
      look: 'hole',
      outline: rect(wide * 0.1, tall, [wide * (-0.28 + 0.14 * i), -high * 0.25 + tall / 2]),
    }
  })

/** The running time, in hours, minutes, seconds and pictures. */
const clock: Window = (wide, high) => [
  { look: 'line', said: [{ at: [0, 0], text: '01:00:00:00', highMm: Math.min(wide * 0.15, high * 0.5) }] },
]

/** One bar of level for each channel, the end of it amber. */
const levels =
  (channels: number): Window =>
  (wide, high) =>
    Array.from({ length: channels }, (_, i) => {
      const v = high * 0.5 * (0.5 - (i + 0.5) / channels)
      const thick = Math.min(2.6, (high * 0.36) / channels)
      return [
        { look: 'hole', outline: rect(wide * 0.62, thick, [-wide * 0.1, v]) },
        { look: 'gold', outline: rect(wide * 0.12, thick, [wide * 0.3, v]) },
      ]
    }).flat()

const windowed = ({ size: [wide, high] }: BoxSolid, shows: Window): Form => {
  const across = wide - 6
  return {
    z: {
      roundMm: 1.5,
      on: [{ look: 'screen', outline: rect(across, high * 0.74), roundMm: 1.2 }, ...shows(across, high)],
    },
  }
}

/** A label with an arrow from what comes in to what goes out. */
const arrow = ({ size: [wide, high] }: BoxSolid): Form => {
  const [from, to, tip] = [-wide * 0.26, wide * 0.26, Math.min(wide, high) * 0.16]
  return {
    look: 'detail',
    z: {
      roundMm: 1.5,
      on: [
        { look: 'line', outline: rect(wide - 4, high - 4), roundMm: 1.2 },
        { look: 'hole', outline: rect(to - from, 2) },
        {
          look: 'hole',
          outline: [
            [to, tip],
            [to + tip * 1.4, 0],
            [to, -tip],
          ],
        },
      ],
    },
  }
}

/** A wheel for how loud it is, with its mark. */
const loudness = ({ size: [wide, high] }: BoxSolid): Form => {
  const r = Math.min(high * 0.36, wide * 0.2)
  return {
    z: {
      roundMm: 1.5,
      on: [
        { look: 'knob', outline: disc(r) },
        { look: 'metal', outline: disc(r * 0.62), lines: [stroke([0, r * 0.2], [0, r * 0.6])] },
      ],
    },
  }
}

/** What is below its display, and what is on the other side. */
interface Furnished {
  readonly under: readonly Ink[]
  readonly behind: readonly Ink[]
}

/** So many of something in a row below the display. */
const row = (count: number, wide: number, low: number, one: (at: Point2) => readonly Ink[]): readonly Ink[] =>
  Array.from({ length: count }, (_, i) => one([wide * 0.7 * ((i + 0.5) / count - 0.5), low])).flat()

const furnishedAs = (part: Part, { size: [wide, high] }: BoxSolid): Furnished => {
  const low = -high / 2 + Math.min(6, high * 0.12)
  const r = Math.min(3, high * 0.07)
  const button = (at: Point2): readonly Ink[] => [{ look: 'knob', outline: disc(r, at, 18) }]
  const clip: readonly Ink[] = [
    { look: 'metal', outline: rect(wide * 0.34, high * 0.62, [0, high * 0.08]), roundMm: 3 },
    { look: 'line', lines: [stroke([-wide * 0.17, high * 0.3], [wide * 0.17, high * 0.3])] },
  ]
  const jack = (at: Point2): readonly Ink[] => [
    { look: 'metal', outline: disc(r * 1.2, at, 20) },
    { look: 'hole', outline: disc(r * 0.7, at, 16) },
  ]
  const slot = (at: Point2): readonly Ink[] => [{ look: 'hole', outline: rect(wide * 0.18, r * 1.3, at), roundMm: 1 }]
  switch (part.role) {
    case 'transmitter':
      // Its aerials lie folded along both flanks.
      return {
        under: row(1, wide, low, button),
        behind: [-1, 1].map((side): Ink => ({
          look: 'knob',
          outline: rect(wide * 0.12, high * 0.86, [side * wide * 0.36, 0]),
          roundMm: 2,
        })),
      }
    case 'preamp':
      return { under: row(channelsOf(part), wide, low, button), behind: [] }
    case 'headphone-tap':
      return { under: row(2, wide, low, jack), behind: clip }
    case 'converter':
      return { under: row(2, wide, low, slot), behind: [] }
    default:
      return { under: row(2, wide, low, button), behind: clip }
  }
}

/** The channels of a preamp: one for each inlet for sound; two of one that names none. */
const channelsOf = ({ sockets = [] }: Part): number => {
  const inlets = sockets.filter(({ carries, direction }) => carries?.includes('sound') && direction !== 'out').length
  return Math.max(2, Math.min(6, inlets))
}

const pocketCase = ({ size: [, high, deep] }: BoxSolid, { under, behind }: Furnished): Form => ({
  z: { roundMm: 4, plus: under, minus: behind },
  x: { roundMm: 3, on: [{ look: 'line', lines: [stroke([deep * 0.2, -high / 2 + 2], [deep * 0.2, high / 2 - 2])] }] },
  y: { roundMm: 3 },
})

const shownBy = (part: Part, solid: BoxSolid): Form => {
  const by: Partial<Record<Role, (solid: BoxSolid) => Form>> = {
    converter: arrow,
    'headphone-tap': loudness,
    transmitter: (one) => windowed(one, signal),
    timecode: (one) => windowed(one, clock),
    preamp: (one) => windowed(one, levels(channelsOf(part))),
  }
  return (by[part.role] ?? ((one) => windowed(one, lines)))(solid)
}

/** A small case with a window: receiver, transmitter, preamp, timecode box, converter, tap. */
export const caseFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (!isBox(solid)) return undefined
    if (solid.look === 'screen' || solid.look === 'detail') return shownBy(part, solid)
    return solid.look === 'plain' ? pocketCase(solid, furnishedAs(part, solid)) : undefined
  })

/** A light: rows of lamps behind its pane. */
export const lightFigure = (part: Part): Figure =>
  part.solids.map((solid): Form | undefined => {
    if (!isBox(solid)) return undefined
    const [wide, high] = solid.size
    if (solid.look === 'glass') {
      const [across, down] = [Math.max(4, Math.round(wide / 11)), Math.max(1, Math.round(high / 11))]
      const lamps = Array.from({ length: across * down }, (_, i): Ink => {
        const at: Point2 = [
          -wide / 2 + (wide * ((i % across) + 0.5)) / across,
          -high / 2 + (high * (Math.floor(i / across) + 0.5)) / down,
        ]
        return { look: 'plain', outline: disc(2.1, at, 12) }
      })
      return { z: { roundMm: 1.5, on: lamps } }
    }
    return solid.look === 'plain' ? pocketCase(solid, { under: [], behind: [] }) : undefined
  })
