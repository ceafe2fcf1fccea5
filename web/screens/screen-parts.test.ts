import { moneyOf } from '@zucchini/core/assess'
import { firstMark, secondMark } from '@zucchini/demo/scenario'
import { useAsk } from '../stores/ask.ts'
import { useBench } from '../stores/bench.ts'
import { assessed, demoContext, first, onPage, second } from '../testing/demo.ts'
import TopBar from '../widgets/TopBar.vue'
import ViewPicker from '../widgets/ViewPicker.vue'
import FigureSheet from './bench/FigureSheet.vue'
import KitTable from './bench/KitTable.vue'
import ScalesPanel from './bench/ScalesPanel.vue'
import StationsRail from './bench/StationsRail.vue'
import EconomyBox from './light/EconomyBox.vue'
import FocusBox from './light/FocusBox.vue'
import LensKitBox from './light/LensKitBox.vue'
import BillHead from './money/BillHead.vue'
import TierTable from './money/TierTable.vue'
import CompareTable from './setups/CompareTable.vue'
import SetupCard from './setups/SetupCard.vue'
import DayTables from './wiring/DayTables.vue'

const setupOf = (rig: typeof firstMark, id: string) => {
  const setup = rig.setups.find((one) => one.id === id)
  if (!setup) throw new Error(id)
  return { setup, assessment: assessed(rig, id) }
}

describe('the scales', () => {
  test('each bar against its cap: over in words as well as in colour, within quietly', async () => {
    const { page } = await onPage(ScalesPanel, { props: { assessment: first() } })
    const bar = (label: string) => page.find(`[data-scale="${label}"]`)
    expect(bar('In the hand').text()).toMatch(/3,322 g.*of 2,600 g, over/)
    expect(bar('Tall').text()).toContain('459 mm')
    expect(bar('Hangs').text()).toContain('nose down')
    const { page: good } = await onPage(ScalesPanel, { props: { assessment: second() } })
    expect(good.find('[data-scale="In the hand"]').text()).toMatch(/2,276 g.*within/)
  })

  test('a bar asked once opens its sheet, asked again puts it away', async () => {
    const { page } = await onPage(ScalesPanel, { props: { assessment: second() } })
    const bench = useBench()
    await page.find('[data-figure="tall"]').trigger('click')
    expect(bench.figure).toBe('tall')
    await page.find('[data-figure="tall"]').trigger('click')
    expect(bench.figure).toBeUndefined()
  })

  test('what stands on a tripod has no steadiness and nobody holds it', async () => {
    const { page } = await onPage(ScalesPanel, { props: { assessment: second('slip') } })
    expect(page.text()).not.toContain('yaw shake')
    expect(page.text()).not.toContain('held still for')
    expect(page.text()).toContain('Off the plate')
  })
})

describe('how a figure is reckoned', () => {
  test('the mass by its pieces, the heaviest first, and the cap with the way to change it', async () => {
    const { page, ways } = await onPage(FigureSheet, { props: { assessment: second(), figure: 'in-hand' } })
    expect(page.find('h2').text()).toMatch(/In the hand 2,276 g ± 25 g/)
    expect(page.findAll('tbody tr').map((row) => row.find('th').text())[0]).toContain('Calabash H1 hybrid body')
    expect(page.text()).toContain('limit 2,600 g: your brief')
    expect(ways()).toEqual([{ name: 'brief', params: { id: '' } }])
    await page.find('button').trigger('click')
    expect(page.emitted('close')).toHaveLength(1)
  })

  test('in a dialogue it has no way out of its own; a figure that is not there says so', async () => {
    const { page } = await onPage(FigureSheet, { props: { assessment: second('slip'), figure: 'held', bare: true } })
    expect(page.find('button').exists()).toBe(false)
    expect(page.text()).toContain('This set-up has no such figure.')
  })
})

describe('the bench’s rail and its list', () => {
  test('a place for each screen of the rail, and a mark with words for each station', async () => {
    const { page } = await onPage(StationsRail, { props: { stations: first().stations } })
    expect(page.findAll('a').map((one) => one.text())).toEqual([
      'Light',
      'Wiring',
      'Balance',
      'Money',
      'Set-ups',
      'Build',
      'Pack',
      'Log',
    ])
    const view = page.findAll('button').find((one) => one.text().includes('View'))
    expect(view?.text()).toContain('has a stop')
    expect(view?.attributes('aria-pressed')).toBe('false')
    await view?.trigger('click')
    expect(useBench().station).toBe('view')
    expect(view?.attributes('aria-pressed')).toBe('true')
    await view?.trigger('click')
    expect(useBench().station).toBeUndefined()
  })

  test('every piece of the kit has its row: what carries it, its grams and its money', async () => {
    const assessment = second()
    const { page } = await onPage(KitTable, { props: { assessment } })
    expect(page.text()).toContain(`${assessment.assembly.rig.kit.length} pieces`)
    expect(page.text()).toContain('carries the rig')
    const text = page.text()
    for (const name of ['Calabash H1 hybrid body', 'Sedgewick half cage for H1', 'Phragma variable ND, 67 mm'])
      expect(text).toContain(name)
    expect(text).toContain('€79.00')
  })

  test('the bar at the top leads to how one works and turns units', async () => {
    const { page, ways } = await onPage(TopBar)
    expect(ways()).toContainEqual({ name: 'work' })
    const units = page.findAll('button')[0]
    expect(units?.text()).toBe('mm')
    await units?.trigger('click')
    expect(units?.text()).toBe('in')
    await units?.trigger('click')
  })

  test('views are picked by their names, the one on show is pressed', async () => {
    const { page } = await onPage(ViewPicker, { props: { view: 'front' } })
    const pressed = page.findAll('button').filter((one) => one.attributes('aria-pressed') === 'true')
    expect(pressed.map((one) => one.text())).toEqual(['Front'])
    await page.findAll('button')[2]?.trigger('click')
    expect(page.emitted('pick')).toEqual([['top']])
  })
})

