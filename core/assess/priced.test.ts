import { edit, type Rig } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { type Context, contextFor } from '../context/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark } from '../../demo/scenario/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { boxesFor, evaluate, fitsHere, insteadOf, moneyOf, swapsFor, wiringFor } from './index.ts'

const net = { taxPercent: 20, taxIncluded: false, shippingMinor: 0, freeFromMinor: 0 }
/** 1.25 EUR a pound, and a fifth of tax on top: 100.00 of the list are 96.00 to pay. */
const abroad = { home: 'EUR', rates: [{ currency: 'GBP', rate: 1.25, seenOn: '2026-01-01' }], rules: net }
const inPounds = (rig: Rig): Rig => ({ ...rig, brief: { ...rig.brief, currency: 'GBP' } })

const cube = (id: string, usual: number, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], price: { low: usual, usual, high: usual }, ...more })

const tiny = (more = {}) => {
  const made = tinyRig([cube('a', 10_000, { provides: ['screen'] })], [on('a', 'foot', 'camera', 'hole')], {
    extra: [cube('b', 5000, { provides: ['screen'] }), cube('nobody', 0, { provides: ['screen'] })],
    ...more,
  })
  return { rig: inPounds(made.rig), context: { ...made.context, ...abroad } satisfies Context }
}

test('bill, findings and what could stand in its place are all in the currency of the rig, tax in it', () => {
  const { rig, context } = tiny()
  const { cost, findings } = evaluate(rig, 'main', context)
  expect(cost.usual).toBe(9600)
  expect(findings.find(({ check }) => check === 'cheaper-equal')?.numbers).toMatchObject({
    savesMinor: 4800,
    priceMinor: 9600,
    otherMinor: 4800,
  })
  expect(moneyOf(rig, context, '2026-11').bill.usual).toMatchObject({ totalMinor: 9600, taxMinor: 1600 })
  const piece = evaluate(rig, 'main', context).assembly.byInstance.get('a')
  if (!piece) throw new Error('a sits on the camera')
  expect(insteadOf(rig, piece, context).map(({ part, savesMinor }) => [part.id, savesMinor])).toEqual([['b', 4800]])
  expect(boxesFor(rig, context)).toEqual([])
  const swap = swapsFor(rig, 'main', 'a', context).find(({ part }) => part.id === 'b')
  expect([swap?.part.price.usual, swap?.effect.toBuyMinor]).toEqual([4800, -4800])
})

test('made once for a currency, itself again when asked again, and nothing at all where nothing is to be put', () => {
  const { rig, context } = tiny()
  const priced = contextFor(rig, context)
  expect(contextFor(rig, context)).toBe(priced)
  expect(contextFor(rig, priced)).toBe(priced)
  const home = { ...rig, brief: { ...rig.brief, currency: 'EUR' } }
  const included = { ...context, rules: { ...net, taxIncluded: true } }
  expect(contextFor(home, included)).toBe(included)
  // Back in the home currency the prices are those of the list again, not what two roundings leave of them.
  expect(contextFor(home, priced).catalogue.parts.get('a')?.price.usual).toBe(12_000)
})

test('without a rate nothing has a price, and nothing is the cheaper one', () => {
  const { rig, context } = tiny({ brief: { budgetMinor: 100 } })
  const { cost, findings } = evaluate({ ...rig, brief: { ...rig.brief, currency: 'USD' } }, 'main', context)
  expect(cost.unpriced.map(({ instance }) => instance)).toEqual(['a'])
  expect(findings.filter(({ check }) => check === 'over-budget').map(({ message }) => message)).toEqual(['currency'])
  expect(findings.filter(({ check }) => check === 'cheaper-equal')).toEqual([])
})

const demo: Context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)), ...abroad }

test('what wiring and fits here say of money is what the bill then says', () => {
  const rig = inPounds(firstMark)
  const setup = 'crossing'
  const before = evaluate(rig, setup, demo)
  const billedWith = (commands: Parameters<typeof edit>[1]) => {
    const edited = edit(rig, commands, demo.catalogue)
    if (!edited.ok) throw new Error(edited.issues[0]?.code)
    return evaluate(edited.value, setup, demo).cost.usual - before.cost.usual
  }
  const plan = wiringFor(rig, 'slip', demo, true)
  const wired = edit(rig, plan.commands, demo.catalogue)
  if (!wired.ok) throw new Error(wired.issues[0]?.code)
  expect(
    plan.leads
      .filter(({ priceMinor }) => priceMinor > 0)
      .every(({ partId, priceMinor }) => priceMinor === price(partId)),
  ).toBe(true)
  const point = before.points[0]
  if (!point) throw new Error('there is an open point')
  const bought = fitsHere(rig, setup, point, demo).fits.filter(({ from }) => from === 'catalogue')
  expect(bought.length).toBeGreaterThan(0)
  for (const { part, commands, effect } of bought.slice(0, 5)) {
    expect(part.price.usual).toBe(price(part.id))
    expect(effect.toBuyMinor).toBe(billedWith(commands))
  }
})

const price = (id: string): number => Math.round((demo.catalogue.parts.get(id)?.price.usual ?? 0) * 0.96)
