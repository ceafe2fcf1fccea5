import { flatMap } from '../kernel/index.ts'
import { CHARGING } from './flow.ts'

const HOUR_MIN = 60
/** Charges smaller than this are none, Wh. */
const NOTHING_WH = 1e-9

/** Bays that charge one kind of battery. */
export interface Bays {
  readonly kind: string
  readonly bays: number
  /** What goes into each bay, W. */
  readonly watts: number
  /**
   * By night only, and one pack of it: a camera or plate that charges what sits in it, or a pack with a socket of its
   * own. By day it works, and at night nobody changes packs.
   */
  readonly once?: true
}

/** A pack in a bay of the charger, from when to when, minutes after the day began. */
export interface Charge {
  readonly id: string
  readonly kind: string
  /** Bays of one kind are numbered through, the strongest first. */
  readonly bay: number
  readonly watts: number
  readonly fromMin: number
  readonly toMin: number
  /** Is it full at the end? */
  readonly full: boolean
}

/** The bays of one kind, each with what it gives, the strongest first: those of chargers, or those that fill one pack. */
export const baysFor = (kind: string, bays: readonly Bays[], once?: true): readonly number[] =>
  flatMap(
    bays.filter((one) => one.kind === kind && one.watts > 0 && one.once === once),
    ({ bays: count, watts }) => Array.from({ length: count }, () => watts),
  ).sort((a, b) => b - a)

/**
 * How long bays take to fill packs, minutes: each pack sits in one bay until it is full, the emptiest goes first into
 * whichever bay would have it full soonest. One more charger does not hurry a single pack.
 * @param missingWh what each pack lacks; @param once bays that fill one pack and no more
 * @returns 0 when nothing is missing, Infinity without a bay
 * @example 18 and 12 Wh in two bays of 5 W, 0.9 of it staying: 240 min; in one: 400
 */
export const fillMinutes = (
  missingWh: readonly number[],
  bays: readonly number[],
  once: readonly number[] = [],
): number => {
  const packs = missingWh.filter((wh) => wh > NOTHING_WH).sort((a, b) => b - a)
  if (packs.length === 0) return 0
  const ends = [
    ...bays.map((watts) => ({ watts, single: false, hours: 0 })),
    ...once.map((watts) => ({ watts, single: true, hours: 0 })),
  ]
  for (const wh of packs) {
    const with_ = (bay: { watts: number; hours: number }) => bay.hours + wh / (bay.watts * CHARGING)
    const [soonest] = ends.filter(({ single, hours }) => !single || hours === 0).sort((a, b) => with_(a) - with_(b))
    if (!soonest) return Infinity
    soonest.hours = with_(soonest)
  }
  return Math.max(...ends.map(({ hours }) => hours)) * HOUR_MIN
}

interface Waiting {
  readonly id: string
  readonly kind: string
  missingWh: number
  bay: number | undefined
}

/**
 * Spent packs at the wall: each waits for a bay, stays in it until it is full or the wall is left, and goes on in the
 * same one later.
 */
export class ChargingTable {
  readonly #bays: readonly Bays[]
  #waiting: Waiting[] = []
  readonly #log: Charge[] = []

  constructor(bays: readonly Bays[]) {
    this.#bays = bays
  }

  lay(id: string, kind: string, missingWh: number): void {
    this.#waiting.push({ id, kind, missingWh, bay: undefined })
  }

  /**
   * Charges for a while from a moment on. @returns the packs that are full by its end, in the order in which they
   * became so
   */
  charge(fromMin: number, hours: number): readonly string[] {
    const full: { id: string; at: number }[] = []
    for (const kind of new Set(this.#waiting.map((pack) => pack.kind))) {
      const watts = baysFor(kind, this.#bays)
      const free = watts.map(() => 0)
      for (const pack of this.#waiting.filter((one) => one.kind === kind)) {
        const bay = pack.bay ?? free.indexOf(Math.min(...free))
        const start = free[bay]
        const given = (watts[bay] ?? 0) * CHARGING
        if (start === undefined || given <= 0 || start >= hours) continue
        const took = Math.min(hours - start, pack.missingWh / given)
        pack.missingWh -= took * given
        pack.bay = bay
        free[bay] = start + took
        const done = pack.missingWh <= NOTHING_WH
        if (done) full.push({ id: pack.id, at: start + took })
        const [begins, ends] = [fromMin + start * HOUR_MIN, fromMin + (start + took) * HOUR_MIN]
        this.#write({ id: pack.id, kind, bay, watts: watts[bay] ?? 0, fromMin: begins, toMin: ends, full: done })
      }
    }
    const ids = new Set(full.map(({ id }) => id))
    this.#waiting = this.#waiting.filter(({ id }) => !ids.has(id))
    return full.sort((a, b) => a.at - b.at).map(({ id }) => id)
  }

  /** A pack that goes on where it was makes one line of the schedule. */
  #write(charge: Charge): void {
    const before = this.#log.findLastIndex(({ id }) => id === charge.id)
    const last = this.#log[before]
    if (last && !last.full && last.bay === charge.bay && Math.abs(last.toMin - charge.fromMin) < 1e-6)
      this.#log[before] = { ...charge, fromMin: last.fromMin }
    else this.#log.push(charge)
  }

  get schedule(): readonly Charge[] {
    return this.#log
  }
}
