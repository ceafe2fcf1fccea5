import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { catalogueOf } from '../catalogue/index.ts'
import { factNames, factTable } from '../facts/index.ts'
import { askedFact, evaluate } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const crossing = evaluate(secondMark, 'crossing', context)

test('the tilt hangs on how it hangs from its handles, and that on the mass; the bill on prices and the locker', () => {
  expect(askedFact(crossing, 'hang')).toEqual({ name: 'hang', from: ['hangs'], read: [], failed: undefined })
  expect(askedFact(crossing, 'hangs').from).toEqual(['mass'])
  expect(askedFact(crossing, 'cost').read).toEqual(['context.catalogue', 'context.owned', 'rig.kit'])
  expect(askedFact(crossing, 'chance').read).toContain('brief.budgetMinor')
  expect(askedFact(crossing, 'unmet')).toMatchObject({
    from: ['needs'],
    read: expect.arrayContaining(['assembly.placed']),
  })
})

test('what was read is what the figure says it needs, for every figure', () => {
  for (const name of factNames) {
    const { from, failed } = askedFact(crossing, name)
    expect([name, from.filter((one) => !factTable[name].needs.includes(one)), failed]).toEqual([name, [], undefined])
  }
})

test('a figure that failed says why', () => {
  const broken = evaluate(secondMark, 'crossing', { ...context, prices: {} as never })
  expect(askedFact(broken, 'chance').failed).toContain('not a function')
  expect(askedFact(broken, 'mass').failed).toBeUndefined()
})
