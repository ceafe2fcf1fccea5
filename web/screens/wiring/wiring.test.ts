import { evaluate } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { clock, eventLevel, eventWords } from '../rehearsal/rehearsal-words.ts'
import { connectList } from './connect-list.ts'
import { daySamples } from './day-samples.ts'
import { graphOf, twoLines } from './wiring-graph.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const style = { currency: 'EUR', units: 'metric' } as const
const slip = evaluate(firstMark, 'slip', context)
const crossing = evaluate(secondMark, 'crossing', context)

test('the graph has the pieces with sockets, batteries on what they sit in, and every lead between its sockets', () => {
  const { nodes, edges } = graphOf(slip, style)
  expect(nodes.map(({ id }) => id).sort()).toEqual(['brick-plate', 'camera', 'dummy', 'mic', 'monitor', 'receiver'])
  expect(nodes.find(({ id }) => id === 'brick-plate')?.docked.map(({ instance }) => instance)).toEqual(['brick'])
  expect(nodes.find(({ id }) => id === 'monitor')).toMatchObject({
    facts: '22 W, dark at 1 h 34',
    docked: [{ instance: 'slab' }],
  })
  const tap = edges.find(({ cable }) => cable === 'tap')
  expect(tap).toMatchObject({
    kind: 'power',
    worst: 'stop',
    from: { node: 'brick-plate', port: 'brick-plate/d-tap' },
    to: { node: 'dummy', port: 'dummy/lead' },
  })
  expect(tap?.label).toEqual(['D-tap to dummy pack lead', '336 of 450 mm', '11 to 16.8 V'])
  expect(edges.filter(({ kind }) => kind === 'seat').map(({ id }) => id)).toEqual(['seat-dummy'])
})

test('what goes in stands on the left, what comes out on the right, a socket for both where its lead wants it', () => {
  const camera = graphOf(crossing, style).nodes.find(({ id }) => id === 'camera')
  expect(camera?.ports.map(({ socket, side, taken }) => [socket, side, taken])).toEqual([
    ['35-trs-1', 'in', true],
    ['35-trs-2', 'out', false],
    ['usb-c-3', 'out', false],
    ['hdmi-a-4', 'out', true],
  ])
})

test('long names break at a blank', () => {
  expect(twoLines('short')).toEqual(['short'])
  expect(twoLines('Typha V-mount plate, 1/4" screw')).toEqual(['Typha V-mount plate,', '1/4" screw'])
  expect(twoLines('a'.repeat(60))[1]?.endsWith('…')).toBe(true)
})

test('the order of plugging ends with the picture', () => {
  expect(connectList(crossing).map(({ stage }) => stage)).toEqual(['sound', 'sound', 'on', 'on', 'picture'])
  expect(connectList(slip)[0]).toMatchObject({
    stage: 'power',
    text: expect.stringContaining('D-tap to dummy') as unknown,
  })
})

test('the chart of the day starts full and ends when the day does', () => {
  const { samples, names } = daySamples(crossing)
  expect(Object.values(samples[0]?.percents ?? {})).toEqual([100, 100, 100, 100, 100, 100, 100])
  expect(samples.at(-1)?.second).toBe(360 * 60)
  expect(names.get('pack-2')).toBe('Calabash camera pack, 16 Wh, no. 2')
})

test('the clock and the calls of a rehearsal', () => {
  expect([0, 59, 3600, 7500].map(clock)).toEqual(['0 h 00', '0 h 00', '1 h 00', '2 h 05'])
  expect(eventWords({ second: 0, what: 'dark', name: 'Screen' })).toBe('Screen goes dark')
  expect(eventWords({ second: 0, what: 'over', name: '' })).toBe('the day is over')
  expect([eventLevel('dark'), eventLevel('empty'), eventLevel('swap')]).toEqual(['stop', 'risk', 'hint'])
})
