import { add, cross, dot, type Vec3, zero } from './vector.ts'

/**
 * A rigid frame: the columns `x`, `y`, `z` are its unit axes and `at` its origin, all in the parent's coordinates (mm).
 */
export interface Frame {
  readonly x: Vec3
  readonly y: Vec3
  readonly z: Vec3
  readonly at: Vec3
}

export const identity: Frame = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: zero }

/** Turns a direction of the frame into the parent's coordinates. */
export const direction = (f: Frame, v: Vec3): Vec3 => [
  f.x[0] * v[0] + f.y[0] * v[1] + f.z[0] * v[2],
  f.x[1] * v[0] + f.y[1] * v[1] + f.z[1] * v[2],
  f.x[2] * v[0] + f.y[2] * v[1] + f.z[2] * v[2],
]

/** Turns a point of the frame (mm) into the parent's coordinates. */
export const point = (f: Frame, p: Vec3): Vec3 => add(direction(f, p), f.at)

/** `compose(a, b)` first goes through `b`, then through `a`. */
export const compose = (a: Frame, b: Frame): Frame => ({
  x: direction(a, b.x),
  y: direction(a, b.y),
  z: direction(a, b.z),
  at: point(a, b.at),
})

/** The frame that undoes `f`; exact because the axes are orthonormal. */
export const invert = (f: Frame): Frame => ({
  x: [f.x[0], f.y[0], f.z[0]],
  y: [f.x[1], f.y[1], f.z[1]],
  z: [f.x[2], f.y[2], f.z[2]],
  at: [-dot(f.x, f.at), -dot(f.y, f.at), -dot(f.z, f.at)],
})

/** A frame at `at` whose z axis is `out` and whose y axis is `up`; both must be unit and square to each other. */
export const facing = (at: Vec3, out: Vec3, up: Vec3): Frame => ({ x: cross(up, out), y: up, z: out, at })

/** A turn by `degrees` about the frame's own z axis, right-handed. Quarter turns are exact. */
export const turnAboutZ = (degrees: number): Frame => {
  const quarter = (((degrees % 360) + 360) % 360) / 90
  const [c, s] = Number.isInteger(quarter)
    ? ([
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ][quarter] as [number, number])
    : [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  return { x: [c, s, 0], y: [-s, c, 0], z: [0, 0, 1], at: zero }
}

/** A turn by `degrees` about a unit axis through `at`, right-handed (Rodrigues' formula). */
export const turnAbout = (axis: Vec3, degrees: number, at: Vec3): Frame => {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const turned = (v: Vec3): Vec3 => {
    const side = cross(axis, v)
    const along = dot(axis, v) * (1 - c)
    return [
      v[0] * c + side[0] * s + axis[0] * along,
      v[1] * c + side[1] * s + axis[1] * along,
      v[2] * c + side[2] * s + axis[2] * along,
    ]
  }
  const [x, y, z] = [turned([1, 0, 0]), turned([0, 1, 0]), turned([0, 0, 1])]
  const moved = turned(at)
  return { x, y, z, at: [at[0] - moved[0], at[1] - moved[1], at[2] - moved[2]] }
}

/** Half a turn about y: brings two mounts face to face. */
export const faceToFace: Frame = { x: [-1, 0, 0], y: [0, 1, 0], z: [0, 0, -1], at: zero }
