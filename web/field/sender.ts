import type { FieldEntry } from '@zucchini/core/log'
import type { Outbox } from './outbox.ts'

/** What came of sending: stored by the server, or of a rig it does not know. */
export interface Sent {
  readonly kept: readonly string[]
  readonly strange: readonly string[]
}

/** So many entries go at once. */
export const AT_ONCE = 50
const FIRST_WAIT_MS = 2000
const LONGEST_WAIT_MS = 60_000

/** What was sent is not as this server takes it: sent again it would be refused again. */
const REFUSED: ReadonlySet<number> = new Set([400, 413, 422])

interface Deps {
  readonly outbox: Outbox
  readonly send: (entries: readonly FieldEntry[]) => Promise<Sent>
  /** The status of a refusal; undefined when nobody answered. */
  readonly statusOf: (error: unknown) => number | undefined
  readonly changed: (waiting: readonly FieldEntry[], arrived: readonly FieldEntry[]) => void
  readonly lost: (entries: readonly FieldEntry[]) => void
  readonly later: (ms: number, again: () => void) => void
}

/**
 * Sends what waits in the outbox, so many at once, again and again until the server has said of each that it is stored.
 * An entry leaves the outbox only then, so a lost answer costs a second sending and nothing else: the server knows each
 * by its id.
 */
export class Sender {
  readonly #deps: Deps
  #sending: Promise<void> | undefined
  #again = false
  #isWaiting = false
  /** Refused by themselves: they stay in the outbox, are told, and are tried again when the page opens anew. */
  readonly #refused = new Set<string>()
  #waitMs = FIRST_WAIT_MS

  constructor(deps: Deps) {
    this.#deps = deps
  }

  /** Sends what there is; a call while it goes on looks once more afterwards. */
  flush(): Promise<void> {
    this.#again = true
    return (this.#sending ??= this.#run().finally(() => (this.#sending = undefined)))
  }

  async #run(): Promise<void> {
    while (this.#again) {
      this.#again = false
      const waiting = (await this.#deps.outbox.all()).filter(({ id }) => !this.#refused.has(id))
      for (let i = 0; i < waiting.length; i += AT_ONCE)
        if (!(await this.#piece(waiting.slice(i, i + AT_ONCE)))) {
          this.#tryLater()
          return
        }
    }
  }

  /** One further try waits at a time, however much is told meanwhile. */
  #tryLater(): void {
    if (this.#isWaiting) return
    this.#isWaiting = true
    this.#deps.later(this.#waitMs, () => {
      this.#isWaiting = false
      void this.flush()
    })
    this.#waitMs = Math.min(LONGEST_WAIT_MS, this.#waitMs * 2)
  }

  /** @returns whether the server answered */
  async #piece(entries: readonly FieldEntry[]): Promise<boolean> {
    try {
      const { kept, strange } = await this.#deps.send(entries)
      this.#waitMs = FIRST_WAIT_MS
      const [stored, unknown] = [new Set(kept), new Set(strange)]
      for (const id of unknown) this.#refused.add(id)
      await this.#deps.outbox.drop([...stored])
      this.#deps.changed(
        await this.#deps.outbox.all(),
        entries.filter(({ id }) => stored.has(id)),
      )
      if (unknown.size > 0) this.#deps.lost(entries.filter(({ id }) => unknown.has(id)))
      return true
    } catch (error) {
      if (!REFUSED.has(this.#deps.statusOf(error) ?? 0)) return false
      const [only] = entries
      if (entries.length === 1 && only) {
        // It alone is refused: it must not block all that come after it.
        this.#refused.add(only.id)
        this.#deps.changed(await this.#deps.outbox.all(), [])
        this.#deps.lost(entries)
        return true
      }
      for (const entry of entries) if (!(await this.#piece([entry]))) return false
      return true
    }
  }
}
