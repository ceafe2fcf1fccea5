import { z } from 'zod'

const vec = z.tuple([z.number(), z.number(), z.number()]).readonly()
const lengthMm = z.number().positive().max(3000)

/** What a lens or a camera does with light, as far as geometry goes. */
export const opticsSchema = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('lens'),
      /** The same twice for a prime. */
      focalMinMm: lengthMm,
      focalMaxMm: lengthMm,
      stop: z.number().min(0.5).max(64),
      /** From the flange ahead to the entrance pupil at the short end. */
      pupilMm: z.number().min(0).max(600),
      imageCircleMm: lengthMm,
    })
    .refine((o) => o.focalMinMm <= o.focalMaxMm, { path: ['focalMaxMm'], error: 'the long end can not be shorter than the short end' }),
  z.strictObject({ kind: z.literal('sensor'), wideMm: lengthMm, tallMm: lengthMm }),
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
