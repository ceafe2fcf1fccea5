import { evaluate } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import type { Style } from '../wording.ts'
import { heldFigures } from './balance/held-figures.ts'
import { settle, slidesOf } from './balance/slides.ts'
import { heldScale } from './bench/held-scale.ts'
import { checkDraft, directionName, emptyPart, middleTyped, whereOf } from './catalogue/part-draft.ts'
import { idFrom, listParts, noFilter } from './catalogue/part-list.ts'

const catalogue = catalogueOf(demoParts)
const owned = new Map(Object.entries(demoLocker))
const context = { catalogue, owned }
const style: Style = { currency: 'EUR', units: 'metric' }
const scaleOf = (rig: typeof firstMark, setup: string) => heldScale(evaluate(rig, setup, context), style)

test('each way of holding has one figure, and it is as good as its check says', () => {
  expect(scaleOf(firstMark, 'crossing')).toMatchObject({
    label: 'Hangs',
    figure: '68.3°',
    of: 'nose down',
    state: 'over',
  })
  expect(scaleOf(secondMark, 'crossing')).toMatchObject({ figure: '0.3°', of: 'nose down', state: 'good' })
  expect(scaleOf(firstMark, 'slip')).toMatchObject({ label: 'Off the plate', of: 'ahead', state: 'over' })
  expect(scaleOf(secondMark, 'slip').state).toBe('good')
  expect(scaleOf(firstMark, 'gimbal-walk')).toMatchObject({
    label: 'Gimbal arms',
    figure: '21 mm',
    of: 'too far',
    state: 'over',
  })
  expect(scaleOf(secondMark, 'gimbal-walk')).toMatchObject({ figure: 'in reach', state: 'good' })
  expect(scaleOf(secondMark, 'wheelhouse').figure).toMatch(/^\d+ : \d+$/)
})

test('the two hands bear the whole rig between them', () => {
  const assessment = evaluate(secondMark, 'wheelhouse', context)
  const figures = new Map(heldFigures(assessment, style).map(({ title, figure }) => [title, figure]))
  const grams = (title: string) => Number(figures.get(title)?.replaceAll(/[^\d]/g, ''))
  expect(Math.abs(grams('left hand') + grams('right hand') - grams('in the hand'))).toBeLessThanOrEqual(1)
  expect(figures.has('tilt')).toBe(false)
})

test('what slides, heaviest first, settles on its step and within its ends', () => {
  const slides = slidesOf(evaluate(secondMark, 'crossing', context))
  expect(slides.map(({ piece, carriesG }) => [piece.instance.id, carriesG])).toEqual([
    ['handle', 562],
    ['plate', 112],
    ['side', 86],
  ])
  const [handle] = slides
  if (!handle) throw new Error('the handle slides')
  expect([settle(handle, 3.4), settle(handle, 99), settle(handle, -99)]).toEqual([3, handle.maxMm, handle.minMm])
})

test('the catalogue is narrowed by every field and put in order', () => {
  const ids = (filter: Partial<typeof noFilter>, order: 'name' | 'mass' | 'price' = 'name') =>
    listParts(demoParts, { ...noFilter, ...filter }, order, owned, new Set(['typha-stud-14'])).map(({ id }) => id)
  expect(ids({})).toHaveLength(demoParts.length)
  expect(ids({ only: 'owned' }).sort()).toEqual(Object.keys(demoLocker).sort())
  expect(ids({ only: 'own' })).toEqual(['typha-stud-14'])
  expect(ids({ text: 'sedgewick HANDLE small' })).toEqual(['sedgewick-top-14'])
  const light = ids({ role: 'top-handle', mostG: 150 }, 'mass')
  expect(light).toEqual(['typha-top-shoe', 'sedgewick-top-14'])
  expect(ids({ role: 'top-handle', mostMinor: 2000 })).toEqual(['typha-top-shoe'])
  for (const id of ids({ standard: 'nato' }))
    expect(catalogue.parts.get(id)?.mounts.some(({ standard }) => standard === 'nato')).toBe(true)
})

test('ids made from names are short, lower-case and free', () => {
  expect(idFrom('My Über-clamp, 1/4"', catalogue)).toBe('my-uber-clamp-1-4')
  expect(idFrom('Typha stud 14', catalogue)).toBe('typha-stud-14-2')
  expect(idFrom('???', undefined)).toBe('part')
  expect(idFrom('x'.repeat(200), undefined)).toHaveLength(56)
})

test('a draft says where and what is wrong, and is a part when nothing is', () => {
  const whole = { ...emptyPart(), id: 'mine', name: 'Mine' }
  expect(checkDraft(whole)).toMatchObject({ part: { id: 'mine' }, issues: [] })
  const said = (change: object) =>
    checkDraft({ ...whole, ...change }).issues.map(({ where, words }) => `${where} ${words}`)
  expect(said({ massG: NaN })).toEqual(['mass give a number'])
  expect(said({ massG: -1 })).toEqual(['mass must be 0 or more'])
  expect(said({ name: '' })).toEqual(['name must not be empty'])
  expect(said({ solids: [] })).toEqual(['solid give at least 1'])
  expect(said({ price: { low: 3, usual: 2, high: 4 } })).toEqual(['price prices must rise from low over usual to high'])
  expect(said({ mounts: [{ ...whole.mounts[0], at: [0, 80, 0] }] })).toEqual([
    'mount 1, place hangs in the air: put it on the skin of a solid',
  ])
  expect(whereOf(['solids', 1, 'size', 2])).toBe('solid 2, size, towards you')
})

test('directions have names, slanted ones none; the middle of two unlike blocks lies nearer the larger', () => {
  expect([directionName([0, 0, -1]), directionName([0, 0.6, 0.8])]).toEqual(['ahead', undefined])
  const box = (x: number, size: number) => ({
    kind: 'box' as const,
    centre: [x, 0, 0] as const,
    size: [size, 10, 10] as const,
    matter: 'body' as const,
  })
  expect(middleTyped([box(0, 10), box(40, 30)])).toEqual([30, 0, 0])
  expect(middleTyped([])).toEqual([0, 0, 0])
})
