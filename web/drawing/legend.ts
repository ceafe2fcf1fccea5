import type { Level } from '@zucchini/core/checks'

/** A finding's number and the place on the sheet that it means. */
export interface Spot {
  readonly n: number
  readonly level: Level
  readonly x: number
  readonly y: number
}

/** A sign in the legend, and the place its line leads back to. */
export interface Sign extends Spot {
  /** Where the sign stands; `x` and `y` stay the place it means. */
  readonly at: readonly [x: number, y: number]
  /** The first sign of its row has the line. */
  readonly leads: boolean
}

/** A sign takes so much room, px. */
export const SIGN_PX = 21
const ROW_PX = 23
/** Places nearer than this are one place, px. */
const ONE_PLACE_PX = 14
const MOST_IN_ROW = 3

interface Row {
  readonly spots: readonly Spot[]
  readonly y: number
}

const rowsOf = (spots: readonly Spot[]): readonly Row[] => {
  const places: Spot[][] = []
  for (const spot of [...spots].sort((a, b) => a.y - b.y || a.x - b.x || a.n - b.n)) {
    const place = places.find(([first]) => first && Math.hypot(first.x - spot.x, first.y - spot.y) < ONE_PLACE_PX)
    if (place) place.push(spot)
    else places.push([spot])
  }
  return places.flatMap((place) => {
    const inOrder = [...place].sort((a, b) => a.n - b.n)
    const rows = Math.ceil(inOrder.length / MOST_IN_ROW)
    return Array.from({ length: rows }, (_, i): Row => ({
      spots: inOrder.slice(i * MOST_IN_ROW, (i + 1) * MOST_IN_ROW),
      y: place[0]?.y ?? 0,
    }))
  })
}

/**
 * The findings' numbers in a column beside the drawing, in the order of the places they mean, so that no sign lies on
 * another nor on the thing: rows as near to their places as they can stand, pushed down by the one above, and up again
 * at the floor.
 * @param left where the column begins; @param top and @param floor between which it stands, px
 */
export const legendOf = (spots: readonly Spot[], left: number, top: number, floor: number): readonly Sign[] => {
  const rows = rowsOf(spots)
  const pitch = Math.min(ROW_PX, rows.length > 1 ? (floor - top) / (rows.length - 1) : ROW_PX)
  const ys: number[] = []
  for (const { y } of rows) ys.push(Math.max(top, y, (ys.at(-1) ?? -Infinity) + pitch))
  for (let i = ys.length - 1; i >= 0; i--) {
    const below = i === ys.length - 1 ? floor + pitch : (ys[i + 1] ?? floor)
    ys[i] = Math.min(ys[i] ?? top, below - pitch)
  }
  return rows.flatMap(({ spots: row }, i) =>
    row.map((spot, k): Sign => ({ ...spot, at: [left + k * SIGN_PX, ys[i] ?? top], leads: k === 0 })),
  )
}
