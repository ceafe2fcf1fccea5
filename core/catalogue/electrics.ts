import { z } from 'zod'
import { connectorIds, plugAngles } from './connectors.ts'

export const voltsSchema = z
  .strictObject({ min: z.number().positive().max(400), max: z.number().positive().max(400) })
  .refine((v) => v.min <= v.max, 'volts must run from a smaller to a larger figure')

/** What can go through a socket or a cable. */
export const carried = ['power', 'picture', 'sound', 'timecode', 'trigger', 'data'] as const

/** Pictures a socket gives or takes, from the lightest to the heaviest. */
export const pictureFormats = ['hd60', 'uhd30', 'uhd60', 'raw'] as const

/** How a microphone is fed through its own lead. */
export const micFeeds = ['plug-in', 'phantom'] as const

const watts = z.number().positive().max(2000)

/** What a part draws, what it stores, and what it makes of the power it is given. */
export const powerSchema = z
  .strictObject({
    /** While it works, W; nothing for what draws nothing. */
    drawW: watts.optional(),
    /** While it waits, W; as much as at work when left out. */
    standbyW: watts.optional(),
    /** With everything turned up, W: a screen at its brightest. */
    fullW: watts.optional(),
    /** Minutes its own fixed battery lasts; such a part is charged overnight and needs no lead. */
    ownMin: z.number().positive().max(6000).optional(),
    /** A battery: what it holds, the range its voltage runs through, and the most it gives. */
    store: z.strictObject({ capacityWh: watts, volts: voltsSchema, maxW: watts, gauge: z.boolean() }).optional(),
    /** A plate or a dummy pack that gives something else than it gets. */
    converts: z.strictObject({ volts: voltsSchema, watts }).optional(),
    /** A charger: what it puts into each bay, W. */
    chargesW: z.number().positive().max(500).optional(),
    /** Hangs on the wall. */
    mains: z.boolean().optional(),
    /** A dummy pack whose lead keeps the battery door open. */
    doorOpen: z.boolean().optional(),
  })
  .refine((p) => p.standbyW === undefined || (p.drawW !== undefined && p.standbyW <= p.drawW), {
    path: ['standbyW'],
    error: 'waiting can not draw more than working',
  })
  .refine((p) => p.fullW === undefined || (p.drawW !== undefined && p.fullW >= p.drawW), {
    path: ['fullW'],
    error: 'turned up, it can not draw less than usual',
  })

const endSchema = z.strictObject({ connector: z.enum(connectorIds), angle: z.enum(plugAngles) })

/** A lead: its two ends, its length, and what it passes. Power runs from a to b when it converts. */
export const cableSchema = z.strictObject({
  a: endSchema,
  b: endSchema,
  lengthMm: z.number().positive().max(30_000),
  /** A spring lead: it rests at its length and stretches to three times that. */
  coil: z.boolean().optional(),
  thickMm: z.number().positive().max(30),
  carries: z.array(z.enum(carried)).min(1).max(6).readonly(),
  /** A converter inside: the voltage it gives out at its b end, and the most it passes. */
  converts: z.strictObject({ volts: voltsSchema, watts }).optional(),
  /** The heaviest picture it passes. */
  upTo: z.enum(pictureFormats).optional(),
})

/**
 * A port saver or an angled coupler: what it plugs in with, the way it turns, how far its own socket stands off, and the
 * heaviest picture it passes. Its socket is of the same kind as its plug.
 */
export const couplerSchema = z.strictObject({
  connector: z.enum(connectorIds),
  angle: z.enum(plugAngles),
  longMm: z.number().positive().max(300),
  upTo: z.enum(pictureFormats).optional(),
})

/** What a part records, on what; or what it stores. */
export const mediaSchema = z.strictObject({
  /** The recordings it can make, the usual one first. */
  codecs: z
    .array(
      z.strictObject({ id: z.string().max(30), title: z.string().max(60), mbps: z.number().positive().max(100_000) }),
    )
    .min(1)
    .max(12)
    .readonly()
    .optional(),
  /** Kinds of card its slots take, and how many at once. */
  takes: z.array(z.string().max(20)).max(6).readonly().optional(),
  slots: z.int().min(1).max(4).optional(),
  /** Records to a drive on its data socket. */
  drive: z.boolean().optional(),
  stores: z
    .strictObject({
      gb: z.number().positive().max(100_000),
      /** What it takes without pause, and what it gives back, MB/s. */
      writeMBs: z.number().positive().max(20_000),
      readMBs: z.number().positive().max(20_000),
      kind: z.string().max(20),
    })
    .optional(),
})

export type Carried = (typeof carried)[number]
export type PictureFormat = (typeof pictureFormats)[number]
export type Volts = z.infer<typeof voltsSchema>
export type Power = z.infer<typeof powerSchema>
export type Cable = z.infer<typeof cableSchema>
export type Coupler = z.infer<typeof couplerSchema>
export type CableEnd = Cable['a']
export type Media = z.infer<typeof mediaSchema>
export type Codec = NonNullable<Media['codecs']>[number]
