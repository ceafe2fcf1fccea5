import { offeredParts } from '@zucchini/core/catalogue'
import {
  type BillRules,
  feedPrices,
  inHome,
  plainRules,
  type Price,
  type PriceView,
  priceView,
  type Rate,
} from '@zucchini/core/money'
import type { DataSource, EntityManager } from 'typeorm'
import { Refusal } from '../../errors.ts'
import { operatorDay } from '../../operator-day.ts'
import { settingEntity } from '../../settings.ts'
import { inTransaction, isTaken } from '../../transactions.ts'
import { raise, type Worlds } from '../../versions.ts'
import { partEntity } from '../catalogue/entity.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import { priceEntity, type PriceRow, rateEntity, watchEntity } from './entity.ts'
import { rowsSince } from './ledger-rows.ts'
import { reckoningSchema, type Reckoning } from '@zucchini/contract'

const SETTING = 'reckoning'
const usual: Reckoning = { home: 'EUR', rules: plainRules satisfies BillRules, feed: { on: false, seed: 11 } }
/** The simulated shops know this far back. */
const FEED_STEPS = 14
const AT_ONCE = 1000

export interface SavedPrice extends Price {
  readonly id: string
}
/** A watched part whose price has come under the mark. */
export interface Notice {
  readonly partId: string
  readonly belowMinor: number
  readonly nowMinor: number
}

const priceOf = ({ id, ...row }: PriceRow): SavedPrice => ({
  id: String(id),
  ...row,
  used: Boolean(row.used),
  available: Boolean(row.available),
  source: row.source as Price['source'],
})

/** The ledger of the last months and what follows from it, at certain numbers of its worlds. */
interface Known {
  readonly number: number
  readonly settings: number
  readonly epoch: number
  readonly today: string
  readonly home: string
  readonly rows: ReadonlyMap<string, readonly Price[]>
  readonly views: ReadonlyMap<string, PriceView>
}

const viewsOf = (rows: Known['rows'], today: string, home: string, rates: readonly Rate[]): Map<string, PriceView> =>
  new Map(
    [...rows].flatMap(([id, prices]) => {
      const view = priceView(prices, today, home, rates)
      return view ? [[id, view] as const] : []
    }),
  )

