import { flatMap } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { columns, disc, type Form, type Ink, rect, sheen, stroke } from '../form.ts'
import { type BarSolid, type BoxSolid, type Figure, isBar, isBox } from './read.ts'

/** Lines round half of a ribbed ring; a gear has more. They crowd at the edges, as on anything round. */
const RIBS = 17
const GEAR_LINES = 27

/** Lines along the axis of a round bar at `r cos(pi i / n)`, from one end to the other. */
export const along = (radius: number, [from, to]: Point2, count: number): readonly (readonly Point2[])[] =>
  columns(count - 1, [from, to], [0, 1]).map((line, i) =>
    line.map(([, v]): Point2 => [radius * Math.cos((Math.PI * (i + 1)) / count), v]),
  )

const edge = (radius: number, v: number): readonly Point2[] => stroke([-radius, v], [radius, v])

/** A ribbed ring. */
export const ribbed = ({ radius, length }: BarSolid, count = RIBS): Form => {
  const half = length / 2
  const [from, to] = [-half + 1.4, half - 1.4]
  const ring = to - from > 2
  return {
    turned: true,
    z: {
      roundMm: 1.4,
      on: ring
        ? [
            { look: 'texture', lines: along(radius, [from, to], count) },
            { look: 'line', lines: [edge(radius, from), edge(radius, to)] },
          ]
        : [],
    },
    y: { outline: disc(radius, [0, 0], count * 4, 0.7), on: [{ look: 'plain', outline: disc(radius * 0.93) }] },
  }
}

/** The figures of a zoom's ring, or the focal length of a prime: upright, beside one index line. */
const engraved = (part: Part, { radius, length }: BarSolid): Ink | undefined => {
  const { optics } = part
  if (optics?.kind !== 'lens' || length < 9) return undefined
  const high = Math.min(5.4, length * 0.34)
  const { focalMinMm: shortMm, focalMaxMm: longMm } = optics
  if (shortMm === longMm)
    return { look: 'line', said: [{ at: [radius * 0.3, 0], text: String(shortMm), highMm: high }] }
  const marks = zoomMarks(shortMm, longMm)
  return {
    look: 'line',
    lines: [stroke([0, -length / 2 + 1], [0, -length / 2 + length * 0.3])],
    said: marks.map((mark, i) => {
      const turn = marks.length === 1 ? 0 : -0.62 + (1.24 * i) / (marks.length - 1)
      return { at: [radius * Math.sin(turn), length * 0.12] as Point2, text: String(mark), highMm: high }
    }),
  }
}

/** Focal lengths as rings carry them. */
const USUAL = [8, 10, 12, 14, 16, 18, 20, 24, 28, 35, 50, 70, 85, 105, 135, 200, 300, 400]
const BETWEEN_MARKS = 2
/**
 * The focal lengths a zoom's ring is marked with: both ends, and the usual ones nearest to equal steps of the ratio.
 * @example 24 to 70: 24, 35, 50, 70
 */
const zoomMarks = (shortMm: number, longMm: number): readonly number[] => {
  const between = USUAL.filter((mm) => mm > shortMm * 1.12 && mm < longMm * 0.9)
  const wanted = Array.from(
    { length: BETWEEN_MARKS },
    (_, i) => shortMm * (longMm / shortMm) ** ((i + 1) / (BETWEEN_MARKS + 1)),
  )
  const nearest = wanted.map((mm) =>
    between.reduce<number | undefined>(
      (best, one) => (best === undefined || Math.abs(Math.log(one / mm)) < Math.abs(Math.log(best / mm)) ? one : best),
      undefined,
    ),
  )
  return [...new Set([shortMm, ...flatMap(nearest, (mm) => mm ?? []), longMm])]
}

const barrel = (part: Part, solid: BarSolid, carries: boolean): Form => {
  const { radius, length } = solid
  const said = carries ? engraved(part, solid) : undefined
  return {
    turned: true,
    z: {
      roundMm: 1.6,
      on: [{ look: 'line', lines: length > 6 ? [edge(radius, length / 2 - 1.3)] : [] }, ...(said ? [said] : [])],
    },
    y: { on: [{ look: 'line', outline: disc(radius * 0.9) }] },
  }
}

const seat = ({ radius, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: 0.8,
    on: [
      { look: 'line', lines: [edge(radius, 0)] },
      { look: 'mark', outline: disc(1.5, [radius * 0.34, length * 0.25], 14) },
    ],
  },
  y: {
    on: [
      { look: 'line', outline: disc(radius * 0.82) },
      { look: 'hole', outline: disc(radius * 0.68) },
    ],
  },
})

/** A lens: steps and rings, figures upright in a collar beside one index line, a red dot at its seat. */
export const lensFigure = (part: Part): Figure => {
  const bars = part.solids.filter(isBar)
  const collar =
    bars.findLast(({ look }, i) => look === 'plain' && bars[i - 1]?.look === 'ribs' && bars[i + 1]?.look === 'ribs') ??
    bars.findLast(({ look, length }) => look === 'plain' && length > 12)
  return part.solids.map((solid) => {
    if (!isBar(solid)) return undefined
    if (solid === bars[0]) return seat(solid)
    if (solid.look === 'ribs') return ribbed(solid)
    return solid.look === 'glass' ? undefined : barrel(part, solid, solid === collar)
  })
}

