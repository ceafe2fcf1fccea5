import type { Part } from '@zucchini/core/catalogue'
import { isPriced, type PriceView } from '@zucchini/core/money'
import type { Told } from '../../stores/told.ts'
import { money, partPrice } from '../../wording.ts'

/** Where the price of a part comes from: prices that were seen, or the datasheet and whoever typed it. */
export const priceTold = (part: Part, view: PriceView | undefined, home: string): Told => ({
  id: 'price',
  title: `${part.name}, price`,
  value: partPrice(part, home),
  how: view
    ? `of ${view.points} ${view.points === 1 ? 'price' : 'prices'} seen within a year: a tenth lies under the low figure, half under the usual one, nine tenths under the high one`
    : isPriced(part)
      ? 'as the catalogue has it; nobody entered a price that was seen'
      : 'nobody knows it: sums say “at least”',
  formulas: ["A part's price"],
  rows: isPriced(part)
    ? [
        { name: 'low', value: money(part.price.low, home) },
        { name: 'usual', value: money(part.price.usual, home) },
        { name: 'high', value: money(part.price.high, home) },
        ...(view ? [{ name: 'newest', value: money(view.newestMinor, home), note: `seen on ${view.newestOn}` }] : []),
      ]
    : [],
})
