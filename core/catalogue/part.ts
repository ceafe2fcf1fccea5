import { z } from 'zod'
import { UNIT } from '../kernel/index.ts'
import { capabilityIds } from './capabilities.ts'
import { openingSchema, opticsSchema } from './optics.ts'
import { figureSchema } from './figure.ts'
import { roleIds } from './roles.ts'
import { connectorIds } from './connectors.ts'
import {
  cableSchema,
  carried,
  couplerSchema,
  mediaSchema,
  micFeeds,
  pictureFormats,
  powerSchema,
  voltsSchema,
} from './electrics.ts'

const LARGEST_MM = 3000
const mm = z.number().min(-LARGEST_MM).max(LARGEST_MM)
const lengthMm = z.number().positive().max(LARGEST_MM)
const vec = z.tuple([mm, mm, mm]).readonly()
const unitVec = z
  .tuple([z.number(), z.number(), z.number()])
  .readonly()
  .refine(([x, y, z]) => Math.abs(Math.hypot(x, y, z) - 1) < UNIT, 'must be a direction of length 1')

/** Ids of parts, instances and mounts: short, lower-case, safe in an address. */
export const idSchema = z
  .string()
  .regex(/^[a-z0-9][a-z0-9.-]{0,63}$/, 'use lower-case letters, digits, dots and hyphens, 64 at most')
const text = (max: number) => z.string().max(max)

const boxSchema = z.strictObject({
  kind: z.literal('box'),
  centre: vec,
  size: z.tuple([lengthMm, lengthMm, lengthMm]).readonly(),
  /** Directions of its width and height, for a box that is not square to the part. */
  axes: z.tuple([unitVec, unitVec]).readonly().optional(),
})
const cylinderSchema = z.strictObject({
  kind: z.literal('cylinder'),
  centre: vec,
  axis: unitVec,
  radius: lengthMm,
  length: lengthMm,
})

/** How a solid is drawn; it changes nothing that is computed. */
export const looks = ['plain', 'metal', 'grip', 'ribs', 'glass', 'screen', 'foam', 'knob', 'detail'] as const

const drawn = {
  matter: z.enum(['body', 'soft']),
  look: z.enum(looks).optional(),
  roundMm: z.number().min(0).max(200).optional(),
}
/** A bar with a bore is a ring: what fits through it goes through. */
const barSchema = cylinderSchema
  .extend({ ...drawn, bore: lengthMm.optional() })
  .refine(({ bore, radius }) => bore === undefined || bore < radius, {
    path: ['bore'],
    message: 'the hole of a ring must be narrower than the ring',
  })
export const solidSchema = z.discriminatedUnion('kind', [boxSchema.extend(drawn), barSchema])

/** Space that must stay free for the part to work; `lost` says what is given up when it does not. */
export const roomSchema = z.strictObject({
  kind: z.enum(['swing', 'door', 'hand', 'plug', 'lever', 'turn', 'view']),
  shape: z.discriminatedUnion('kind', [boxSchema, cylinderSchema]),
  /** A room that is swept: the shape turns about this hinge, from the pose it is given in. */
  hinge: z
    .strictObject({
      at: vec,
      axis: unitVec,
      fromDeg: z.number().min(0).max(360),
      toDeg: z.number().min(0).max(360),
      stepDeg: z.number().min(1).max(90),
    })
    .refine((h) => h.fromDeg <= h.toDeg, 'a swing must run from a smaller to a larger angle')
    .optional(),
  lost: text(120),
})

/**
 * A place where the part itself bends: a screen on its hinge, an arm at its joint. It rests in the first position, at 0
 * degrees.
 */
export const hingeSchema = z.strictObject({
  id: idSchema,
  label: text(60),
  at: vec,
  axis: unitVec,
  /**
   * Which solids, rooms (by index), mounts and sockets (by id) go along. A later hinge rides on an earlier one that
   * moves the same things.
   */
  solids: z.array(z.int().min(0).max(59)).max(60).readonly(),
  rooms: z.array(z.int().min(0).max(19)).max(20).readonly().optional(),
  mounts: z.array(idSchema).max(60).readonly(),
  positions: z
    .array(z.strictObject({ id: idSchema, label: text(40), deg: z.number().min(-360).max(360) }))
    .min(2)
    .max(24)
    .readonly()
    .refine((list) => list[0]?.deg === 0, 'the first position is the one the part is drawn in: 0 degrees'),
})

/**
 * What only a stand has: how wide its feet are, or where its axes meet and how far its arms slide to bring a centre
 * there.
 */
export const underSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('legs'), feetMm: lengthMm }),
  z.strictObject({ kind: z.literal('gimbal'), at: vec, reachMm: z.tuple([mm, mm, mm]).readonly() }),
])

/** A nut that presses the foot against the shoe, a pin that drops into its hole, or a latch behind its edge. */
export const shoeLocks = ['nut', 'pin', 'latch'] as const

/** What a rod is made of, in the order of how stiff it is. */
export const rodMatter = ['aluminium', 'carbon', 'steel'] as const

