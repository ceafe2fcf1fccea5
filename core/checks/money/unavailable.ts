import type { CostLine, PriceView } from '../../money/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { lossesOf } from '../equal.ts'
import { pricedLines } from './price-stale.ts'
import type { Part } from '../../catalogue/index.ts'

/** Something to buy that no shop has. */
export const unavailable = defineCheck<{ readonly line: CostLine; readonly view: PriceView }, object, 'cost'>({
  id: 'unavailable',
  family: 'money',
  title: 'Not to be had',
  why: 'It is on the list, the shoot is next week, and every shop says in six weeks.',
  level: 'risk',
  source: 'The newest offer of each shop in the ledger, of the last 45 days.',
  ...noOptions,
  needs: ['cost'],
  messages: {
    speaks: {
      gone: 'No shop has {part}. The last was seen on {day}; take another in its place or ask around second hand.',
    },
    silent: { there: '{part} can be had.' },
    cannotTell: {},
  },
  subjects: pricedLines,
  judge: ({ line, view }) => {
    const names = { part: line.part.name, day: view.newestOn }
    return view.unavailable
      ? { group: 'speaks', message: 'gone', names, parts: [line.instance] }
      : { group: 'silent', message: 'there', names }
  },
  aims: ({ line }, { assembly, context }) => {
    const piece = assembly.byInstance.get(line.instance)
    const isSold = (part: Part) => context.prices?.get(part.id)?.unavailable !== true
    return piece
      ? [{ do: 'swap', piece, most: 2, for: (part) => isSold(part) && lossesOf(piece.part, part).length === 0 }]
      : []
  },
})
