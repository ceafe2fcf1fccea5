import { z } from 'zod'
import { exceeds, flatMap } from '../../kernel/index.ts'
import type { CostLine, PriceView } from '../../money/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

interface Priced {
  readonly line: CostLine
  readonly view: PriceView
}

/** What is to be bought and has a ledger. */
export const pricedLines = ({ cost, context }: Sees<'cost'>): readonly Priced[] =>
  flatMap(cost.lines, (line) => {
    const view = context.prices?.get(line.part.id)
    return view && !line.owned && line.inBoxOf === undefined ? [{ line, view }] : []
  })

/** A price nobody has looked at for long. */
export const priceStale = defineCheck<Priced, { freshDays: number }, 'cost'>({
  id: 'price-stale',
  family: 'money',
  title: 'An old price',
  why: 'The plan was made with last spring’s price, and the shop’s is another.',
  level: 'hint',
  source: 'The newest entry of the price ledger.',
  options: z.object({ freshDays: z.number().positive() }),
  defaults: { freshDays: 120 },
  units: { freshDays: 'days' },
  needs: ['cost'],
  limit: { measured: 'ageDays', allowed: 'freshDays' },
  messages: {
    speaks: {
      stale:
        'The price of {part} is {ageDays:days} days old. {usualMinor:minor} was seen on {day}; look again before buying.',
    },
    silent: { fresh: 'The price of {part} is {ageDays:days} days old.' },
    cannotTell: {},
  },
  subjects: pricedLines,
  judge: ({ line, view }, _, { freshDays }) => {
    const names = { part: line.part.name, day: view.newestOn }
    const numbers = { ageDays: view.ageDays, freshDays, usualMinor: view.usual }
    return exceeds(view.ageDays, freshDays)
      ? { group: 'speaks', message: 'stale', names, numbers, parts: [line.instance] }
      : { group: 'silent', message: 'fresh', names, numbers }
  },
})
