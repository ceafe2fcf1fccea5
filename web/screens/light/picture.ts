import type { InPicture, Viewfinder } from '@zucchini/core/clearance'

/**
 * The picture on the sheet: its sides in px, and how a point of it is put there. A camera held upright shows its
 * picture standing.
 */
export interface Plate {
  readonly wide: number
  readonly tall: number
  readonly at: (p: InPicture) => InPicture
  /** Half sides of something around a point of the picture. */
  readonly reach: (half: InPicture) => InPicture
}

/** The largest picture of these proportions in a room, the right way up. */
export const plateOf = (
  picture: { readonly wideMm: number; readonly tallMm: number },
  upright: boolean,
  roomWide: number,
  roomTall: number,
): Plate => {
  const [w, h] = upright ? [picture.tallMm, picture.wideMm] : [picture.wideMm, picture.tallMm]
  const scale = Math.max(0.1, Math.min(roomWide / w, roomTall / h))
  const [wide, tall] = [w * scale, h * scale]
  return {
    wide,
    tall,
    // Turned a quarter, the camera's right side is up and its top is to the left.
    at: ([x, y]) =>
      upright ? [(wide * (1 - y)) / 2, (tall * (1 - x)) / 2] : [(wide * (1 + x)) / 2, (tall * (1 - y)) / 2],
    reach: ([x, y]) => (upright ? [(wide * y) / 2, (tall * x) / 2] : [(wide * x) / 2, (tall * y) / 2]),
  }
}

const path = (points: readonly InPicture[], plate: Plate): string =>
  `M${points
    .map((p) =>
      plate
        .at(p)
        .map((value) => Math.round(value * 10) / 10)
        .join(' '),
    )
    .join('L')}Z`

/** The outlines of one piece in one path each, the pieces in order. */
export const intruders = (
  finder: Viewfinder,
  plate: Plate,
): readonly {
  readonly id: string
  readonly name: string
  readonly paths: readonly string[]
  readonly label: InPicture
}[] => {
  const found = new Map<string, { name: string; paths: string[]; points: InPicture[] }>()
  for (const { piece, outline } of finder.silhouettes) {
    const one = found.get(piece.instance.id) ?? { name: piece.part.name, paths: [], points: [] }
    one.paths.push(path(outline, plate))
    one.points.push(...outline.map((p) => plate.at([Math.max(-1, Math.min(1, p[0])), Math.max(-1, Math.min(1, p[1]))])))
    found.set(piece.instance.id, one)
  }
  return [...found].map(([id, { name, paths, points }]) => ({
    id,
    name,
    paths,
    label: [points.reduce((sum, p) => sum + p[0], 0) / points.length, Math.max(...points.map((p) => p[1]))],
  }))
}

/** How dark a corner is drawn, from the clear edge to the dark one. */
const SHADES = 5

/** What an opening leaves dark, as rims one inside the other: each darkens a little more. */
export const darkRims = (finder: Viewfinder, plate: Plate): readonly { readonly key: string; readonly d: string }[] =>
  finder.edges.flatMap(({ piece, round, middle, clear, dark }) => {
    // A round hole is clear when the corner of the picture, which stands the farthest out, lies within it.
    if (round ? (1 / clear[0]) ** 2 + (1 / clear[1]) ** 2 <= 1 + 1e-9 : clear[0] >= 1 - 1e-9 && clear[1] >= 1 - 1e-9)
      return []
    return Array.from({ length: SHADES }, (_, i) => {
      const part = (i + 0.5) / SHADES
      const half = plate.reach([clear[0] + (dark[0] - clear[0]) * part, clear[1] + (dark[1] - clear[1]) * part])
      const [x, y] = plate.at(middle)
      const [rx, ry] = half.map((value) => Math.max(0.1, value)) as [number, number]
      const hole = round
        ? `M${x - rx} ${y}A${rx} ${ry} 0 1 0 ${x + rx} ${y}A${rx} ${ry} 0 1 0 ${x - rx} ${y}Z`
        : `M${x - rx} ${y - ry}H${x + rx}V${y + ry}H${x - rx}Z`
      return { key: `${piece.instance.id} ${i}`, d: `M0 0H${plate.wide}V${plate.tall}H0Z${hole}` }
    })
  })
