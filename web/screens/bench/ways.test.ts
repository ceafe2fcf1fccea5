import { evaluate, knownBy, repairOf, type Way, waysOut } from '@zucchini/core/assess'
import type { Remedy } from '@zucchini/core/checks'
import { first, onPage } from '../../testing/demo.ts'
import { useBench } from '../../stores/bench.ts'
import RepairBox from './RepairBox.vue'
import ScalesPanel from './ScalesPanel.vue'
import WaysTable from './WaysTable.vue'

const draft = first()
const remedy: Remedy = {
  text: 'slide {part} {byMm:mm} back',
  numbers: { byMm: 30 },
  names: { part: 'the brick' },
  commands: [],
}
const wayOf = (more: Partial<Way> = {}): Way => ({
  remedy,
  kind: 'slide',
  effect: {
    massG: 46,
    toBuyMinor: 3800,
    tiltFromDeg: 68,
    tiltToDeg: 12,
    tallMm: -20,
    gained: { stop: 0, risk: 0, hint: 0 },
    lost: { stop: 0, risk: 1, hint: 0 },
  },
  seconds: 75,
  tools: ['4 mm key'],
  as: 'plain',
  gained: [],
  hints: [],
  ...more,
})

const free = { ...wayOf().effect, massG: 0, toBuyMinor: 0 }

test('an offer says its kind, what and how far, its grams, money, time and tool; doing without says that it leaves out', async () => {
  const ways = [wayOf(), wayOf({ kind: 'take-off', tools: [], seconds: 8 })]
  const { page } = await onPage(WaysTable, { props: { ways } })
  const [slide, off] = page.findAll('.way')
  expect(slide?.text()).toMatch(/^slideslide the brick 30 mm back/)
  for (const words of ['+46 g', '+€38', '1 min 15 s', '4 mm key']) expect(slide?.text()).toContain(words)
  expect(off?.text()).toContain('leave out')
  expect(off?.text()).toContain('8 s, no tool')
  await off?.trigger('click')
  expect(page.emitted('take')).toEqual([[ways[1]]])
})

test('each cost of an offer is a figure of its own that is asked, not taken; what costs nothing has none', async () => {
  const { page } = await onPage(WaysTable, { props: { ways: [wayOf(), wayOf({ kind: 'turn', effect: free })] } })
  const [first, second] = page.findAll('.way')
  expect(first?.findAll('[data-figure]').map((one) => [one.attributes('data-figure'), one.text()])).toEqual([
    ['in-hand', '+46 g'],
    ['to-buy', '+€38.00'],
  ])
  expect(second?.findAll('[data-figure]')).toHaveLength(0)
  await page.get('[data-figure="to-buy"]').trigger('click')
  await first?.trigger('keydown', { key: 'w' })
  expect(page.emitted('take')).toBeUndefined()
})

test('four are shown, the rest on demand', async () => {
  const { page } = await onPage(WaysTable, { props: { ways: Array.from({ length: 6 }, () => wayOf()) } })
  expect(page.findAll('.way')).toHaveLength(4)
  const more = page.get('button[aria-expanded]')
  expect([more.text(), more.attributes('aria-expanded')]).toEqual(['2 more', 'false'])
  await more.trigger('click')
  expect(page.findAll('.way')).toHaveLength(6)
})

test('what is pointed at moves the scales, and they go back when one looks away', async () => {
  const { page } = await onPage(ScalesPanel, { props: { assessment: draft } })
  expect(page.findAll('[data-would]')).toHaveLength(0)
  const bench = useBench()
  bench.foresee([], wayOf().effect)
  await page.vm.$nextTick()
  const said = page.findAll('[data-would]').map((one) => one.text())
  expect(said[0]).toContain('3,368 g')
  expect(said[1]).toContain('€2,102.40')
  expect(said.join(' ')).toContain('12.0°')
  bench.forget()
  await page.vm.$nextTick()
  expect(page.findAll('[data-would]')).toHaveLength(0)
})

test('the repair says how many moves clear which cards and what would change; its moves are told one by one', async () => {
  const { context } = draft.facts
  const known = knownBy(draft, (id) => evaluate(draft.rig, id, context))
  const offer = repairOf(
    known,
    draft,
    draft.findings.map((finding) => [finding, waysOut(known, draft, finding)]),
  )
  if (!offer) throw new Error('the first mark has some that go together')
  const { page } = await onPage(RepairBox, { props: { assessment: draft, offer, numbers: [3, 1, 1, 2] } })
  expect(page.text()).toContain(`${offer.steps.length} moves clear 1, 2 and 3; nothing comes off`)
  expect(page.text()).toMatch(/hand 3,322 g/)
  expect(page.findAll('[data-repair-steps] li')).toHaveLength(0)
  await page.get('button[aria-expanded]').trigger('click')
  expect(page.findAll('[data-repair-steps] li')).toHaveLength(offer.steps.length)
  expect(page.findAll('figure')).toHaveLength(2)
  expect(page.get('.btn-do').text()).toBe(`Do all ${offer.steps.length}`)
})

test('what is pointed at is foreseen until it is left, done, or gone from the list under the pointer', async () => {
  const [slide, turn] = [wayOf(), wayOf({ remedy: { ...remedy, commands: [{ do: 'rename', name: 'x' }] } })]
  const { page } = await onPage(WaysTable, { props: { ways: [slide, turn] } })
  const bench = useBench()
  const pointAt = (at: number) => page.findAll('.way')[at]?.trigger('mouseenter')
  await pointAt(0)
  expect(bench.foreseen).toEqual(slide.effect)
  await page.findAll('.way')[0]?.trigger('mouseleave')
  expect(bench.foreseen).toBeUndefined()
  // Another list comes, and the other way is still in it: nothing has to be left for that.
  await pointAt(1)
  await page.setProps({ ways: [turn] })
  expect(bench.foreseen).toEqual(turn.effect)
  await page.setProps({ ways: [slide] })
  expect(bench.foreseen).toBeUndefined()
  await pointAt(0)
  page.unmount()
  expect(bench.foreseen).toBeUndefined()
})
