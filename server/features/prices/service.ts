import { offeredParts } from '@zucchini/core/catalogue'
import { addDays } from '@zucchini/core/kernel'
import {
  type BillRules,
  billRulesSchema,
  currencySchema,
  feedPrices,
  inHome,
  plainRules,
  type Price,
  type PriceView,
  priceView,
  RANGE_DAYS,
  type Rate,
} from '@zucchini/core/money'
import type { DataSource, EntityManager } from 'typeorm'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { settingEntity } from '../../settings.ts'
import { partEntity } from '../catalogue/entity.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import { priceEntity, type PriceRow, rateEntity, watchEntity } from './entity.ts'

/** How the operator reckons: the currency of everything, tax and sending, and whether the simulated shops are asked. */
export const reckoningSchema = z.strictObject({
  home: currencySchema,
  rules: billRulesSchema,
  feed: z.strictObject({ on: z.boolean(), seed: z.int().min(0).max(1_000_000) }),
})
export type Reckoning = z.infer<typeof reckoningSchema>

const SETTING = 'reckoning'
const usual: Reckoning = { home: 'EUR', rules: plainRules satisfies BillRules, feed: { on: false, seed: 11 } }
/** The simulated shops know this far back. */
const FEED_STEPS = 14
const AT_ONCE = 1000
const DUPLICATE_KEY = 'ER_DUP_ENTRY'

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

const columns = ['id', 'partId', 'seenOn', 'shop', 'amountMinor', 'shippingMinor', 'currency', 'used', 'available', 'source'] as const
/** A day comes out of the database as a moment at midnight, or as the text of a day. */
const dayText = (day: string | Date): string => (day instanceof Date ? day.toISOString() : day).slice(0, 10)

/** What parts cost: a ledger of prices seen, and what follows from it. */
export class PriceService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService
  readonly #now: () => Date
  /** The views of a day, until a price, a rate or the day changes. */
  #known: { readonly key: string; readonly views: Map<string, PriceView> } | undefined

  constructor(db: DataSource, catalogue: CatalogueService, now: () => Date = () => new Date()) {
    this.#db = db
    this.#catalogue = catalogue
    this.#now = now
  }

  get today(): string {
    return this.#now().toISOString().slice(0, 10)
  }

  async reckoning(): Promise<Reckoning> {
    const row = await this.#db.getRepository(settingEntity).findOneBy({ name: SETTING })
    const parsed = row ? reckoningSchema.safeParse(JSON.parse(row.value)) : undefined
    return parsed?.success ? parsed.data : usual
  }

  /** Keeps how to reckon; switching the simulated shops on asks them for half a year, switching them off takes all they said away. */
  async setReckoning(next: Reckoning): Promise<Reckoning> {
    const parts = await this.#catalogue.catalogue()
    await this.#db.transaction(async (manager) => {
      await manager.upsert(settingEntity, { name: SETTING, value: JSON.stringify(next) }, ['name'])
      await manager.delete(priceEntity, { source: 'feed' })
      if (next.feed.on)
        await this.#insert(
          manager,
          offeredParts(parts).flatMap((part) => feedPrices(next.feed.seed, part, this.today, FEED_STEPS, next.home)),
        )
    })
    this.#known = undefined
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
    await this.#db.getRepository(rateEntity).upsert(rate, ['currency', 'seenOn'])
    this.#known = undefined
  }

  /** What every part with a price costs today. */
  async views(): Promise<readonly PriceView[]> {
    const { home } = await this.reckoning()
    const key = `${this.today} ${home}`
    if (this.#known?.key !== key) this.#known = { key, views: await this.#viewsOf(home) }
    return [...this.#known.views.values()]
  }

  /** Views by part, of all parts or of one. Plain rows: making an object of each of a hundred thousand takes longer than all the rest. */
  async #viewsOf(home: string, partId?: string): Promise<Map<string, PriceView>> {
    const rates = await this.rates()
    const question = this.#db
      .createQueryBuilder()
      .select([...columns])
      .from('price_point', 'price')
      .where('price.seenOn >= :from', { from: addDays(this.today, -RANGE_DAYS) })
    if (partId !== undefined) question.andWhere('price.partId = :partId', { partId })
    const rows = await question.getRawMany<PriceRow>()
    const byPart = new Map<string, Price[]>()
    for (const row of rows) {
      const price = priceOf({ ...row, seenOn: dayText(row.seenOn) })
      const list = byPart.get(row.partId)
      if (list) list.push(price)
      else byPart.set(row.partId, [price])
    }
    return new Map(
      [...byPart].flatMap(([id, prices]) => {
        const view = priceView(prices, this.today, home, rates)
        return view ? [[id, view] as const] : []
      }),
    )
  }

  /** One part's prices changed: only its view is worked out anew. */
  async #renew(partId: string): Promise<void> {
    const known = this.#known
    if (!known) return
    const { home } = await this.reckoning()
    const [view] = (await this.#viewsOf(home, partId)).values()
    if (view) known.views.set(partId, view)
    else known.views.delete(partId)
  }

  async watches(): Promise<{ partId: string; belowMinor: number; since: string }[]> {
    return (await this.#db.getRepository(watchEntity).find({ order: { partId: 'ASC' } })).map(({ partId, belowMinor, since }) => ({
      partId,
      belowMinor,
      since,
    }))
  }

  /** Watched parts that are to be had for no more than their mark. */
  async notices(): Promise<Notice[]> {
    const views = new Map((await this.views()).map((view) => [view.partId, view]))
    return (await this.watches()).flatMap(({ partId, belowMinor }) => {
      const view = views.get(partId)
      return view && !view.unavailable && view.newestMinor <= belowMinor ? [{ partId, belowMinor, nowMinor: view.newestMinor }] : []
    })
  }

  /** Watches a part's price, or stops. @throws {Refusal} part-unknown */
  async watch(partId: string, belowMinor: number | null): Promise<void> {
    await this.#mustKnow(partId)
    const watches = this.#db.getRepository(watchEntity)
    if (belowMinor === null) await watches.delete({ partId })
    else await watches.upsert({ partId, belowMinor, since: this.today }, ['partId'])
  }

  async ofPart(partId: string, most: number): Promise<SavedPrice[]> {
    const rows = await this.#db.getRepository(priceEntity).find({ where: { partId }, order: { seenOn: 'DESC', shop: 'ASC' }, take: most })
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
      await this.#db.getRepository(priceEntity).insert(price)
    } catch (error) {
      if ((error as { code?: string }).code === DUPLICATE_KEY) throw new Refusal('price-exists')
      throw error
    }
    await this.#renew(price.partId)
  }

  /** @throws {Refusal} price-unknown */
  async remove(id: string): Promise<void> {
    const prices = this.#db.getRepository(priceEntity)
    const row = await prices.findOneBy({ id })
    const { affected } = row ? await prices.delete({ id }) : { affected: 0 }
    if (!row || affected !== 1) throw new Refusal('price-unknown')
    await this.#renew(row.partId)
  }

  /** Everything was replaced: nothing known holds any more. */
  forget(): void {
    this.#known = undefined
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
      throw new Refusal('future-date', { issues: [{ path, message: `${day} is in the future; today is ${this.today}` }] })
  }
}