/** Lines of a variable filter's glass, mm apart, at 60 degrees. */
const HATCH_MM = 4.2
const hatched = (radius: number): readonly (readonly Point2[])[] => {
  const [c, s] = [Math.cos(Math.PI / 3), Math.sin(Math.PI / 3)]
  const count = Math.floor((2 * radius) / HATCH_MM)
  return Array.from({ length: count }, (_, i) => {
    const off = -radius + (i + 0.5) * HATCH_MM
    const half = Math.sqrt(Math.max(0, radius ** 2 - off ** 2))
    return stroke([off * s - half * c, -off * c - half * s], [off * s + half * c, -off * c + half * s])
  })
}

/** A filter: a ring round glass; a variable one has ticks on its ring and lines on its glass. */
export const filterFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (!isBar(solid)) return undefined
    const { radius } = solid
    const clear = radius - 4
    const round = ribbed(solid)
    const turns = part.optics?.kind === 'filter' && part.optics.effect === 'variable-nd'
    const ticks: Ink = {
      look: 'line',
      lines: Array.from({ length: 13 }, (_, i) => {
        const angle = ((-60 + i * 10 + 90) * Math.PI) / 180
        const to = i % 3 === 0 ? radius - 3.4 : radius - 2.2
        return stroke(
          [radius * 0.985 * Math.cos(angle), radius * 0.985 * Math.sin(angle)],
          [to * Math.cos(angle), to * Math.sin(angle)],
        )
      }),
    }
    const glass: readonly Ink[] =
      part.role === 'step-ring'
        ? []
        : [
            { look: 'glass', outline: disc(clear) },
            ...(turns ? [{ look: 'texture', lines: hatched(clear) }] : []),
            sheen(clear * 1.3, clear * 1.3),
          ]
    const [, ...rim] = round.y?.on ?? []
    if (part.role === 'step-ring') return hollow(round, clear + 1)
    return {
      ...round,
      y: {
        ...round.y,
        on: [{ look: 'metal', outline: disc(radius * 0.97) }, ...rim, ...(turns ? [ticks] : []), ...glass],
      },
    }
  })

/** Of a ring this much of its radius stays round what it goes on. mm */
const BAND_MM = { 'gear-ring': 6, hood: 3 } as const

/** A ring with nothing in it: what lies behind shows through. */
const hollow = (form: Form, clear: number): Form => ({
  ...form,
  y: { ...form.y, on: [], holes: [{ outline: disc(clear) }] },
})

/** A gear ring, a hood's ring: hollow; a cap: all ribs. */
export const ringFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (!isBar(solid)) return undefined
    const ring = ribbed(solid, part.role === 'gear-ring' ? GEAR_LINES : RIBS)
    return part.role === 'gear-ring' || part.role === 'hood' ? hollow(ring, solid.radius - BAND_MM[part.role]) : ring
  })

/** Millimetres of a gear's pitch circle for each tooth, by its module (ISO 54): `d = m z`. */
const MODULE_MM = 0.8
const gear = (solid: BarSolid): Form => {
  const { radius } = solid
  const teeth = Math.max(12, Math.round((2 * radius) / MODULE_MM))
  return {
    ...ribbed(solid, GEAR_LINES),
    y: {
      outline: disc(radius, [0, 0], teeth * 2, 1.4),
      on: [
        { look: 'metal', outline: disc(radius * 0.66) },
        { look: 'hole', outline: disc(2.4, [0, 0], 16) },
      ],
    },
  }
}

const wheel = ({ radius, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: 2,
    on: [
      { look: 'texture', lines: along(radius, [-length * 0.16, length / 2 - 2], RIBS) },
      { look: 'line', lines: [edge(radius, -length * 0.18)] },
    ],
  },
  y: {
    outline: disc(radius, [0, 0], 56, 0.9),
    on: [
      { look: 'plain', outline: disc(radius * 0.8) },
      { look: 'mark', outline: disc(1.4, [0, radius * 0.7], 14) },
    ],
  },
})

const gearbox = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  const plate: Ink = { look: 'line', outline: rect(deep - 5, high - 6), roundMm: 2.5 }
  return {
    x: { roundMm: 3, on: [plate, { look: 'metal', outline: disc(4, [0, -high * 0.22], 20) }] },
    z: { roundMm: 3, on: [{ look: 'line', outline: rect(wide - 5, high - 6), roundMm: 2.5 }] },
  }
}

/** A follow focus or motor: its box, the wheel for the hand, and the gear with its true number of teeth. */
export const driveFigure = (part: Part): Figure =>
  part.solids.map((solid) => {
    if (isBox(solid)) return gearbox(solid)
    return solid.look === 'ribs' ? gear(solid) : wheel(solid)
  })

const wall = ({ size: [wide, high, deep] }: BoxSolid): Form => {
  // A tray shows as a slot with its tab along the wall that runs up or across.
  const slots = [-deep * 0.22, deep * 0.02]
  const lines = flatMap(slots, (u) => [
    stroke([u, -high / 2], [u, high / 2]),
    stroke([u + 3.2, -high / 2], [u + 3.2, high / 2]),
  ])
  return {
    x: { on: high > wide ? [{ look: 'line', lines }] : [] },
    y: { on: [{ look: 'line', lines: flatMap(slots, (v) => [stroke([-wide / 2, v], [wide / 2, v])]) }] },
  }
}

/** What a clamp closes round, or a little less than its ring. */
const clearOf = (part: Part, { radius }: BarSolid): number => {
  const closes = part.mounts.find(({ closesOn }) => closesOn)?.closesOn
  return Math.min(radius - 2, closes ? closes.maxMm / 2 : radius - 5)
}

/** A matte box: frame with its trays, and the ring it is clamped by. */
export const matteFigure = (part: Part): Figure =>
  part.solids.map((solid) =>
    isBox(solid) ? (solid.look === 'plain' ? wall(solid) : undefined) : hollow(ribbed(solid), clearOf(part, solid)),
  )
