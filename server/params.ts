import { z } from 'zod'

const LARGEST = 4_294_967_295

/** A revision number in an address: digits and nothing else, so that `1e2`, `0x3` or ` 4` name none. */
export const digits = z
  .string()
  .regex(/^[1-9]\d{0,9}$/, 'must be a number in plain digits, from 1 up')
  .transform(Number)
  .refine((number) => number <= LARGEST, 'is larger than any number there is')