describe('set-ups', () => {
  test('a card tells six figures, and each can be asked', async () => {
    const side = setupOf(secondMark, 'crossing')
    const { page } = await onPage(SetupCard, { props: { ...side, only: false, picked: true } })
    const asked = page.findAll('[data-asks]').map((one) => [one.attributes('data-asks'), one.find('dd').text()])
    expect(asked).toEqual([
      ['in-hand', '2,276 g'],
      ['tall', '298 mm'],
      ['hangs', '0.3°'],
      ['set-up', '5 min 17 s'],
      ['fact steadiness', '0.24 ×'],
      ['held', 'long'],
    ])
    await page.find('[data-asks="tall"]').trigger('click')
    expect([useAsk().figure, useAsk().assessment]).toEqual(['tall', side.assessment])
  })

  test('two side by side: the difference has its sign, and each half asks about its own set-up', async () => {
    const [a, b] = [setupOf(secondMark, 'crossing'), setupOf(secondMark, 'slip')]
    const { page } = await onPage(CompareTable, { props: { a, b, there: 35, back: 35 } })
    const row = page.findAll('tbody tr').find((one) => one.text().startsWith('in the hand'))
    expect(row?.text()).toMatch(/2,276 g\s*2,190 g\s*−86 g/)
    await row?.findAll('[data-asks="in-hand"]')[1]?.trigger('click')
    expect(useAsk().assessment).toBe(b.assessment)
  })
})

describe('money', () => {
  const picture = moneyOf(firstMark, demoContext, '2026-11')

  test('the bill says its span, and over the cap it says so to those who can’t see colour', async () => {
    const { page } = await onPage(BillHead, {
      props: { picture, capMinor: firstMark.brief.budgetMinor, body: true },
    })
    expect(page.find('[data-testid="bill"]').text()).toContain('2,064.40')
    expect(page.find('[role="img"]').attributes('aria-label')).toMatch(
      /^From .* to .*, usually .*; the brief has €900$/,
    )
    await page.find('input').setValue(false)
    expect(page.emitted('body')).toEqual([[false]])
  })

  test('lines stand under their tier with running sums; a press picks one', async () => {
    const { page } = await onPage(TierTable, { props: { lines: picture.tiers, capMinor: 90_000, picked: '' } })
    expect(page.findAll('[data-tier]').length).toBeGreaterThan(1)
    const names = picture.tiers.map(({ line }) => line.part.name)
    for (const name of names.slice(0, 5)) expect(page.text()).toContain(name)
  })
})

describe('light and wiring', () => {
  test('batteries for the day: how many are needed of those there are', async () => {
    const { page } = await onPage(DayTables, { props: { assessment: second() } })
    const kinds = page.findAll('[data-kind]')
    expect(kinds).toHaveLength(2)
    expect(kinds[0]?.text()).toMatch(/41\.6 Wh\s*4 \/ 4/)
    expect(page.find('[data-asks="fact day"]').exists()).toBe(true)
  })

  test('each lens of the kit, what it shows, and who focuses', async () => {
    const { page } = await onPage(LensKitBox, { props: { assessment: second() } })
    expect(page.text()).toContain('Calabash 20 mm f/1.8 prime')
    const { page: focus } = await onPage(FocusBox, { props: { assessment: second() } })
    expect(focus.text()).toContain('pulls at its mount')
    expect(focus.text()).toMatch(/\d\.\d\d N m/)
  })

  test('variable or fixed density for the whole kit, whichever is picked', async () => {
    const { page } = await onPage(EconomyBox, { props: { assessment: second() } })
    const ways = page.findAll('[data-way]').length
    expect(ways).toBeGreaterThan(0)
    const fixed = page.findAll('input, button').find((one) => one.element.parentElement?.textContent?.includes('fixed'))
    await fixed?.trigger('click')
    expect(page.text()).toContain('fixed')
  })
})
