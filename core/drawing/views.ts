import { add, dot, scale, type Vec3, flatMap } from '../kernel/index.ts'
import type { Point2 } from '../kernel/index.ts'

/** The four elevations. `towards` points from the rig to the eye; right x up = towards. */
export const views = {
  side: { title: 'Side', right: [0, 0, -1], up: [0, 1, 0], towards: [1, 0, 0] },
  front: { title: 'Front', right: [-1, 0, 0], up: [0, 1, 0], towards: [0, 0, -1] },
  top: { title: 'Top', right: [0, 0, -1], up: [-1, 0, 0], towards: [0, 1, 0] },
  rear: { title: 'Rear', right: [1, 0, 0], up: [0, 1, 0], towards: [0, 0, 1] },
} as const satisfies Record<string, { title: string; right: Vec3; up: Vec3; towards: Vec3 }>

export type ViewId = keyof typeof views
export const viewIds = Object.keys(views) as ViewId[]

/** Three-quarter pictures: the face that is looked at is true, and depth runs up to the right (cabinet projection). */
export type DeepId = `${ViewId}-deep`
/** Everything a rig is drawn in. Measured views are the four elevations; a picture is for the eye. */
export type Projection = ViewId | DeepId

/** How far each mm of depth is shifted to the right and up. */
const DEPTH = { right: 0.46, up: 0.3 } as const

interface Plane {
  readonly right: Vec3
  readonly up: Vec3
  readonly towards: Vec3
}
const planes = Object.fromEntries(
  flatMap(viewIds, (id): [Projection, Plane][] => {
    const { right, up, towards } = views[id]
    const along = (way: Vec3, share: number): Vec3 => add(way, scale(towards, -share))
    return [
      [id, views[id]],
      [`${id}-deep`, { right: along(right, DEPTH.right), up: along(up, DEPTH.up), towards }],
    ]
  }),
) as Readonly<Record<Projection, Plane>>

/** The direction from the rig to the eye. */
export const towardsEye = (view: Projection): Vec3 => planes[view].towards
/** Is this a three-quarter picture? */
export const isDeep = (view: Projection): view is DeepId => view.endsWith('-deep')
/** The elevation whose faces a picture shows true. */
export const faceOnOf = (view: Projection): ViewId => view.replace('-deep', '') as ViewId

/** A point of the rig on the drawing plane, mm, y upwards. */
export const flat = (view: Projection, p: Vec3): Point2 => [dot(p, planes[view].right), dot(p, planes[view].up)]

/** How near to the eye a point lies, mm. */
export const nearness = (view: Projection, p: Vec3): number => dot(p, planes[view].towards)

/** A scale and shift from the drawing plane (mm, y up) to the sheet (px, y down). */
export interface Fit {
  readonly scale: number
  readonly x: number
  readonly y: number
}

export interface Extent {
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly top: number
}

export interface Margins {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

const MOST_PX_PER_MM = 3

/**
 * The largest scale at which an extent fills a sheet inside its margins, centred. An empty sheet gives a tiny but
 * usable scale.
 */
export const fitTo = (extent: Extent, width: number, height: number, margins: Margins): Fit => {
  const roomX = Math.max(20, width - margins.left - margins.right)
  const roomY = Math.max(20, height - margins.top - margins.bottom)
  const spanX = Math.max(1, extent.right - extent.left)
  const spanY = Math.max(1, extent.top - extent.bottom)
  const scale = Math.min(roomX / spanX, roomY / spanY, MOST_PX_PER_MM)
  return {
    scale,
    x: margins.left + (roomX - spanX * scale) / 2 - extent.left * scale,
    y: margins.top + (roomY - spanY * scale) / 2 + extent.top * scale,
  }
}

/** The box round both, when the one does not lie on the sheet as the other is fitted to it; else that other. */
export const withRoomFor = (
  extent: Extent,
  more: Extent | undefined,
  fit: Fit,
  width: number,
  height: number,
  edges: Margins,
): Extent => {
  if (!more) return extent
  const [left, top] = onSheet(fit, [more.left, more.top])
  const [right, bottom] = onSheet(fit, [more.right, more.bottom])
  if (left >= edges.left && top >= edges.top && right <= width - edges.right && bottom <= height - edges.bottom)
    return extent
  return {
    left: Math.min(extent.left, more.left),
    right: Math.max(extent.right, more.right),
    bottom: Math.min(extent.bottom, more.bottom),
    top: Math.max(extent.top, more.top),
  }
}

/** Under this many px for a mm fine lines and texture are left out. */
export const FINE_PX = 0.6

/** A figure of a path: tenths of a px are enough. */
export const num = (value: number): string => String(Math.round(value * 10) / 10)

export const onSheet = (fit: Fit, p: Point2): Point2 => [fit.x + p[0] * fit.scale, fit.y - p[1] * fit.scale]
