import type { Look, Mount, Part, Room, Solid } from '@zucchini/core/catalogue'
import { add, middleOf, scale, type Vec3 } from '@zucchini/core/kernel'

export const left: Vec3 = [-1, 0, 0]
export const right: Vec3 = [1, 0, 0]
export const up: Vec3 = [0, 1, 0]
export const down: Vec3 = [0, -1, 0]
export const ahead: Vec3 = [0, 0, -1]
export const back: Vec3 = [0, 0, 1]

/** To a thousandth of a millimetre, and never minus zero, which JSON does not keep. */
const tidy = (value: number): number => Math.round(value * 1000) / 1000 + 0
const tidied = ([x, y, z]: Vec3): Vec3 => [tidy(x), tidy(y), tidy(z)]

/** A box from one corner to the other. */
export const block = (from: Vec3, to: Vec3, look: Look = 'plain', roundMm = 2): Solid => ({
  kind: 'box',
  centre: tidied(scale(add(from, to), 0.5)),
  size: [tidy(Math.abs(to[0] - from[0])), tidy(Math.abs(to[1] - from[1])), tidy(Math.abs(to[2] - from[2]))],
  matter: 'body',
  look,
  roundMm,
})

/** A round bar between two points on one axis. */
export const bar = (from: Vec3, axis: Vec3, length: number, radius: number, look: Look = 'plain'): Solid => ({
  kind: 'cylinder',
  centre: tidied(add(from, scale(axis, length / 2))),
  axis,
  radius,
  length,
  matter: 'body',
  look,
})

/** The same bar with a hole through it. */
export const ring = (solid: Solid, bore: number): Solid => (solid.kind === 'cylinder' ? { ...solid, bore } : solid)

/** The same solid, but a finger can press it in. */
export const soft = (solid: Solid): Solid => ({ ...solid, matter: 'soft' })

/** The middle of some solids by volume: where the mass sits when nothing better is known. */
export const middle = (solids: readonly Solid[]): Vec3 => tidied(middleOf(solids))

export type Price = readonly [low: number, usual: number, high: number]
const minor = (amount: number): number => Math.round(amount * 100)

/** Fills in what most parts leave out. Prices come in whole currency units. */
export const part = (
  given: Pick<Part, 'id' | 'role' | 'name' | 'maker' | 'massG' | 'solids'> &
    Partial<Omit<Part, 'price'>> & { price: Price },
): Part => ({
  rooms: [],
  mounts: [],
  grips: [],
  provides: [],
  fits: [],
  ...given,
  centre: given.centre ?? middle(given.solids),
  price: { low: minor(given.price[0]), usual: minor(given.price[1]), high: minor(given.price[2]) },
})

type More = Partial<Omit<Mount, 'id' | 'standard' | 'side' | 'at' | 'out' | 'up'>>

/** On level faces "up" of a mount points ahead; on upright faces it points up. */
const upOf = (out: Vec3): Vec3 => (Math.abs(out[1]) > 0.5 ? ahead : up)

export const holds = (id: string, standard: string, at: Vec3, out: Vec3, more: More = {}): Mount => ({
  id,
  standard,
  side: 'holds',
  at: tidied(at),
  out,
  up: upOf(out),
  ...more,
})
export const sits = (id: string, standard: string, at: Vec3, out: Vec3, more: More = {}): Mount => ({
  id,
  standard,
  side: 'sits',
  at: tidied(at),
  out,
  up: upOf(out),
  // The usual tripod screw; a part that differs says so.
  ...(standard === 'thread-1/4' || standard === 'body' ? { screwMm: 5 } : {}),
  ...more,
})

export const slot = (along: Vec3, reachMm: number, stepMm = 1): NonNullable<Mount['travel']> => ({
  along,
  minMm: -reachMm,
  maxMm: reachMm,
  stepMm,
})

/** The lever of a clamp on its right: two fingers open it outward, the middle of its way so far beside. */
export const clampLever = (besideMm: number): Room => ({
  kind: 'lever',
  shape: { kind: 'box', centre: [besideMm, -11, 8], size: [32, 16, 36] },
  lost: 'its clamp can not be opened',
})
