import { copyFile, mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { operatorDay } from '../../operator-day.ts'
import { roomLeft } from '../../room.ts'
import { keepBackup, keepSafetyCopy, newestBackup } from './keep.ts'
import type { BackupService } from './service.ts'

const DAY_MS = 86_400_000
/** After a failure it is tried again sooner. */
const AGAIN_MS = 15 * 60_000

/** How the backups stand, for the page to show. */
export interface BackupState {
  /** Are any written at all? */
  readonly on: boolean
  readonly lastOn: string | null
  /** The day since which none could be written, and why. */
  readonly failedOn: string | null
  readonly why: string | null
  /** Room left where everything is stored, bytes; and whether that is little. */
  readonly freeBytes: number | null
  readonly low: boolean
}

/** Less room than this is told before it is too late, bytes. */
const LOW_BYTES = 200e6

/** Writes a backup at the start and every day, into one folder or two, and remembers when it could not. */
export class Nightly {
  readonly #backup: BackupService
  readonly #dirs: readonly string[]
  readonly #afterwards: () => Promise<unknown>
  readonly #now: () => Date
  #timer: NodeJS.Timeout | undefined
  #failed: { readonly on: string; readonly why: string } | undefined
  #writing: Promise<void> | undefined

  /** @param dirs where they go; the second one is a copy. @param afterwards what else is done once a day */
  constructor(
    backup: BackupService,
    dirs: readonly string[],
    afterwards: () => Promise<unknown> = async () => undefined,
    now = () => new Date(),
  ) {
    this.#backup = backup
    this.#dirs = dirs
    this.#afterwards = afterwards
    this.#now = now
  }

  start(): void {
    void this.write().finally(() => {
      this.#timer = setTimeout(() => this.start(), this.#failed ? AGAIN_MS : DAY_MS)
      this.#timer.unref()
    })
  }

  /** Writes one now; a failure is remembered, not thrown. */
  write(): Promise<void> {
    return (this.#writing ??= this.#write().finally(() => (this.#writing = undefined)))
  }

  async #write(): Promise<void> {
    const [first, ...others] = this.#dirs
    if (first === undefined) return
    const today = operatorDay(this.#now())
    try {
      const name = await keepBackup(first, today, this.#backup.lines())
      for (const dir of others) {
        await mkdir(dir, { recursive: true })
        await copyFile(join(first, name), join(dir, name))
      }
      this.#failed = undefined
      await this.#afterwards()
    } catch (error) {
      this.#failed = {
        on: this.#failed?.on ?? today,
        why: error instanceof Error ? error.message.slice(0, 200) : String(error),
      }
    }
  }

  /** A copy before something that can't be taken back. @throws when it can't be written: then that must not be done */
  async safetyCopy(before: 'restore' | 'fresh' | 'migration'): Promise<string | undefined> {
    const [first] = this.#dirs
    return first === undefined ? undefined : keepSafetyCopy(first, before, this.#now(), this.#backup.lines())
  }

  async state(): Promise<BackupState> {
    const [first] = this.#dirs
    const newest = first === undefined ? undefined : await newestBackup(first)
    const freeBytes = roomLeft(process.env['ZUCCHINI_DATA'] ?? first) ?? null
    return {
      on: first !== undefined,
      lastOn: newest?.day ?? null,
      failedOn: this.#failed?.on ?? null,
      why: this.#failed?.why ?? null,
      freeBytes,
      low: freeBytes !== null && freeBytes < LOW_BYTES,
    }
  }

  /** Done when nothing is being written. */
  async stop(): Promise<void> {
    clearTimeout(this.#timer)
    await this.#writing
  }
}
