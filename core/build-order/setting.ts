import { type PlacedPart, slideWay, travelOf, wayName } from '../assembly/index.ts'

/** Where something is set on its scale, and how it is turned. */
export interface Setting {
  /** From the end of the scale that lies farthest back, left or down, mm. */
  readonly scaleMm?: number
  /** Which end that is, in words. */
  readonly from?: string
  readonly turnDeg?: number
  /** Hinges and where each is swung to, both as the part calls them. */
  readonly poses?: readonly { readonly hinge: string; readonly position: string }[]
  /** A lead: the pieces that hold it on its way, none when it hangs free. */
  readonly through?: readonly string[]
  /** What of the part is up. */
  readonly up?: string
}

/** The end of a scale that lies against each way. */
const ends: Readonly<Record<string, string>> = {
  forward: 'rear',
  back: 'front',
  left: 'right',
  right: 'left',
  up: 'lower',
  down: 'upper',
}

/** Turned or slid to less than this nobody sets it. */
const UNSET = 1e-6

/** How a piece is set at its joint, as far as anybody sets it. */
export const settingOf = (piece: PlacedPart): Setting => {
  const { joint, part } = piece
  if (!joint) return {}
  const travel = travelOf(piece)
  const way = slideWay(piece)
  const scaled =
    travel && way && travel.maxMm - travel.minMm > UNSET
      ? { scaleMm: joint.slideMm - travel.minMm, from: ends[wayName(way)] ?? 'rear' }
      : {}
  return {
    ...scaled,
    ...(Math.abs(joint.turnDeg) > UNSET ? { turnDeg: joint.turnDeg } : {}),
    ...(part.order?.faceUp === undefined ? {} : { up: part.order.faceUp }),
  }
}
