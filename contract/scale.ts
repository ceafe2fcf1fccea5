import { idSchema } from '@zucchini/core/catalogue'
import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** What the simulated scale shows; also the event of its stream. */
export const scaleFrameSchema = z.object({
  simulated: z.literal(true),
  plugged: z.boolean(),
  grams: z.number().nullable(),
  stable: z.boolean(),
  holds: z.array(z.string()),
})
export type ScaleFrame = z.infer<typeof scaleFrameSchema>

export const SCALE_STREAM = '/api/scale/stream'

const response = { 200: scaleFrameSchema } as const

export const layOnScale = endpoint({
  method: 'POST',
  path: '/api/scale/load',
  schema: {
    summary: 'Lay pieces of these parts on the simulated scale; an empty list takes all off',
    body: z.strictObject({ parts: z.array(idSchema).max(200) }),
    response,
  },
})
export const tareScale = endpoint({
  method: 'POST',
  path: '/api/scale/tare',
  schema: { summary: 'Make what it shows now nought', response },
})
export const plugScale = endpoint({
  method: 'POST',
  path: '/api/scale/plug',
  schema: {
    summary: 'Pull the simulated scale’s plug, or put it back',
    body: z.strictObject({ plugged: z.boolean() }),
    response,
  },
})
