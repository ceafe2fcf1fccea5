import { createHash, randomBytes } from 'node:crypto'
import type { DataSource } from 'typeorm'
import { z } from 'zod'
import { settingEntity } from '../settings.ts'
import { inTransaction } from '../transactions.ts'

const NAME = 'phones'
/** A code is good for one phone and so long. */
export const CODE_MS = 10 * 60_000
/** So many phones are remembered; the one that was paired first goes. */
const MOST_PHONES = 8

const stored = z.array(z.strictObject({ hash: z.string(), since: z.string() }))
type Phones = z.infer<typeof stored>

const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex')
const phonesIn = (value: string | undefined): Phones => {
  const parsed = value === undefined ? undefined : stored.safeParse(JSON.parse(value))
  return parsed?.success ? parsed.data : []
}

/**
 * Lets phones in: a code that is shown at the desk is good once and for ten minutes, and gives the phone a token of its
 * own. Of tokens only a fingerprint is stored.
 */
export class Pairing {
  readonly #db: DataSource
  readonly #now: () => number
  #code: { readonly hash: string; readonly until: number } | undefined

  constructor(db: DataSource, now: () => number = () => Date.now()) {
    this.#db = db
    this.#now = now
  }

  /** A new code; the one before is good no more. */
  newCode(): { readonly code: string; readonly until: number } {
    const code = randomBytes(16).toString('hex')
    const until = this.#now() + CODE_MS
    this.#code = { hash: hashOf(code), until }
    return { code, until }
  }

  /** @returns the phone's token; nothing for a code that is none, was used, or is too old */
  async redeem(code: string): Promise<string | undefined> {
    const known = this.#code
    if (!known || known.until < this.#now() || hashOf(code) !== known.hash) return undefined
    // Before anything is waited for: of two phones with one code the second has none.
    this.#code = undefined
    const token = randomBytes(32).toString('hex')
    await this.#change((phones) => [...phones, { hash: hashOf(token), since: new Date(this.#now()).toISOString() }])
    return token
  }

  async isPaired(token: string | undefined): Promise<boolean> {
    if (!token) return false
    const hash = hashOf(token)
    return (await this.#phones()).some((phone) => phone.hash === hash)
  }

  async count(): Promise<number> {
    return (await this.#phones()).length
  }

  /** Lets no phone in any more that was paired before. */
  async forgetAll(): Promise<void> {
    this.#code = undefined
    await this.#change(() => [])
  }

  async #phones(): Promise<Phones> {
    return phonesIn((await this.#db.getRepository(settingEntity).findOneBy({ name: NAME }))?.value)
  }

  async #change(next: (phones: Phones) => Phones): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      const row = await manager.findOne(settingEntity, { where: { name: NAME }, lock: { mode: 'pessimistic_write' } })
      const value = JSON.stringify(next(phonesIn(row?.value)).slice(-MOST_PHONES))
      await manager.upsert(settingEntity, { name: NAME, value }, ['name'])
    })
  }
}
