import { cardsIn, type Way } from '@zucchini/core/assess'
import { type Finding, findingKey, type Remedy } from '@zucchini/core/checks'
import { first, onPage, second } from '../../testing/demo.ts'
import { useBench } from '../../stores/bench.ts'
import { cardNumbers, distinctCures, hintWords, priceWords, rangeWords, shortly } from './card-words.ts'
import CloseFits from './CloseFits.vue'
import FindingLine from './FindingLine.vue'
import WaysTable from './WaysTable.vue'

const style = { units: 'metric', currency: 'EUR' } as const
const draft = first()
const cards = cardsIn(draft)

const turned: Remedy = {
  text: 'turn {part} to {turnDeg:deg}',
  numbers: { turnDeg: 90 },
  names: { part: 'the arm' },
  commands: [{ do: 'set', setup: 'crossing', instance: 'arm', turnDeg: 90 }],
}

/** A way out that changes nothing but its finding. */
const wayOf = (remedy: Remedy, more: Partial<Way> = {}): Way => ({
  remedy,
  kind: 'other',
  seconds: 0,
  tools: [],
  effect: {
    massG: 0,
    toBuyMinor: 0,
    tiltFromDeg: undefined,
    tiltToDeg: undefined,
    tallMm: 0,
    gained: { stop: 0, risk: 0, hint: 0 },
    lost: { stop: 0, risk: 0, hint: 0 },
  },
  as: 'plain',
  gained: [],
  hints: [],
  ...more,
})

test('every finding has the number of its card, and cards are counted from one', () => {
  const numbers = cardNumbers(cards)
  expect(new Set(draft.findings.map((finding) => numbers.get(findingKey(finding))))).toEqual(
    new Set(cards.map((_, i) => i + 1)),
  )
  expect(numbers.get(findingKey(cards[0]?.root.finding ?? never()))).toBe(1)
})

test('a line that stands for several says how many more, and from where to where', () => {
  const light =
    cards.flatMap(({ root, follows }) => [root, ...follows]).find(({ finding }) => finding.check === 'nd-short') ??
    never()
  expect(light.all.length).toBeGreaterThan(1)
  const [, other] = light.all
  expect(rangeWords(light, style)).toMatch(/ [\d.]+ stops to [\d.]+ stops\.$/)
  expect(rangeWords(light, style)).toContain(`Likewise ${other?.names['phase']}`)
  // The same in all that the words name: then they are counted.
  const alike = { ...light, all: light.all.map((one) => ({ ...one, names: light.finding.names })) }
  expect(rangeWords(alike, style)).toMatch(/^One more like it, [\d.]+ stops to/)
  expect(rangeWords({ ...light, all: light.all.slice(0, 1) }, style)).toBe('')
  expect(rangeWords({ ...alike, ranges: [] }, style)).toBe('One more like it.')
  expect(shortly('The lead does not reach.')).toBe('The lead does not reach')
})

test('a line tells what is wrong and how much, is looked at by a press, and offers its ways out', async () => {
  const line = cards[0]?.root ?? never()
  const cures = [wayOf(turned), wayOf({ ...turned, commands: [] })]
  const { page } = await onPage(FindingLine, { props: { line, cures } })
  expect(page.find('strong').text()).toMatch(/^Too much for the joint/)
  expect(page.text()).toContain('993 g')
  await page.find('button').trigger('click')
  expect(page.emitted('look')).toEqual([[line.finding]])
  const buttons = page.findAll('.way')
  expect(buttons.length).toBe(cures.length)
  await buttons[0]?.trigger('mouseenter')
  await buttons[0]?.trigger('mouseleave')
  expect(useBench().ghosts).toEqual([])
})

test('a line that stands for several offers the ways out of all of them, each once', () => {
  const cures = [45, 90].map((turnDeg) =>
    wayOf({ ...turned, commands: [{ do: 'set', setup: 'crossing', instance: 'arm', turnDeg }] }),
  )
  expect(distinctCures([...cures, ...cures])).toEqual(cures)
})

