import { EntitySchema } from 'typeorm'

export interface PriceRow {
  id: string
  partId: string
  seenOn: string
  shop: string
  amountMinor: number
  shippingMinor: number
  currency: string
  used: boolean
  available: boolean
  source: string
}

export const priceEntity = new EntitySchema<PriceRow>({
  name: 'price_point',
  columns: {
    id: { type: 'bigint', unsigned: true, primary: true, generated: 'increment' },
    partId: { type: 'varchar', length: 64 },
    seenOn: { type: 'date' },
    shop: { type: 'varchar', length: 60 },
    amountMinor: { type: 'int', unsigned: true },
    shippingMinor: { type: 'int', unsigned: true },
    currency: { type: 'char', length: 3 },
    used: { type: 'boolean' },
    available: { type: 'boolean' },
    source: { type: 'varchar', length: 8 },
  },
})

export interface RateRow {
  currency: string
  seenOn: string
  rate: number
}

export const rateEntity = new EntitySchema<RateRow>({
  name: 'currency_rate',
  columns: {
    currency: { type: 'char', length: 3, primary: true },
    seenOn: { type: 'date', primary: true },
    rate: { type: 'double' },
  },
})

export interface WatchRow {
  partId: string
  belowMinor: number
  since: string
}

export const watchEntity = new EntitySchema<WatchRow>({
  name: 'price_watch',
  columns: {
    partId: { type: 'varchar', length: 64, primary: true },
    belowMinor: { type: 'int', unsigned: true },
    since: { type: 'date' },
  },
})
