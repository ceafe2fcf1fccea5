/** Diagonal of the picture that focal lengths are compared by, 36 x 24 mm. */
export const FULL_DIAGONAL_MM = Math.hypot(36, 24)

export interface Sensor {
  readonly wideMm: number
  readonly tallMm: number
}

export const diagonalMm = ({ wideMm, tallMm }: Sensor): number => Math.hypot(wideMm, tallMm)

/** Focal length that shows as much on 36 x 24 mm: `f x 43.27 / diagonal`. @example 16 mm on 23.5 x 15.6: 24.54 mm */
export const equivalentMm = (focalMm: number, sensor: Sensor): number =>
  (focalMm * FULL_DIAGONAL_MM) / diagonalMm(sensor)

/** Angle that a length of sensor sees, degrees: `2 atan(length / 2f)`. @example 36 mm at 24 mm: 73.74 */
export const angleDeg = (focalMm: number, lengthMm: number): number =>
  (2 * Math.atan(lengthMm / (2 * focalMm)) * 180) / Math.PI

/**
 * The part of a sensor that a crop mode or an aspect uses: as wide or as tall as it can be. @example 36 x 24 at 16:9:
 * 36 x 20.25
 */
export const cropped = ({ wideMm, tallMm }: Sensor, aspect: number, crop = 1): Sensor => {
  const [w, h] = [wideMm / crop, tallMm / crop]
  return w / h > aspect ? { wideMm: h * aspect, tallMm: h } : { wideMm: w, tallMm: w / aspect }
}

/** A lens of the kit, by what it shows as focal lengths on 36 x 24 mm. */
export interface Reach {
  readonly id: string
  readonly fromMm: number
  readonly toMm: number
}

/** Focal lengths are printed to the millimetre. */
const ROUNDING_MM = 0.5

/**
 * Which lenses of a kit give each asked field of view; an empty list is a field nobody gives.
 * @example 24 and 85 asked of one 35 mm prime: both open
 */
export const coverage = (asked: readonly number[], lenses: readonly Reach[]) =>
  asked.map((fieldMm) => ({
    fieldMm,
    by: lenses
      .filter(({ fromMm, toMm }) => fromMm <= fieldMm + ROUNDING_MM && toMm >= fieldMm - ROUNDING_MM)
      .map(({ id }) => id),
  }))