/** Where a plug goes in: its place and the way the plug stands out. */
export const socketSchema = z.strictObject({
  id: idSchema,
  connector: z.enum(connectorIds),
  direction: z.enum(['in', 'out', 'both']),
  at: vec,
  out: unitVec,
  label: text(60).optional(),
  /** What goes through it; several for USB-C and the like. */
  carries: z.array(z.enum(carried)).max(6).readonly().optional(),
  /**
   * For power: what a regulated outlet gives or an inlet bears, V; and the most it passes, W. An outlet without gives
   * what its battery gives.
   */
  volts: voltsSchema.optional(),
  watts: z.number().positive().max(2000).optional(),
  /**
   * An inlet that runs the part only while its own battery is in, and what it puts back into that battery at most, W.
   */
  needsPack: z.boolean().optional(),
  chargeW: z.number().positive().max(500).optional(),
  /** For pictures: what comes out, or what is taken in. */
  formats: z.array(z.enum(pictureFormats)).min(1).max(4).readonly().optional(),
  /** For sound: how an inlet can feed a microphone, or how a microphone wants to be fed. */
  feeds: z.array(z.enum(micFeeds)).max(2).readonly().optional(),
  /** A jack for headphones. */
  phones: z.boolean().optional(),
  /** An inlet for microphones: its own noise as if it came in by the plug, dBu. */
  noiseDbu: z.number().min(-140).max(-60).optional(),
  /** A microphone's outlet: what it gives at a sound pressure of 1 Pa, mV. */
  mvPerPa: z.number().positive().max(500).optional(),
})

/** Keys for screws with a hexagon in their heads, across flats. */
export const keySizes = [
  '1.5 mm',
  '2 mm',
  '2.5 mm',
  '3 mm',
  '4 mm',
  '5 mm',
  '6 mm',
  '1/8"',
  '5/32"',
  '3/16"',
  '1/4"',
] as const

export const mountSchema = z.strictObject({
  id: idSchema,
  standard: z.string().min(1).max(40),
  side: z.enum(['holds', 'sits']),
  at: vec,
  out: unitVec,
  up: unitVec,
  label: text(60).optional(),
  travel: z
    .strictObject({ along: unitVec, minMm: mm, maxMm: mm, stepMm: z.number().positive().max(100) })
    .refine((t) => t.minMm <= t.maxMm, 'travel must run from a smaller to a larger figure')
    .optional(),
  lengthMm: lengthMm.optional(),
  family: text(40).optional(),
  /** A lens mount: from the sensor to its face. */
  flangeMm: z.number().positive().max(120).optional(),
  /**
   * Outer diameter of a ring that something is clamped round, or of a driving gear; and which diameters a clamp closes
   * on.
   */
  odMm: lengthMm.optional(),
  closesOn: z
    .strictObject({ minMm: lengthMm, maxMm: lengthMm })
    .refine((r) => r.minMm <= r.maxMm, 'a clamp must close from a smaller to a larger diameter')
    .optional(),
  /** Families this mount takes with a fault, such as a pack that seats but does not latch. */
  almost: z.array(text(40)).max(12).readonly().optional(),
  /** Distance between two screws, and how far a slot lets them wander. */
  spacingMm: lengthMm.optional(),
  slotMm: z.number().min(0).max(200).optional(),
  /** A flat face, or the back of a pad: how wide and tall it is. */
  faceMm: z.tuple([lengthMm, lengthMm]).readonly().optional(),
  /** How far a screw stands out, or how deep a blind hole is, mm. */
  screwMm: z.number().positive().max(60).optional(),
  deepMm: z.number().positive().max(60).optional(),
  /** A clamp that can't open: it has to be slid on over an end of the rail. */
  slidesOn: z.boolean().optional(),
  /** The least it can be balanced with, g; and the moment it holds still, N m. */
  fromG: z.number().min(0).max(100_000).optional(),
  momentNm: z.number().positive().max(1000).optional(),
  /** Meant to hold something else: the part itself is never hung up by it. */
  carries: z.boolean().optional(),
  screws: z.int().min(1).max(8).optional(),
  antiTwist: z.boolean().optional(),
  /** A shoe with contacts that pass sound: a mic that sits in it by such a foot is heard without a lead. */
  sound: z.boolean().optional(),
  /** What keeps the foot of a shoe where it was put; without one it is held by its springs alone. */
  lock: z.enum(shoeLocks).optional(),
  limitG: z.number().positive().max(100_000).optional(),
  shares: z.array(idSchema).max(12).readonly().optional(),
  tool: z.enum(['fingers', 'coin', 'hex key', 'lever']).optional(),
  /** Which key, where it takes one; the usual one of its standard when it is not told. */
  keySize: z.enum(keySizes).optional(),
  /** A battery's seat: the voltage the part bears there. */
  volts: voltsSchema.optional(),
})

const priceSchema = z
  .strictObject({ low: z.int().min(0).max(1e9), usual: z.int().min(0).max(1e9), high: z.int().min(0).max(1e9) })
  .refine((p) => p.low <= p.usual && p.usual <= p.high, 'prices must rise from low over usual to high')

/** What of a part may be unknown and is still reckoned with: its mass, and what it draws. */
export const unknownFigures = ['massG', 'drawW'] as const
export type UnknownFigure = (typeof unknownFigures)[number]

