import { rigSchema } from '@zucchini/core/assembly'
import { idSchema } from '@zucchini/core/catalogue'
import { z } from 'zod'
import { endpoint, nothing } from './endpoint.ts'

/** Slowest and fastest play: minutes of the day in one second. */
export const SPEEDS = { least: 0.25, most: 240, usual: 6 } as const

export const speedSchema = z.number().min(SPEEDS.least).max(SPEEDS.most)

/** What may be changed while it plays. */
export const changeSchema = z.strictObject({
  paused: z.boolean().optional(),
  speed: speedSchema.optional(),
  again: z.boolean().optional(),
  celsius: z.number().min(-40).max(50).optional(),
  turnedUp: z.array(idSchema).max(40).optional(),
  forgotten: z.array(idSchema).max(40).optional(),
})
export type Change = z.infer<typeof changeSchema>

export const sampleSchema = z.object({
  second: z.number(),
  percents: z.record(z.string(), z.number()),
  watts: z.number(),
})
export type Sample = z.infer<typeof sampleSchema>

/** The rehearsal at one moment, as it goes out to the page. */
export const frameSchema = z.object({
  simulated: z.literal(true),
  second: z.number(),
  over: z.boolean(),
  paused: z.boolean(),
  speed: z.number(),
  phase: z.object({ name: z.string(), kind: z.string(), minutes: z.number(), mains: z.boolean() }).nullable(),
  packs: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      seat: z.string().nullable(),
      percent: z.number(),
      volts: z.number().nullable(),
      watts: z.number(),
    }),
  ),
  pieces: z.array(z.object({ id: z.string(), name: z.string(), watts: z.number(), dark: z.boolean() })),
  swaps: z.number(),
  usedWh: z.number(),
  outWh: z.number(),
  lostWh: z.number(),
  storedWh: z.number(),
  wallWh: z.number(),
  disturbance: z.object({
    celsius: z.number(),
    turnedUp: z.array(z.string()).readonly(),
    forgotten: z.array(z.string()).readonly(),
  }),
  events: z.array(z.object({ second: z.number(), what: z.string(), name: z.string() })),
  /** Which beginning of the day this is; points for the chart that are new since the frame before. */
  run: z.int(),
  samples: z.array(sampleSchema),
})
export type Frame = z.infer<typeof frameSchema>

export const rehearsalStream = (id: string): string => `/api/rehearsals/${id}/stream`

const params = z.object({ id: z.uuid() })

export const startRehearsal = endpoint({
  method: 'POST',
  path: '/api/rehearsals',
  schema: {
    summary: 'Play the day of a set-up on simulated batteries and meters',
    body: z.strictObject({ rig: rigSchema, setup: idSchema, speed: speedSchema.default(SPEEDS.usual) }),
    response: { 201: z.object({ id: z.uuid(), frame: frameSchema }) },
  },
})
export const streamRehearsal = endpoint({
  method: 'GET',
  path: '/api/rehearsals/:id/stream',
  schema: {
    summary: 'The rehearsal as it goes on, as server-sent events: a `frame` with all so far, then one for each step',
    params,
  },
})
export const changeRehearsal = endpoint({
  method: 'POST',
  path: '/api/rehearsals/:id',
  schema: {
    summary: 'Pause, go on, play faster, or change something',
    params,
    body: changeSchema,
    response: { 200: frameSchema },
  },
})
export const stopRehearsal = endpoint({
  method: 'DELETE',
  path: '/api/rehearsals/:id',
  schema: { summary: 'Put a rehearsal away', params, response: { 204: nothing } },
})
