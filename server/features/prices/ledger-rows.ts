import { addDays } from '@zucchini/core/kernel'
import { type Price, RANGE_DAYS } from '@zucchini/core/money'
import type { DataSource } from 'typeorm'

/** A row of the ledger as the database gives it. */
interface Row {
  readonly partId: string
  readonly seenOn: string | Date
  readonly shop: string
  readonly amountMinor: number
  readonly shippingMinor: number
  readonly currency: string
  readonly used: number
  readonly available: number
}

/** A day comes out of the database as a moment at midnight, or as the text of a day. */
const dayText = (day: string | Date): string => (day instanceof Date ? day.toISOString() : day).slice(0, 10)

const priceOf = (row: Row, shops: Map<string, string>, days: Map<string, string>): Price => {
  const shared = (text: string, known: Map<string, string>) => known.get(text) ?? (known.set(text, text), text)
  return {
    partId: row.partId,
    seenOn: shared(dayText(row.seenOn), days),
    shop: shared(row.shop, shops),
    amountMinor: row.amountMinor,
    shippingMinor: row.shippingMinor,
    currency: row.currency,
    used: Boolean(row.used),
    available: Boolean(row.available),
    source: 'hand',
  }
}

/**
 * The prices of the last months by part: of all parts, or of one. Plain rows, since making an object of an entity of
 * each takes longer than all the rest.
 */
export const rowsSince = async (db: DataSource, today: string, partId?: string): Promise<Map<string, Price[]>> => {
  const rows = await db.query<Row[]>(
    `SELECT partId, seenOn, shop, amountMinor, shippingMinor, currency, used, available FROM price_point
     WHERE seenOn >= ? ${partId === undefined ? '' : 'AND partId = ?'}`,
    [addDays(today, -RANGE_DAYS), ...(partId === undefined ? [] : [partId])],
  )
  const [shops, days] = [new Map<string, string>(), new Map<string, string>()]
  const byPart = new Map<string, Price[]>()
  for (const row of rows) {
    const list = byPart.get(row.partId)
    if (list) list.push(priceOf(row, shops, days))
    else byPart.set(row.partId, [priceOf(row, shops, days)])
  }
  return byPart
}