/** What the maker of a part says of the order it is put together in. */
export const orderSchema = z.strictObject({
  /** What sits at these points of its own goes on before the part comes to its seat: later nobody gets at them. */
  joinedBefore: z.array(idSchema).max(12).readonly().optional(),
  /** Parts of these roles are off while it goes on or comes off. */
  offFirst: z.array(z.enum(roleIds)).max(8).readonly().optional(),
  /** What of it is up when it sits right: `the arrow`, `the milled edge`. */
  faceUp: text(40).min(1).optional(),
})

/** One kind of thing that can be owned, bought and bolted on. All geometry is in the part's own frame. */
export const partSchema = z.strictObject({
  id: idSchema,
  role: z.enum(roleIds),
  name: text(80).min(1),
  maker: text(40),
  /** 0 when it stands among `unknown`. */
  massG: z.number().min(0).max(60_000),
  /**
   * Figures nobody has found out yet: everything made of them is told as *at least* or *at most*. A price of 0 is
   * unknown likewise.
   */
  unknown: z.array(z.enum(unknownFigures)).max(unknownFigures.length).readonly().optional(),
  centre: vec,
  solids: z.array(solidSchema).min(1).max(60).readonly(),
  /** How it is drawn, where its role says too little. */
  figure: figureSchema.optional(),
  rooms: z.array(roomSchema).max(20).readonly(),
  mounts: z.array(mountSchema).max(60).readonly(),
  /** Where a hand takes hold: the middle of the palm. */
  grips: z
    .array(
      z.strictObject({
        kind: z.enum(['top', 'side', 'shoulder', 'chest']),
        at: vec,
        /** Along the bar the fingers close round, towards its upper or front end. */
        axis: unitVec.optional(),
      }),
    )
    .max(6)
    .readonly(),
  hinges: z.array(hingeSchema).max(6).readonly().optional(),
  sockets: z.array(socketSchema).max(30).readonly().optional(),
  optics: opticsSchema.optional(),
  opening: openingSchema.optional(),
  under: underSchema.optional(),
  /** A camera's own screen, which is watched as a monitor is; a hinge that takes its solid along takes it as well. */
  screen: z
    .strictObject({
      at: vec,
      out: unitVec,
      up: unitVec,
      wideMm: lengthMm,
      tallMm: lengthMm,
      nits: z.number().min(0).max(20_000),
      /** The solid that carries it; and whether it can be turned to the eye wherever it is swung. */
      solid: z.int().min(0).max(59),
      swivels: z.boolean().optional(),
    })
    .optional(),
  /** Rods: how they are made, each of them. */
  rod: z
    .strictObject({
      count: z.int().min(1).max(4),
      acrossMm: lengthMm,
      wallMm: lengthMm.optional(),
      matter: z.enum(rodMatter),
    })
    .refine((r) => r.wallMm === undefined || r.wallMm < r.acrossMm / 2, {
      path: ['wallMm'],
      message: 'the wall of a tube must be thinner than half of it',
    })
    .optional(),
  power: powerSchema.optional(),
  cable: cableSchema.optional(),
  coupler: couplerSchema.optional(),
  media: mediaSchema.optional(),
  /** How many voices it takes at once: a receiver for two people has two. */
  channels: z.int().min(1).max(16).optional(),
  /** A hood over a screen: the part of the light round about that it keeps off. */
  shade: z.number().min(0).max(0.95).optional(),
  /** What a picture is late by once it has gone through, ms. */
  delayMs: z.number().min(0).max(2000).optional(),
  /** Where a cable can be laid through it, and whether it grips the plug itself. */
  holdsCable: z.strictObject({ at: vec, plug: z.boolean().optional() }).optional(),
  /** Where its record button lies; on a grip it works through a trigger lead. */
  recordAt: vec.optional(),
  provides: z.array(z.enum(capabilityIds)).readonly(),
  /** Camera families this part's `body` seat was made for. */
  fits: z.array(idSchema).max(40).readonly(),
  /** Parts it does not work without: any one of them on the same rig will do. */
  needsOneOf: z.array(idSchema).max(12).readonly().optional(),
  price: priceSchema,
  /** Parts that come in the same box: paid once, with this one. */
  includes: z.array(idSchema).max(20).readonly().optional(),
  /** The tools it is, or holds in itself, by their names: `4 mm key`, `coin`. */
  serves: z.array(text(20).min(1)).max(16).readonly().optional(),
  order: orderSchema.optional(),
  facts: z.record(z.string().max(30), z.union([z.number(), z.string().max(80), z.boolean()])).optional(),
  notes: text(400).optional(),
})

export type Part = z.infer<typeof partSchema>
export type Solid = z.infer<typeof solidSchema>
export type Room = z.infer<typeof roomSchema>
export type Hinge = z.infer<typeof hingeSchema>
export type Socket = z.infer<typeof socketSchema>
export type Mount = z.infer<typeof mountSchema>
export type Look = (typeof looks)[number]
export type KeySize = (typeof keySizes)[number]
export type Tool = NonNullable<Mount['tool']>
