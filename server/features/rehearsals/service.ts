import { randomUUID } from 'node:crypto'
import { evaluate, type Stage, stageOf } from '@zucchini/core/assess'
import { type Rig, setupOf, soundnessIssues } from '@zucchini/core/assembly'
import { type Disturbance, disturb, metersOf, playStep, type Rehearsal } from '@zucchini/core/power'
import { Refusal, wordedIssues } from '../../errors.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { Change, Frame, Sample } from './frames.ts'

const TICK_MS = 200
/** The finest step that is played, s; and so many of them at most between two frames, so that no speed can hang the server. */
const STEP_S = 20
const MOST_STEPS = 600
/** A point for the chart every so many seconds of the day. */
const SAMPLE_S = 120
const MOST_SAMPLES = 2000
const MOST_EVENTS = 80
/** Rehearsals kept at once; one that nobody watches is put away after a while. */
const MOST_SESSIONS = 8
const IDLE_MS = 10 * 60_000

type Listener = (frame: Frame) => void

/** One simulated day, played in fast time. */
class Session {
  readonly id = randomUUID()
  readonly stage: Stage
  readonly samples: Sample[] = []
  readonly listeners = new Set<Listener>()
  #now: Rehearsal
  #paused = false
  /** Counts how often the day was begun. */
  #run = 1
  /** Minutes of the day in one second. */
  #speed: number
  seenAt = Date.now()

  constructor(stage: Stage, speed: number) {
    this.stage = stage
    this.#now = stage.start
    this.#speed = speed
    this.#sample()
  }

  #sample(): void {
    const { network, phases, bays } = this.stage
    const { packs, pieces } = metersOf(network, phases, this.#now, bays)
    if (this.samples.length >= MOST_SAMPLES) return
    this.samples.push({
      second: this.#now.second,
      percents: Object.fromEntries(packs.map(({ id, percent }) => [id, percent])),
      watts: pieces.reduce((sum, { watts }) => sum + watts, 0),
    })
  }

  tick(): void {
    if (this.#paused || this.#now.over) return
    const { network, phases, bays } = this.stage
    const known = this.samples.length
    const until = this.#now.second + this.#speed * 60 * (TICK_MS / 1000)
    for (let i = 0; i < MOST_STEPS && this.#now.second < until && !this.#now.over; i++) {
      this.#now = playStep(network, phases, this.#now, Math.min(STEP_S, until - this.#now.second), bays)
      if (this.#now.over || this.#now.second - (this.samples.at(-1)?.second ?? 0) >= SAMPLE_S) this.#sample()
    }
    this.tell(known)
  }

  change(change: Change): void {
    this.seenAt = Date.now()
    if (change.paused !== undefined) this.#paused = change.paused
    if (change.speed !== undefined) this.#speed = change.speed
    if (change.again) {
      this.#now = this.stage.start
      this.#run++
      this.samples.length = 0
      this.#sample()
    }
    const disturbance: Partial<Disturbance> = {
      ...(change.celsius === undefined ? {} : { celsius: change.celsius }),
      ...(change.turnedUp === undefined ? {} : { turnedUp: change.turnedUp }),
      ...(change.forgotten === undefined ? {} : { forgotten: change.forgotten }),
    }
    this.#now = disturb(this.#now, disturbance)
    this.tell(change.again ? 0 : this.samples.length)
  }

  /** @param known how many samples the listeners have already */
  tell(known: number): void {
    const frame = this.frame(known)
    for (const listener of this.listeners) listener(frame)
  }

  frame(known = 0): Frame {
    const { network, phases, bays, names } = this.stage
    const meters = metersOf(network, phases, this.#now, bays)
    const name = (id: string) => names.get(id) ?? id
    const { second, over, swaps, usedWh, outWh, lostWh, storedWh, wallWh, disturbance, events } = this.#now
    return {
      simulated: true,
      second,
      over,
      paused: this.#paused,
      speed: this.#speed,
      phase: meters.phase ?? null,
      packs: meters.packs.map(({ seat, volts, ...pack }) => ({
        ...pack,
        name: name(pack.id),
        seat: seat === undefined ? null : name(seat),
        volts: volts ?? null,
      })),
      pieces: meters.pieces.map((piece) => ({ ...piece, name: name(piece.id) })),
      swaps,
      usedWh,
      outWh,
      lostWh,
      storedWh,
      wallWh,
      disturbance,
      events: events.slice(-MOST_EVENTS).map(({ second: at, what, id }) => ({ second: at, what, name: id ? name(id) : '' })),
      run: this.#run,
      samples: this.samples.slice(known),
    }
  }
}

/** Simulated shoot days. They live in memory only: a rehearsal is played, not kept. */
export class RehearsalService {
  readonly #catalogue: CatalogueService
  readonly #sessions = new Map<string, Session>()
  readonly #timer: NodeJS.Timeout

  constructor(catalogue: CatalogueService) {
    this.#catalogue = catalogue
    this.#timer = setInterval(() => this.#tick(), TICK_MS)
    this.#timer.unref()
  }

  #tick(): void {
    for (const session of this.#sessions.values()) {
      if (session.listeners.size > 0) {
        session.seenAt = Date.now()
        session.tick()
      } else if (Date.now() - session.seenAt > IDLE_MS) this.#sessions.delete(session.id)
    }
  }

  /** @throws {Refusal} `unsound-rig`, or `malformed` for a set-up the rig does not have. */
  async start(rig: Rig, setup: string, speed: number): Promise<Session> {
    const catalogue = await this.#catalogue.catalogue()
    const issues = soundnessIssues(rig, catalogue)
    if (issues.length > 0) throw new Refusal('unsound-rig', { issues: wordedIssues(issues) })
    if (!setupOf(rig, setup)) throw new Refusal('malformed', { issues: [{ path: 'setup', message: `this rig has no set-up "${setup}"` }] })
    const session = new Session(stageOf(evaluate(rig, setup, { catalogue, owned: new Map() }, false)), speed)
    if (this.#sessions.size >= MOST_SESSIONS) {
      const [oldest] = [...this.#sessions.values()].sort((a, b) => a.listeners.size - b.listeners.size || a.seenAt - b.seenAt)
      if (oldest) this.#sessions.delete(oldest.id)
    }
    this.#sessions.set(session.id, session)
    return session
  }

  /** @throws {Refusal} `rehearsal-unknown` */
  get(id: string): Session {
    const session = this.#sessions.get(id)
    if (!session) throw new Refusal('rehearsal-unknown')
    return session
  }

  stop(id: string): void {
    this.get(id)
    this.#sessions.delete(id)
  }

  close(): void {
    clearInterval(this.#timer)
    this.#sessions.clear()
  }
}

export type { Session }
