import { randomUUID } from 'node:crypto'
import { evaluate, type Stage, stageOf } from '@zucchini/core/assess'
import { adoptRig, liftRig, type Rig, setupOf, soundnessIssues } from '@zucchini/core/assembly'
import { type Disturbance, disturb, metersOf, playStep, type Rehearsal } from '@zucchini/core/power'
import type { DataSource } from 'typeorm'
import { Refusal, wordedIssues } from '../../errors.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { Change, Frame, Sample } from '@zucchini/contract'

const TICK_MS = 200
/**
 * The finest step that is played, s; and so many of them at most between two frames, so that no speed can hang the
 * server.
 */
const STEP_S = 20
const MOST_STEPS = 600
/** A point for the chart every so many seconds of the day. */
const SAMPLE_S = 120
const MOST_SAMPLES = 2000
const MOST_EVENTS = 80
/** Rehearsals kept at once; one that nobody watches is put away after a while. */
const MOST_SESSIONS = 8
const IDLE_MS = 10 * 60_000
/** How far a rehearsal has come is stored this often, so that another server can take it up. */
const STORE_MS = 2000

type Listener = (frame: Frame) => void

/** What the people who watch have set; a server that plays takes over what another one was told. */
interface Controls {
  readonly paused: boolean
  /** Minutes of the day in one second. */
  readonly speed: number
  /** Counts how often the day was begun. */
  readonly run: number
  readonly disturbance: Disturbance
}

/** A rehearsal as it is stored: what it plays, what was set, and how far it has come. */
interface Stored {
  readonly rig: Rig
  readonly setup: string
  readonly controls: Controls
  readonly now: Rehearsal
  readonly samples: readonly Sample[]
}

/** One simulated day, played in fast time. */
class Session {
  readonly id: string
  readonly stage: Stage
  readonly samples: Sample[] = []
  readonly listeners = new Set<Listener>()
  /** The number of the stored row this session knows. */
  number: number
  storedAt = Date.now()
  seenAt = Date.now()
  readonly #plays: { readonly rig: Rig; readonly setup: string }
  #now: Rehearsal
  #paused: boolean
  #run: number
  #speed: number

  constructor(id: string, stage: Stage, number: number, { rig, setup, controls, now, samples }: Stored) {
    this.id = id
    this.stage = stage
    this.number = number
    this.#plays = { rig, setup }
    this.#now = now
    this.#paused = controls.paused
    this.#run = controls.run
    this.#speed = controls.speed
    this.samples.push(...samples)
    if (samples.length === 0) this.#sample()
  }

  stored(): Stored {
    const { disturbance } = this.#now
    return {
      ...this.#plays,
      controls: { paused: this.#paused, speed: this.#speed, run: this.#run, disturbance },
      now: this.#now,
      samples: this.samples,
    }
  }

  /** Takes over what was set on another server. */
  follow({ paused, speed, run, disturbance }: Controls): void {
    this.change({
      paused,
      speed,
      again: run !== this.#run,
      ...disturbance,
      turnedUp: [...disturbance.turnedUp],
      forgotten: [...disturbance.forgotten],
    })
    this.#run = run
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
      events: events
        .slice(-MOST_EVENTS)
        .map(({ second: at, what, id }) => ({ second: at, what, name: id ? name(id) : '' })),
      run: this.#run,
      samples: this.samples.slice(known),
    }
  }
}

/**
 * Simulated shoot days. They are played in memory and stored as they go, so that any server on the database can take
 * one up.
 */
