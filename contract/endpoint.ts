import { z } from 'zod'

/** What is sent to an address and what comes back, as the server checks it. */
export interface EndpointSchema {
  readonly summary: string
  readonly params?: z.ZodObject
  readonly querystring?: z.ZodObject
  readonly body?: z.ZodType
  /** The kind of file a body is, when it is one. */
  readonly consumes?: readonly string[]
  readonly response?: Readonly<Partial<Record<200 | 201 | 204 | 503, z.ZodType>>>
}

/** One address of the server. */
export interface Endpoint {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  readonly path: string
  readonly schema: EndpointSchema
  /**
   * What comes back where the server sends bytes it has kept: they were checked on their way in, and checking them
   * again would be slow.
   */
  readonly kept?: z.ZodType
}

/** States an address, and keeps its types. */
export const endpoint = <const E extends Endpoint>(stated: E): E => stated

type Good<R> = R extends { readonly 200: infer S }
  ? S
  : R extends { readonly 201: infer S }
    ? S
    : R extends { readonly 204: infer S }
      ? S
      : never

/** What an address answers when all is well. */
export type Answer<E extends Endpoint> = E extends { readonly kept: infer S extends z.ZodType }
  ? z.output<S>
  : Good<E['schema']['response']> extends infer S extends z.ZodType
    ? z.output<S>
    : undefined

/** A value that may be sent: nothing in it is written to. */
export type Sendable<T> = T extends readonly (infer Item)[]
  ? readonly Sendable<Item>[]
  : T extends object
    ? { readonly [K in keyof T]: Sendable<T[K]> }
    : T

type Sent<S> = S extends z.ZodType ? Sendable<z.input<S>> : never

/** What has to be given to ask an address. */
export type Given<E extends Endpoint> = (E['schema'] extends { readonly params: infer S }
  ? { readonly params: { readonly [K in keyof Sent<S>]: string | number } }
  : { readonly params?: never }) &
  (E['schema'] extends { readonly querystring: infer S }
    ? { readonly query?: { readonly [K in keyof Sent<S>]?: string | number | undefined } }
    : { readonly query?: never }) &
  (E['schema'] extends { readonly consumes: readonly string[] }
    ? { readonly file: Blob }
    : E['schema'] extends { readonly body: infer S }
      ? { readonly body: Sent<S> }
      : { readonly body?: never })

/** Nothing comes back. */
export const nothing = z.null()

const LARGEST = 4_294_967_295

/** A revision number in an address: digits and nothing else, so that `1e2`, `0x3` or ` 4` name none. */
export const digits = z
  .string()
  .regex(/^[1-9]\d{0,9}$/, 'must be a number in plain digits, from 1 up')
  .transform(Number)
  .refine((number) => number <= LARGEST, 'is larger than any number there is')

export const yesOrNo = z.enum(['yes', 'no'])