test('a clean rig has next to nothing to say', () => {
  expect(cardsIn(second()).map(({ root }) => root.finding.level)).toEqual(['hint'])
})

test('what fits only just is told when it is asked for, the closest first; a press picks what stands nearest', async () => {
  const rig = second()
  const { page } = await onPage(CloseFits, { props: { assessment: rig } })
  expect(page.findAll('li')).toHaveLength(0)
  await page.find('button').trigger('click')
  const rows = page.findAll('li')
  expect(rows.length).toBeGreaterThan(0)
  expect(rows).toHaveLength(rig.facts.closeFits.length)
  const shown = rows.map((row) => Number.parseFloat(row.find('.fig').text()))
  expect(shown).toEqual([...shown].sort((a, b) => a - b))
  expect(Math.max(...shown)).toBeLessThanOrEqual(5)
  await rows[0]?.find('button').trigger('click')
  expect(useBench().pieceId).toBe(rig.facts.closeFits[0]?.by.instance.id)
})

function never(): never {
  throw new Error('the first mark has one')
}

test('at what price a way out is had is said with where it is paid; one that helps in part says so', async () => {
  const [one, two] = draft.findings
  if (!one || !two) throw new Error('the first mark has findings')
  const named = (setup: string) => `the ${setup}`
  const here = { setup: 'crossing', finding: one }
  const there = { setup: 'slip', finding: two }
  expect(priceWords({ gained: [] }, 'crossing', named)).toBe('')
  expect(priceWords({ gained: [here] }, 'crossing', named)).toBe('1 new risk')
  expect(priceWords({ gained: [there] }, 'crossing', named)).toBe('1 new risk, in the slip')
  expect(priceWords({ gained: [here, there] }, 'crossing', named)).toBe('2 new risks, 1 of them in the slip')
  const line = cards[0]?.root ?? never()
  const { page } = await onPage(FindingLine, { props: { line, cures: [wayOf(turned, { as: 'part' })] } })
  expect(page.get('.way').text()).toContain('helps in part')
})

test('hints that a way out brings are named, one for each rule; many are only counted', async () => {
  const [one, two, three] = [...new Map(draft.findings.map((finding) => [finding.check, finding])).values()]
  if (!one || !two || !three) throw new Error('the first mark has findings of three rules')
  const named = (setup: string) => `the ${setup}`
  const said = (...hints: Way['hints'][number][]) =>
    hintWords({ hints }, 'crossing', named, ({ check }) => `The ${check}`)
  const at = (finding: Finding, setup = 'crossing') => ({ setup, finding })
  expect(said()).toBe('')
  expect(said(at(one), at(one))).toBe(`brings a hint: “The ${one.check}”`)
  expect(said(at(one), at(one, 'slip'))).toBe(`brings 2 hints: “The ${one.check}”; “The ${one.check}”, in the slip`)
  expect(said(at(one), at(two), at(three))).toBe('brings 3 hints')
  const line = cards[0]?.root ?? never()
  const plain = await onPage(FindingLine, { props: { line, cures: [wayOf(turned)] } })
  expect(plain.page.find('[data-brings]').exists()).toBe(false)
  const { page } = await onPage(FindingLine, { props: { line, cures: [wayOf(turned, { hints: [at(one)] })] } })
  expect(page.get('[data-brings]').text()).toMatch(/^brings a hint: “[^{}”]+”/)
})

test('a row that is pressed is the way it shows, also when a better one comes in above it meanwhile', async () => {
  const [one, two] = [30, 60].map((turnDeg) =>
    wayOf({ ...turned, numbers: { turnDeg }, commands: [{ do: 'set', setup: 'crossing', instance: 'arm', turnDeg }] }),
  )
  if (!one || !two) throw new Error('two ways')
  const { page } = await onPage(WaysTable, { props: { ways: [one] } })
  const pressed = page.find('.way').element
  await page.setProps({ ways: [two, one] })
  // The button that was aimed at has moved down; it has not turned into the other way.
  expect(page.findAll('.way')[1]?.element).toBe(pressed)
  await page.findAll('.way')[1]?.trigger('click')
  expect(page.emitted('take')).toEqual([[one]])
})