/** What parts cost: a ledger of prices seen, and what follows from it. */
export class PriceService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService
  readonly #now: () => Date
  readonly #worlds: Worlds
  #known: Known | undefined

  constructor(db: DataSource, catalogue: CatalogueService, worlds: Worlds, now: () => Date = () => new Date()) {
    this.#db = db
    this.#catalogue = catalogue
    this.#worlds = worlds
    this.#now = now
  }

  /** The operator's calendar day. */
  get today(): string {
    return operatorDay(this.#now())
  }

  async reckoning(): Promise<Reckoning> {
    const row = await this.#db.getRepository(settingEntity).findOneBy({ name: SETTING })
    const parsed = row ? reckoningSchema.safeParse(JSON.parse(row.value)) : undefined
    return parsed?.success ? parsed.data : usual
  }

  /**
   * Keeps how to reckon; switching the simulated shops on asks them for half a year, switching them off takes all they
   * said away.
   */
  async setReckoning(next: Reckoning): Promise<Reckoning> {
    const parts = await this.#catalogue.catalogue()
    await inTransaction(this.#db, async (manager) => {
      await manager.upsert(settingEntity, { name: SETTING, value: JSON.stringify(next) }, ['name'])
      await manager.delete(priceEntity, { source: 'feed' })
      if (next.feed.on)
        await this.#insert(
          manager,
          offeredParts(parts).flatMap((part) => feedPrices(next.feed.seed, part, this.today, FEED_STEPS, next.home)),
        )
      await raise(manager, 'prices')
      await raise(manager, 'settings')
    })
    return next
  }

  async rates(): Promise<Rate[]> {
    return (await this.#db.getRepository(rateEntity).find({ order: { currency: 'ASC', seenOn: 'DESC' } })).map(
      ({ currency, seenOn, rate }) => ({ currency, seenOn, rate }),
    )
  }

  /** @throws {Refusal} future-date */
  async addRate(rate: Rate): Promise<void> {
    this.#mustBePast(rate.seenOn, 'seenOn')
    const number = await inTransaction(this.#db, async (manager) => {
      await manager.upsert(rateEntity, rate, ['currency', 'seenOn'])
      return raise(manager, 'prices')
    })
    // Only parts with a price in that currency change.
    await this.#follow(number, async (known) => {
      const touched = new Map(
        [...known.rows].filter(([, prices]) => prices.some(({ currency }) => currency === rate.currency)),
      )
      const anew = viewsOf(touched, known.today, known.home, await this.rates())
      return { ...known, views: new Map([...[...known.views].filter(([id]) => !touched.has(id)), ...anew]) }
    })
  }

  /** What every part with a price costs today. */
  async views(): Promise<readonly PriceView[]> {
    return [...(await this.#present()).views.values()]
  }

  /** The ledger as this server knows it, read anew when anybody else changed it or another day has come. */
  async #present(): Promise<Known> {
    const { prices: number, settings, epoch } = await this.#worlds.now()
    const today = this.today
    const known = this.#known
    if (known?.number === number && known.epoch === epoch && known.settings === settings && known.today === today)
      return known
    const [{ home }, rates] = [await this.reckoning(), await this.rates()]
    const still = known && known.number === number && known.epoch === epoch
    const rows = still ? known.rows : await rowsSince(this.#db, today)
    return (this.#known = { number, settings, epoch, today, home, rows, views: viewsOf(rows, today, home, rates) })
  }

  /**
   * Something this server itself changed is in the ledger now: only what it touches is worked out anew, unless somebody
   * else changed the ledger meanwhile.
   * @param number the number the change gave the prices' world
   * @param change brings the rows and the views up to it
   */
  async #follow(number: number, change: (known: Known) => Promise<Known>): Promise<void> {
    const known = this.#known
    if (!known || known.number !== number - 1 || known.today !== this.today) this.#known = undefined
    else this.#known = { ...(await change(known)), number }
  }

  /** One part's prices changed: only its rows are read and its view is worked out. */
  async #renew(partId: string, number: number): Promise<void> {
    await this.#follow(number, async (known) => {
      const rows = new Map(known.rows).set(partId, (await rowsSince(this.#db, known.today, partId)).get(partId) ?? [])
      const view = priceView(rows.get(partId) ?? [], known.today, known.home, await this.rates())
      const views = new Map(known.views)
      if (view) views.set(partId, view)
      else views.delete(partId)
      return { ...known, rows, views }
    })
  }

  async watches(): Promise<{ partId: string; belowMinor: number; since: string }[]> {
    return (await this.#db.getRepository(watchEntity).find({ order: { partId: 'ASC' } })).map(
      ({ partId, belowMinor, since }) => ({
        partId,
        belowMinor,
        since,
      }),
    )
  }

  /** Watched parts that are to be had for no more than their mark. */
  async notices(): Promise<Notice[]> {
    const views = new Map((await this.views()).map((view) => [view.partId, view]))
    return (await this.watches()).flatMap(({ partId, belowMinor }) => {
      const view = views.get(partId)
      return view && !view.unavailable && view.newestMinor <= belowMinor
        ? [{ partId, belowMinor, nowMinor: view.newestMinor }]
        : []
    })
  }

  /** Watches a part's price, or stops. @throws {Refusal} part-unknown */
  async watch(partId: string, belowMinor: number | null): Promise<void> {
    await this.#mustKnow(partId)
    await inTransaction(this.#db, async (manager) => {
      if (belowMinor === null) await manager.delete(watchEntity, { partId })
      else await manager.upsert(watchEntity, { partId, belowMinor, since: this.today }, ['partId'])
    })
  }

  async ofPart(partId: string, most: number): Promise<SavedPrice[]> {
    const rows = await this.#db
      .getRepository(priceEntity)
      .find({ where: { partId }, order: { seenOn: 'DESC', shop: 'ASC' }, take: most })
    return rows.map(priceOf)
  }

  /** @throws {Refusal} part-unknown, price-exists, future-date, currency-unknown */
  async add(price: Price): Promise<void> {
    this.#mustBePast(price.seenOn, 'seenOn')
    await this.#mustKnow(price.partId)
    const { home } = await this.reckoning()
    if (!inHome(price.amountMinor, price.currency, price.seenOn, home, await this.rates()).ok)
      throw new Refusal('currency-unknown', {
        issues: [{ path: 'currency', message: `no rate is known from ${price.currency} to ${home}` }],
      })
    try {
      const number = await inTransaction(this.#db, async (manager) => {
        await manager.insert(priceEntity, price)
        return raise(manager, 'prices')
      })
      await this.#renew(price.partId, number)
    } catch (error) {
      if (isTaken(error)) throw new Refusal('price-exists')
      throw error
    }
  }

  /** @throws {Refusal} price-unknown */
  async remove(id: string): Promise<void> {
    const prices = this.#db.getRepository(priceEntity)
    const row = await prices.findOneBy({ id })
    if (!row) throw new Refusal('price-unknown')
    const number = await inTransaction(this.#db, async (manager) => {
      const { affected } = await manager.delete(priceEntity, { id })
      if (affected !== 1) throw new Refusal('price-unknown')
      return raise(manager, 'prices')
    })
    await this.#renew(row.partId, number)
  }

  async #insert(manager: EntityManager, prices: readonly Price[]): Promise<void> {
    for (let i = 0; i < prices.length; i += AT_ONCE)
      await manager
        .createQueryBuilder()
        .insert()
        .into(priceEntity)
        .values(prices.slice(i, i + AT_ONCE))
        .orIgnore()
        .updateEntity(false)
        .execute()
  }

  async #mustKnow(partId: string): Promise<void> {
    if (!(await this.#db.getRepository(partEntity).existsBy({ id: partId }))) throw new Refusal('part-unknown')
  }

  #mustBePast(day: string, path: string): void {
    if (day > this.today)
      throw new Refusal('future-date', {
        issues: [{ path, message: `${day} is in the future; today is ${this.today}` }],
      })
  }
}
