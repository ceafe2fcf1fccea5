import type { Assembly } from '@zucchini/core/assembly'
import { inHand } from '@zucchini/core/balance'
import { silhouette } from '@zucchini/core/drawing'
import type { Point2 } from '@zucchini/core/kernel'
import { CanvasTexture, Mesh, MeshBasicMaterial, PlaneGeometry } from 'three'

/** The shadow is painted on so many px, blurred by so many mm, and reaches so far beyond the rig. */
const PAINTED_PX = 256
const SOFT_MM = 16
const BEYOND_MM = 70

/** What a shadow is painted from: outlines seen from above, and the square they lie in. mm, u ahead and v to the left */
export interface Footprint {
  readonly outlines: readonly (readonly Point2[])[]
  readonly middle: Point2
  readonly wideMm: number
  readonly floorMm: number
}

/** The outlines of what is in the hand, seen from above. @returns undefined where nothing is in the hand */
export const footprintOf = (assembly: Assembly): Footprint | undefined => {
  const pieces = assembly.placed.filter(inHand)
  const outlines = pieces.flatMap(({ solids }) => solids.map(({ shape }) => silhouette('top', shape)))
  const all = outlines.flat()
  if (all.length === 0) return undefined
  const span = (k: 0 | 1) => {
    const values = all.map((p) => p[k])
    return [Math.min(...values), Math.max(...values)] as const
  }
  const [[left, right], [low, high]] = [span(0), span(1)]
  return {
    outlines,
    middle: [(left + right) / 2, (low + high) / 2],
    wideMm: Math.max(right - left, high - low) + 2 * BEYOND_MM,
    floorMm: Math.min(...pieces.map(({ bounds }) => bounds.min[1])),
  }
}

/**
 * A soft shadow on the ground, painted once for a set-up and never worked out by the lamp.
 * @returns undefined where there is nothing to paint on
 */
export const groundShadow = (footprint: Footprint, tone: string, strength: number): Mesh | undefined => {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = PAINTED_PX
  const brush = canvas.getContext('2d')
  if (!brush) return undefined
  const { outlines, middle, wideMm, floorMm } = footprint
  const px = PAINTED_PX / wideMm
  brush.filter = `blur(${SOFT_MM * px}px)`
  brush.fillStyle = tone
  for (const outline of outlines) {
    brush.beginPath()
    // From above the sheet's right is ahead (-z) and its up is left (-x); the plane's u is x and its v is -z.
    for (const [u, v] of outline)
      brush.lineTo(PAINTED_PX / 2 - (v - middle[1]) * px, PAINTED_PX / 2 - (u - middle[0]) * px)
    brush.closePath()
    brush.fill()
  }
  const plane = new Mesh(
    new PlaneGeometry(wideMm, wideMm),
    new MeshBasicMaterial({ map: new CanvasTexture(canvas), transparent: true, opacity: strength, depthWrite: false }),
  )
  plane.rotation.x = -Math.PI / 2
  plane.position.set(-middle[1], floorMm - 1, -middle[0])
  plane.renderOrder = -1
  return plane
}
