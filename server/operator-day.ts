import { AsyncLocalStorage } from 'node:async_hooks'
import type { FastifyInstance } from 'fastify'

/** The browser says in this header where its clock hangs. */
export const ZONE_HEADER = 'x-time-zone'
const LONGEST_ZONE = 64

const zones = new AsyncLocalStorage<string | undefined>()

const isZone = (name: string): boolean => {
  try {
    return (
      name.length <= LONGEST_ZONE &&
      new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone.length > 0
    )
  } catch {
    return false
  }
}

/** The calendar day of a moment in a time zone, as `2026-11-25`; in the machine's own zone when none is given. */
export const dayIn = (now: Date, timeZone?: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now)

/** Today as the operator's calendar has it: by the zone of the browser that asks, else by the machine's. */
export const operatorDay = (now: Date): string => dayIn(now, zones.getStore())

/** Remembers, for the length of a request, the time zone its browser named; one that does not exist is passed over. */
export const installOperatorDay = (app: FastifyInstance): void => {
  app.addHook('onRequest', (request, _reply, done) => {
    const named = request.headers[ZONE_HEADER]
    zones.run(typeof named === 'string' && isZone(named) ? named : undefined, done)
  })
}
