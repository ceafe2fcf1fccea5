import { z } from 'zod'
import { endpoint, nothing } from './endpoint.ts'

/** How a phone gets in. */
export const phoneStateSchema = z.object({
  /** Was the program started for phones? */
  on: z.boolean(),
  /** The page that says how the phone comes to trust this machine, by address; the likeliest first. */
  guides: z.array(z.string()),
  /** So many phones are paired. */
  paired: z.int(),
})
export type PhoneState = z.infer<typeof phoneStateSchema>

/** A code in an address, good once and until then. */
export const pairingSchema = z.object({ addresses: z.array(z.string()), until: z.string() })
export type PairingAnswer = z.infer<typeof pairingSchema>

export const phone = endpoint({
  method: 'GET',
  path: '/api/phone',
  schema: { summary: 'Are phones let in, and how?', response: { 200: phoneStateSchema } },
})
export const newPairing = endpoint({
  method: 'POST',
  path: '/api/phone/codes',
  schema: {
    summary: 'A code that lets one phone in, once and within ten minutes; the one before is good no more',
    response: { 201: pairingSchema },
  },
})
export const forgetPhones = endpoint({
  method: 'DELETE',
  path: '/api/phone',
  schema: { summary: 'Let none of the paired phones in any more', response: { 204: nothing } },
})
export const pairPhone = endpoint({
  method: 'GET',
  path: '/pair',
  schema: {
    summary: 'Pair the phone that opens this with the code it carries, and go to the shelf',
    querystring: z.object({ code: z.string().regex(/^[0-9a-f]{32}$/) }),
  },
})
