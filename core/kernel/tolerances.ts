/** Two parts may press into each other this far before it counts as a clash: paint, rubber and drawing error. mm */
export const CLASH_MM = 0.5

/** A mount's point must lie this close to the skin of its part. mm */
export const SURFACE_MM = 1

/** Two lengths or turns closer than this are the same setting. mm or degrees */
export const SAME = 1e-6

/** Directions are unit and square to each other within this. */
export const UNIT = 1e-6

/** Standard gravity, m/s^2 (ISO 80000-3). */
export const GRAVITY = 9.80665

/** Is a figure over its limit by more than rounding? Exactly at the limit is within. */
export const exceeds = (value: number, limit: number): boolean => value - limit > SAME
