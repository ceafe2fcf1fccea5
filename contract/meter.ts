import { idSchema } from '@zucchini/core/catalogue'
import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** What the simulated battery meter shows. */
export const meterFrameSchema = z.object({
  simulated: z.literal(true),
  /** The part behind it; null when nothing is. */
  part: z.string().nullable(),
  watts: z.number(),
  volts: z.number(),
  meanW: z.number(),
  steady: z.boolean(),
})
export type MeterFrame = z.infer<typeof meterFrameSchema>

const response = { 200: meterFrameSchema } as const

export const readMeter = endpoint({
  method: 'GET',
  path: '/api/meter',
  schema: { summary: 'What the simulated battery meter shows now', response },
})
export const plugMeter = endpoint({
  method: 'PUT',
  path: '/api/meter',
  schema: {
    summary: 'Put the simulated battery meter before a piece of this part; null takes it out',
    body: z.strictObject({ part: idSchema.nullable() }),
    response,
  },
})
