import { evaluate, type Effect } from '@zucchini/core/assess'
import { mount } from '@vue/test-utils'
import { on, plug, tinyPart, tinyRig } from '../../../core/testing/index.ts'
import { screen, tank, wiredRig } from '../../../core/testing/wired.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import ScaleBar from '../../widgets/ScaleBar.vue'
import { findablesOf, search } from './findables.ts'
import { buyCell, findingsCell, gainsOf, heightCell, massCell, tiltCell } from './fit-rows.ts'

const style = { currency: 'EUR', units: 'metric' as const }
const effect = (given: Partial<Effect>): Effect => ({
  massG: 0,
  toBuyMinor: 0,
  tiltFromDeg: undefined,
  tiltToDeg: undefined,
  tallMm: 0,
  gained: { stop: 0, risk: 0, hint: 0 },
  lost: { stop: 0, risk: 0, hint: 0 },
  ...given,
})

test('tilt: nearer to level is better, within three degrees nobody minds', () => {
  expect(tiltCell(effect({ tiltFromDeg: 4.6, tiltToDeg: 3.9 }))).toEqual({ text: '4.6° → 3.9°', tone: 'better' })
  expect(tiltCell(effect({ tiltFromDeg: -4, tiltToDeg: 9 })).tone).toBe('worse')
  expect(tiltCell(effect({ tiltFromDeg: -0.3, tiltToDeg: 2.9 })).tone).toBe('same')
  expect(tiltCell(effect({ tiltFromDeg: 4, tiltToDeg: 4.02 }))).toEqual({ text: '4.0°', tone: 'same' })
  expect(tiltCell(effect({ tiltToDeg: 5 }))).toEqual({ text: '5.0°', tone: 'worse' })
  expect(tiltCell(effect({})).text).toBe('–')
})

test('mass, money and height carry their sign', () => {
  expect([
    massCell(effect({ massG: 64 }), style),
    buyCell(effect({ toBuyMinor: -3400 }), style),
    buyCell(effect({}), style),
    heightCell(effect({ tallMm: -22 }), style).text,
    heightCell(effect({ tallMm: 0.2 }), style).text,
  ]).toEqual(['+64 g', '−€34.00', '0', '−22 mm', '–'])
})

test('findings: what is gained and lost, the heavier one decides', () => {
  expect(findingsCell(effect({ gained: { stop: 1, risk: 0, hint: 0 }, lost: { stop: 0, risk: 2, hint: 0 } }))).toEqual({
    text: '+1 stop, −2 risks',
    tone: 'worse',
  })
  expect(findingsCell(effect({ lost: { stop: 0, risk: 1, hint: 0 } }))).toEqual({ text: '−1 risk', tone: 'better' })
  expect(findingsCell(effect({}))).toEqual({ text: 'no change', tone: 'same' })
  expect(gainsOf(effect({ gained: { stop: 0, risk: 3, hint: 0 }, lost: { stop: 1, risk: 2, hint: 0 } }))).toEqual([
    { sign: '−', n: 1, level: 'stop' },
    { sign: '+', n: 3, level: 'risk' },
    { sign: '−', n: 2, level: 'risk' },
  ])
  expect(gainsOf(effect({}))).toEqual([])
})

const cube = tinyPart({ id: 'cube', name: 'Blue cube', mounts: [plug('foot', 'thread-1/4')] })

test('search finds pieces, points, set-ups and parts, and says where a part goes', () => {
  const { rig, context } = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')], {
    extra: [tinyPart({ id: 'clamp', name: 'Red clamp', mounts: [plug('foot', 'nato')] })],
  })
  const all = findablesOf(evaluate(rig, 'main', context), context.catalogue)
  expect(search(all, 'blue cu').map(({ kind }) => kind)).toEqual(['piece', 'part'])
  expect(search(all, 'red')[0]).toMatchObject({ kind: 'part', target: 'camera/rail' })
  expect(search(all, 'main')[0]?.kind).toBe('set-up')
  expect(search(all, 'nothing such')).toEqual([])
})

test('a part that no point takes goes along off the rig by its lead: a screen beside, a battery on the belt', () => {
  const { rig, context } = wiredRig([], [], [], {
    extra: [
      screen('screen', { name: 'Client screen', mounts: [] }),
      tank('tank', { mounts: [] }),
      tinyPart({ id: 'block', name: 'Plain block' }),
    ],
  })
  const all = findablesOf(evaluate(rig, 'main', context), context.catalogue)
  const target = (words: string) => search(all, words).find(({ kind }) => kind === 'part')
  expect(target('client')).toMatchObject({
    target: 'off screen',
    note: 'no open point takes it; it can go along beside the rig',
  })
  expect(target('tank')).toMatchObject({
    target: 'off tank',
    note: 'no open point takes it; it can go along on the belt',
  })
  expect(target('block')).toMatchObject({ target: '', note: 'no open point takes it' })
})

test('a scale over its cap says so in words, and shows where the cap was', () => {
  const over = mount(ScaleBar, {
    props: { label: 'In the hand', figure: '2,800 g', of: 'of 2,600 g', share: 2800 / 2600, state: 'over' },
  })
  expect(over.text()).toContain('over')
  expect(over.findAll('[data-bar]').map((bar) => bar.attributes('data-bar'))).toEqual(['within', 'beyond'])
  const within = mount(ScaleBar, { props: { label: 'In the hand', figure: '1,300 g', share: 0.5, state: 'good' } })
  expect(within.find('[data-bar]').attributes('style')).toContain('scaleX(0.5)')
})

test('levels differ in shape, not only in colour', () => {
  const shapes = (['stop', 'risk', 'hint', 'ok', 'open'] as const).map(
    (level) => mount(LevelMark, { props: { level } }).find('svg').element.innerHTML,
  )
  expect(new Set(shapes.map((shape) => shape.replaceAll(/var\(--\w+\)/g, ''))).size).toBe(5)
})
