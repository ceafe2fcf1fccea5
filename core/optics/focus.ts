import { diagonalMm, type Sensor } from './field.ts'

/**
 * The part of a picture's diagonal below which a blurred point still looks sharp: a usual screen seen from its own
 * diagonal.
 */
export const CIRCLE_PART = 1500

/** The circle of confusion of a picture as it is delivered, mm: its diagonal over 1,500. @example 36 x 20.25: 0.0275 */
export const circleOf = (picture: Sensor, part = CIRCLE_PART): number => diagonalMm(picture) / part

/**
 * The distance from which on everything is sharp when it is focused on, mm: `f^2 / (N c) + f`. @example 50 mm, f/2.8,
 * 0.03 mm: 29,812
 */
export const hyperfocalMm = (focalMm: number, fNumber: number, circleMm: number): number =>
  focalMm ** 2 / (fNumber * circleMm) + focalMm

/** What is sharp, from the sensor, mm. */
export interface DepthOfField {
  readonly nearMm: number
  /** Infinity when the focus lies at the hyperfocal distance or beyond. */
  readonly farMm: number
  readonly hyperfocalMm: number
}

/**
 * What is sharp around a focus distance (thin lens; any textbook of optics): `near = s (H - f) / (H + s - 2f)`, `far =
 * s (H - f) / (H - s)`, infinite for s >= H.
 * @returns undefined for a focus no farther than the focal length, at which nothing can be focused
 * @example 50 mm at f/2.8 and c 0.03 mm, focused on 3 m: 2.73 to 3.33 m
 */
export const depthOfField = (
  focalMm: number,
  fNumber: number,
  circleMm: number,
  focusMm: number,
): DepthOfField | undefined => {
  if (!(focusMm > focalMm) || !(focalMm > 0) || !(fNumber > 0) || !(circleMm > 0)) return undefined
  const far = hyperfocalMm(focalMm, fNumber, circleMm)
  return {
    nearMm: (focusMm * (far - focalMm)) / (far + focusMm - 2 * focalMm),
    farMm: focusMm >= far ? Infinity : (focusMm * (far - focalMm)) / (far - focusMm),
    hyperfocalMm: far,
  }
}
