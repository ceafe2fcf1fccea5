import { z } from 'zod'

const vec = z.tuple([z.number(), z.number(), z.number()]).readonly()
/** Glass and sensors have sizes that can be seen: a millimetre at least, a thousandth of one for no measure of them. */
const lengthMm = z.number().min(1, 'must be 1 mm or more').max(3000)
const stops = z.number().min(0).max(20)

/** What a lens or a camera does with light, as far as geometry goes. */
export const opticsSchema = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('lens'),
      /** The same twice for a prime. */
      focalMinMm: lengthMm,
      focalMaxMm: lengthMm,
      /** The widest it opens, as an f-number or T-stop. */
      stop: z.number().min(0.5).max(64),
      /** From the flange ahead to the entrance pupil at the short end. */
      pupilMm: z.number().min(0).max(600),
      imageCircleMm: lengthMm,
      /** Does it focus by a motor of its own? */
      autofocus: z.boolean().optional(),
      /** Its front turns with the focus or zoom ring. */
      turnsFront: z.boolean().optional(),
      /** How far the focus ring turns from stop to stop, degrees. */
      throwDeg: z.number().positive().max(720).optional(),
    })
    .refine((o) => o.focalMinMm <= o.focalMaxMm, {
      path: ['focalMaxMm'],
      error: 'the long end can not be shorter than the short end',
    }),
  z.strictObject({
    kind: z.literal('sensor'),
    wideMm: lengthMm,
    tallMm: lengthMm,
    /** Its native sensitivities, from low to high, and the highest that is still fit to show. */
    isos: z.array(z.number().min(1).max(1_000_000)).min(1).max(4).readonly().optional(),
    isoMax: z.number().min(1).max(10_000_000).optional(),
    /** Built-in neutral density: its steps, or the range it runs through without steps. */
    nd: z.strictObject({ stops: z.array(stops).min(1).max(8).readonly(), smooth: z.boolean() }).optional(),
    /** Modes that use less of the sensor, by how many times less. */
    crops: z.array(z.number().min(1).max(6)).max(6).readonly().optional(),
  }),
  z.strictObject({
    kind: z.literal('adapter'),
    /** Passes focus and iris between lens and body. */
    contacts: z.boolean(),
  }),
  z
    .strictObject({
      kind: z.literal('filter'),
      /** A graduated one is dark at its upper edge and clear at the lower. */
      effect: z.enum(['nd', 'variable-nd', 'polariser', 'mist', 'clear', 'graduated']),
      /** What it takes between its marks, in stops: twice the same for one that is fixed. */
      minStops: stops,
      maxStops: stops,
    })
    .refine((o) => o.minStops <= o.maxStops, {
      path: ['maxStops'],
      error: 'a filter can not take less at its most than at its least',
    }),
  z
    .strictObject({
      kind: z.literal('support'),
      /** How high over the rods its cradle can be set. */
      lowMm: z.number().min(0).max(300),
      highMm: z.number().min(0).max(300),
    })
    .refine((o) => o.lowMm <= o.highMm, { path: ['highMm'], error: 'a support must run from lower to higher' }),
  z.strictObject({
    kind: z.literal('screen'),
    /** The middle of the picture, the way it faces and the way its picture stands, in the part's frame. */
    at: vec,
    out: vec,
    up: vec,
    wideMm: lengthMm,
    tallMm: lengthMm,
    nits: z.number().min(0).max(20_000),
  }),
])
export type Optics = z.infer<typeof opticsSchema>
export type LensOptics = Extract<Optics, { kind: 'lens' }>
export type SensorOptics = Extract<Optics, { kind: 'sensor' }>
export type FilterOptics = Extract<Optics, { kind: 'filter' }>

/** What light has to pass in front of a lens, at its front plane: a round hole, or an upright one with corners. */
export const openingSchema = z
  .strictObject({
    at: vec,
    /** Across a round one. */
    clearMm: lengthMm.optional(),
    wideMm: lengthMm.optional(),
    tallMm: lengthMm.optional(),
  })
  .refine((o) => (o.clearMm === undefined) === (o.wideMm !== undefined && o.tallMm !== undefined), {
    path: ['clearMm'],
    error: 'an opening is either round, or has a width and a height',
  })
export type Opening = z.infer<typeof openingSchema>
