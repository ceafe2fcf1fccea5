import { idSchema } from '@zucchini/core/catalogue'
import { fieldEntrySchema } from '@zucchini/core/log'
import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** So many entries are taken at once; a phone that was away for long sends several times. */
export const MOST_ENTRIES_AT_ONCE = 100

export const tellField = endpoint({
  method: 'POST',
  path: '/api/field',
  schema: {
    summary: 'Entries from the field: ticks, laps, days, words. One that is known already is not stored again',
    body: z.strictObject({ entries: z.array(fieldEntrySchema).min(1).max(MOST_ENTRIES_AT_ONCE) }),
    response: {
      200: z.object({
        /** Stored now or before. */
        kept: z.array(z.string()),
        /** Of rigs nobody knows here. */
        strange: z.array(z.string()),
      }),
    },
  },
})
export const taught = endpoint({
  method: 'GET',
  path: '/api/field',
  schema: {
    summary: 'The days, laps and words of all rigs, from which is learnt',
    response: { 200: z.object({ entries: z.array(fieldEntrySchema) }) },
  },
})
export const ticksOfRig = endpoint({
  method: 'GET',
  path: '/api/rigs/:id/ticks',
  schema: {
    summary: 'The ticks of a rig’s lists: of each the last one, and when each list was last begun anew',
    params: z.object({ id: idSchema }),
    response: { 200: z.object({ entries: z.array(fieldEntrySchema) }) },
  },
})
