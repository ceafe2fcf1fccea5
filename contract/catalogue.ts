import { idSchema, partSchema } from '@zucchini/core/catalogue'
import { z } from 'zod'
import { endpoint, nothing } from './endpoint.ts'

const params = z.object({ id: idSchema })
const tag = z.object({ tag: z.string() })

export const catalogue = endpoint({
  method: 'GET',
  path: '/api/catalogue',
  schema: { summary: 'All known parts; answers 304 when the tag still holds' },
  kept: z.object({ parts: z.array(partSchema), own: z.array(z.string()), gone: z.array(partSchema) }),
})
export const onePart = endpoint({
  method: 'GET',
  path: '/api/catalogue/:id',
  schema: { summary: 'One part', params, response: { 200: partSchema } },
})
export const savePart = endpoint({
  method: 'PUT',
  path: '/api/catalogue/:id',
  schema: {
    summary: 'Store a part of one’s own, new or over the data it was made from',
    params,
    body: z.strictObject({ part: partSchema, was: z.string().max(32).nullable() }),
    response: { 200: tag },
  },
})
export const partTag = endpoint({
  method: 'GET',
  path: '/api/catalogue/:id/tag',
  schema: { summary: 'The name of a part’s present data', params, response: { 200: tag } },
})
export const removePart = endpoint({
  method: 'DELETE',
  path: '/api/catalogue/:id',
  schema: {
    summary: 'Take a part of one’s own out of the catalogue',
    params,
    querystring: z.object({ was: z.string().min(1).max(32) }),
    response: { 204: nothing },
  },
})
export const bringPartBack = endpoint({
  method: 'POST',
  path: '/api/catalogue/:id/bring-back',
  schema: {
    summary: 'Put a part that was taken out back into the catalogue',
    params,
    response: { 204: nothing },
  },
})