export class RehearsalService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService
  readonly #sessions = new Map<string, Session>()
  /** The change of a session that is under way. */
  readonly #changing = new WeakMap<Session, Promise<void>>()
  readonly #timer: NodeJS.Timeout
  #ticking: Promise<void> | undefined

  constructor(db: DataSource, catalogue: CatalogueService) {
    this.#db = db
    this.#catalogue = catalogue
    this.#timer = setInterval(() => {
      this.#ticking ??= this.#tick().finally(() => (this.#ticking = undefined))
    }, TICK_MS)
    this.#timer.unref()
  }

  async #tick(): Promise<void> {
    try {
      for (const session of this.#sessions.values()) {
        if (session.listeners.size > 0) {
          session.seenAt = Date.now()
          await this.#follow(session)
          session.tick()
          if (Date.now() - session.storedAt >= STORE_MS) await this.#store(session)
        } else if (Date.now() - session.seenAt > IDLE_MS) this.#sessions.delete(session.id)
      }
    } catch {
      // The database is away for a moment: what is being watched goes on from memory.
    }
  }

  /** @throws {Refusal} `unsound-rig`, or `malformed` for a set-up the rig does not have. */
  async start(rig: Rig, setup: string, speed: number): Promise<Session> {
    const catalogue = await this.#catalogue.catalogue()
    const issues = soundnessIssues(rig, catalogue)
    if (issues.length > 0) throw new Refusal('unsound-rig', { issues: wordedIssues(issues) })
    if (!setupOf(rig, setup))
      throw new Refusal('malformed', { issues: [{ path: 'setup', message: `this rig has no set-up "${setup}"` }] })
    const stage = stageOf(evaluate(rig, setup, { catalogue, owned: new Map() }))
    const controls = { paused: false, speed, run: 1, disturbance: stage.start.disturbance }
    const session = new Session(randomUUID(), stage, 1, { rig, setup, controls, now: stage.start, samples: [] })
    await this.#db.query('INSERT INTO rehearsal (id, doc, number, seenAt) VALUES (?, ?, 1, ?)', [
      session.id,
      JSON.stringify(session.stored()),
      new Date(),
    ])
    await this.#db.query('DELETE FROM rehearsal WHERE seenAt < ?', [new Date(Date.now() - IDLE_MS)])
    return this.#keep(session)
  }

  /**
   * A rehearsal that goes on here, or one taken up from where another server left it. @throws {Refusal}
   * `rehearsal-unknown`
   */
  async get(id: string): Promise<Session> {
    const session = this.#sessions.get(id)
    if (session) return session
    const [row] = await this.#db.query<{ text: string; number: number }[]>(
      "SELECT CONCAT(doc, '') AS text, number FROM rehearsal WHERE id = ?",
      [id],
    )
    if (!row) throw new Refusal('rehearsal-unknown')
    const stored = JSON.parse(row.text) as Stored
    const taken = adoptRig(liftRig(stored.rig) as Rig, await this.#catalogue.catalogue())
    if (!taken.ok) throw new Refusal('rehearsal-unknown')
    const { rig, catalogue } = taken.value
    const stage = stageOf(evaluate(rig, stored.setup, { catalogue, owned: new Map() }))
    return this.#keep(new Session(id, stage, row.number, stored))
  }

  /** Sets something; whichever server plays it takes it over. @throws {Refusal} `rehearsal-unknown` */
  async change(id: string, change: Change): Promise<Session> {
    const session = await this.get(id)
    // One after the other: what is read while the one before is being stored would be older than what is known here.
    const before = this.#changing.get(session) ?? Promise.resolve()
    const done = before.then(async () => {
      await this.#follow(session)
      session.change(change)
      session.number++
      await this.#store(session)
    })
    this.#changing.set(
      session,
      done.catch(() => undefined),
    )
    await done
    return session
  }

  async stop(id: string): Promise<void> {
    this.#sessions.delete(id)
    const done = await this.#db.query<{ affectedRows: number }>('DELETE FROM rehearsal WHERE id = ?', [id])
    if (done.affectedRows !== 1) throw new Refusal('rehearsal-unknown')
  }

  /** Done when nothing is being played or stored any more. */
  async close(): Promise<void> {
    clearInterval(this.#timer)
    await this.#ticking
    this.#sessions.clear()
  }

  async #keep(session: Session): Promise<Session> {
    if (this.#sessions.size >= MOST_SESSIONS) {
      const [oldest] = [...this.#sessions.values()].sort(
        (a, b) => a.listeners.size - b.listeners.size || a.seenAt - b.seenAt,
      )
      if (oldest) {
        this.#sessions.delete(oldest.id)
        await this.#db.query('DELETE FROM rehearsal WHERE id = ?', [oldest.id])
      }
    }
    this.#sessions.set(session.id, session)
    return session
  }

  /** Another server may have been told something since. */
  async #follow(session: Session): Promise<void> {
    const [row] = await this.#db.query<{ number: number; controls: string | null }[]>(
      "SELECT number, IF(number <= ?, NULL, JSON_EXTRACT(doc, '$.controls')) AS controls FROM rehearsal WHERE id = ?",
      [session.number, session.id],
    )
    if (!row) return void this.#sessions.delete(session.id)
    if (row.controls === null) return
    session.number = row.number
    session.follow((typeof row.controls === 'string' ? JSON.parse(row.controls) : row.controls) as Controls)
  }

  async #store(session: Session): Promise<void> {
    session.storedAt = Date.now()
    await this.#db.query('UPDATE rehearsal SET doc = ?, number = ?, seenAt = ? WHERE id = ? AND number <= ?', [
      JSON.stringify(session.stored()),
      session.number,
      new Date(),
      session.id,
      session.number,
    ])
  }
}

export type { Session }
