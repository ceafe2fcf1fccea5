import { type Fit, fitsHere, misfitsHere } from '@zucchini/core/assess'
import { legendOf } from '../../drawing/legend.ts'
import { pointMarks } from '../../drawing/marks.ts'
import FindingSigns from '../../drawing/FindingSigns.vue'
import { useBench } from '../../stores/bench.ts'
import { demoContext, first, onPage, second } from '../../testing/demo.ts'
import { secondMark } from '@zucchini/demo/scenario'
import FitsTable from './FitsTable.vue'
import OpenPoints from './OpenPoints.vue'
import StationsRail from './StationsRail.vue'

const crossing = second()
const point = crossing.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-rear')
if (!point) throw new Error('the second mark has an open point there')
const { fits } = fitsHere(secondMark, 'crossing', point, demoContext, crossing)
const misfits = misfitsHere(secondMark, 'crossing', point, demoContext, 5)

const table = (more: object = {}) =>
  onPage(FitsTable, { props: { fits, misfits, filter: '', showMisfits: false, act: 'put on', ...more } })
type Shown = Awaited<ReturnType<typeof table>>['page']
const partsOf = (page: Shown) => page.findAll('[data-part]').map((one) => one.attributes('data-part'))
const takenFrom = (page: Shown) => page.emitted<[Fit]>('take')?.[0]?.[0]
const chosenOf = (page: Shown) => page.find('[aria-selected="true"]').attributes('data-part')

test('the best row is offered first; another is chosen by a press and taken by its button', async () => {
  const { page } = await table()
  expect(partsOf(page)).toEqual(fits.map(({ part }) => part.id))
  expect([chosenOf(page), page.findAll('.cure').length]).toEqual([fits[0]?.part.id, 1])
  await page.findAll('[data-part]')[2]?.trigger('click')
  expect(chosenOf(page)).toBe(fits[2]?.part.id)
  await page.find('[aria-selected="true"] .cure').trigger('click')
  expect(takenFrom(page)?.part).toBe(fits[2]?.part)
})

test('by keys: down and up, never beyond the ends, Enter takes', async () => {
  const { page } = await table()
  const grid = page.find('[role="grid"]')
  await grid.trigger('keydown', { key: 'ArrowUp' })
  expect(chosenOf(page)).toBe(fits[0]?.part.id)
  for (let i = 0; i < 3; i++) await grid.trigger('keydown', { key: 'ArrowDown' })
  expect(chosenOf(page)).toBe(fits[3]?.part.id)
  await grid.trigger('keydown', { key: 'Enter' })
  expect(takenFrom(page)?.part.id).toBe(fits[3]?.part.id)
})

test('put in order by mass, money and tilt; the arrow says by which', async () => {
  const { page } = await table()
  const head = (title: string) =>
    page.findAll('[role="columnheader"] button').find((one) => one.text().startsWith(title))
  const byId = new Map(fits.map((fit) => [fit.part.id, fit]))
  const values = (of: (fit: Fit) => number) => partsOf(page).map((id) => of(byId.get(id ?? '') as Fit))
  await head('mass')?.trigger('click')
  const masses = values(({ effect }) => effect.massG)
  expect(masses).toEqual([...masses].sort((a, b) => a - b))
  await head('tilt')?.trigger('click')
  const tilts = values(({ effect }) => Math.abs(effect.tiltToDeg ?? 0))
  expect(tilts).toEqual([...tilts].sort((a, b) => a - b))
  expect(head('tilt')?.text()).toBe('tilt ↓')
  expect(head('mass')?.text()).toBe('mass')
})

test('what won’t go on is shown on demand, with why and what would bridge it; a filter looks at both', async () => {
  const { page } = await table({ showMisfits: true })
  const refused = page.findAll('[data-misfit]')
  expect(refused.map((one) => one.attributes('data-misfit'))).toEqual(misfits.map(({ part }) => part.id))
  for (const one of refused) expect(one.text()).toMatch(/won’t go on: \S+/)
  const name = misfits[0]?.part.name ?? ''
  await page.setProps({ filter: name })
  expect(page.findAll('[data-misfit]').length).toBeGreaterThan(0)
  expect(partsOf(page).length).toBe(0)
  await page.setProps({ filter: 'nothing of the kind' })
  expect(page.text()).toContain('No part of that description goes here.')
})

test('a figure pressed in a row that is not chosen chooses the row; nothing is asked yet', async () => {
  const { page } = await table()
  await page.findAll('[data-part]')[1]?.find('[data-figure="tall"]').trigger('click')
  expect(chosenOf(page)).toBe(fits[1]?.part.id)
})

test('open points are buttons with their names; the one in hand says so, and Enter takes another', async () => {
  const marks = pointMarks('top', crossing.points, { scale: 2, x: 300, y: 300 }, crossing.assembly)
  const { page } = await onPage(OpenPoints, { props: { marks } })
  const bench = useBench()
  const buttons = page.findAll('[role="button"]')
  expect(buttons.length).toBe(marks.length)
  expect(buttons.every((one) => /^Open point: \S/.test(one.attributes('aria-label') ?? ''))).toBe(true)
  const one = page.find('[data-point="cage/top-rear"]')
  await one.trigger('keydown', { key: 'Enter' })
  expect([bench.pointKey, one.attributes('aria-pressed')]).toEqual(['cage/top-rear', 'true'])
})

test('signs: a square for a stop, a triangle for a risk, one line for each place', async () => {
  const spots = [
    { n: 1, level: 'stop' as const, x: 100, y: 100 },
    { n: 2, level: 'risk' as const, x: 103, y: 101 },
    { n: 3, level: 'risk' as const, x: 100, y: 300 },
  ]
  const { page } = await onPage(FindingSigns, { props: { signs: legendOf(spots, 400, 50, 500) } })
  expect(page.findAll('[data-sign]').map((one) => one.text())).toEqual(['1', '2', '3'])
  expect([page.find('[data-sign="1"] rect').exists(), page.find('[data-sign="2"] rect').exists()]).toEqual([
    true,
    false,
  ])
  expect(page.findAll('circle').length).toBe(2)
})

test('the rail names each station with how it stands, in words as well; a press narrows the bench to it and back', async () => {
  const { page, ways } = await onPage(StationsRail, { props: { stations: first().stations } })
  const view = page.findAll('button').find((one) => one.text().includes('View'))
  expect(view?.find('.sr-only').text()).toBe('has a stop')
  await view?.trigger('click')
  expect([useBench().station, view?.attributes('aria-pressed')]).toEqual(['view', 'true'])
  await view?.trigger('click')
  expect(useBench().station).toBeUndefined()
  expect(ways().map((to) => (to as { name: string }).name)).toEqual([
    'light',
    'wiring',
    'balance',
    'money',
    'setups',
    'build',
    'pack',
    'log',
  ])
})
