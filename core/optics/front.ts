import type { Assembly, PlacedPart } from '../assembly/index.ts'
import type { LensOptics, Opening, SensorOptics } from '../catalogue/index.ts'
import { dot, point, subtract, flatMap } from '../kernel/index.ts'
import { cropped, diagonalMm, type Sensor } from './field.ts'
import { clipping, type Ring, shortestClean } from './vignette.ts'

/** One hole in front of the lens, as the entrance pupil sees it. */
export interface FrontOpening {
  readonly piece: PlacedPart
  readonly opening: Opening
  /** Ahead of the entrance pupil, mm, and how far its middle lies beside and above the axis. */
  readonly depthMm: number
  readonly besideMm: number
  readonly aboveMm: number
}

/** The lens on the camera and everything the light passes before it, from the inside out. */
export interface Front {
  readonly lens: PlacedPart
  readonly glass: LensOptics
  readonly sensor: SensorOptics | undefined
  readonly openings: readonly FrontOpening[]
}

/** The lens on the camera, if it has optical data. */
export const lensOf = ({ placed }: Assembly): { readonly lens: PlacedPart; readonly glass: LensOptics } | undefined => {
  for (const lens of placed) if (lens.part.optics?.kind === 'lens') return { lens, glass: lens.part.optics }
  return undefined
}

export const sensorOf = ({ placed: [camera] }: Assembly): SensorOptics | undefined =>
  camera?.part.optics?.kind === 'sensor' ? camera.part.optics : undefined

/** What stands before the lens in this set-up; undefined without a lens of known optics. */
export const frontOf = (assembly: Assembly): Front | undefined => {
  const found = lensOf(assembly)
  if (!found) return undefined
  const { lens, glass } = found
  const pupil = point(lens.frame, [0, 0, -glass.pupilMm])
  const openings = flatMap(assembly.placed, (piece): FrontOpening[] => {
    const { opening } = piece.part
    if (!opening) return []
    const way = subtract(point(piece.frame, opening.at), pupil)
    const depthMm = -dot(way, lens.frame.z)
    return depthMm > 0
      ? [{ piece, opening, depthMm, besideMm: dot(way, lens.frame.x), aboveMm: dot(way, lens.frame.y) }]
      : []
  }).sort((a, b) => a.depthMm - b.depthMm)
  return { lens, glass, sensor: sensorOf(assembly), openings }
}

/**
 * The part of the sensor a picture uses. A camera turned upright stands its sensor up, so the sides change places.
 * @param aspect 0: all of it
 */
export const pictureOf = (sensor: Sensor, aspect: number, upright: boolean, crop = 1): Sensor =>
  aspect > 0
    ? cropped(sensor, upright ? 1 / aspect : aspect, crop)
    : { wideMm: sensor.wideMm / crop, tallMm: sensor.tallMm / crop }

/**
 * The openings as rings to be cleared by a picture: a round one once, one with corners by its width and by its height.
 */
export const ringsOf = ({ openings }: Pick<Front, 'openings'>, picture: Sensor): readonly Ring[] =>
  flatMap(openings, ({ piece, opening, depthMm, besideMm, aboveMm }): Ring[] => {
    const id = piece.instance.id
    const [beside, above] = [Math.abs(besideMm), Math.abs(aboveMm)]
    return opening.clearMm !== undefined
      ? [{ id, depthMm, clearMm: opening.clearMm / 2 - Math.hypot(beside, above), acrossMm: diagonalMm(picture) }]
      : [
          { id, depthMm, clearMm: (opening.wideMm ?? 0) / 2 - beside, acrossMm: picture.wideMm },
          { id, depthMm, clearMm: (opening.tallMm ?? 0) / 2 - above, acrossMm: picture.tallMm },
        ]
  })

/** How the stack in front of a lens treats a picture. */
export interface Clean {
  /** The shortest focal length without dark corners; undefined when it never is clean. */
  readonly fromMm: number | undefined
  /** What stands in the corners at the short end, the worst first, and by how much. */
  readonly by: readonly { readonly piece: PlacedPart; readonly overMm: number }[]
}

/** The shortest clean focal length of the stack, and what clips below it. */
export const cleanOf = (front: Front, picture: Sensor): Clean => {
  const rings = ringsOf(front, picture)
  const { focalMinMm, focalMaxMm, stop } = front.glass
  const worst = new Map<string, number>()
  for (const { id, overMm } of clipping(rings, focalMinMm, stop)) worst.set(id, Math.max(overMm, worst.get(id) ?? 0))
  return {
    fromMm: shortestClean(rings, focalMinMm, focalMaxMm, stop),
    by: flatMap(front.openings, ({ piece }) => {
      const overMm = worst.get(piece.instance.id)
      return overMm === undefined ? [] : [{ piece, overMm }]
    }),
  }
}
