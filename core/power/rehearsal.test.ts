import fc from 'fast-check'
import type { Phase } from '../brief/index.ts'
import { inBay, pack, wiredRig, onTank, networkFor } from '../testing/wired.ts'
import {
  disturb,
  drawIn,
  gaugePercent,
  metersOf,
  type Network,
  packVolts,
  playStep,
  type Rehearsal,
  runDown,
  startRehearsal,
} from './index.ts'

const rolling = drawIn('roll')
const phase = (kind: Phase['kind'], minutes: number, mains = false): Phase => ({ name: kind, kind, minutes, mains })

/** Plays a day to its end in steps; it must end. */
const play = (network: Network, day: readonly Phase[], from: Rehearsal, seconds = 60, most = 20_000): Rehearsal => {
  let now = from
  for (let i = 0; i < most && !now.over; i++) now = playStep(network, day, now, seconds)
  return now
}
const start = (network: Network, spares: Parameters<typeof startRehearsal>[1] = [], celsius = 20) =>
  startRehearsal(network, spares, celsius, () => 1)

test('a rehearsal runs as long as the closed form says', () => {
  const rig = onTank(4)
  const network = networkFor(rig)
  const day = [phase('roll', 1440)]
  const played = play(network, day, start(network))
  const dark = (id: string) =>
    (played.events.find((event) => event.what === 'dark' && event.id === id)?.second ?? NaN) / 60
  const closed = runDown(network, rolling)
  for (const id of ['camera', 'screen'])
    expect(Math.abs(dark(id) / (closed.nodeMin.get(id) ?? NaN) - 1)).toBeLessThan(0.01)
  expect(played.over).toBe(true)
})

test('in a rehearsal, energy out of the packs and the wall is used, stored or lost', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 5, max: 600 }),
      fc.integer({ min: -20, max: 30 }),
      (watts, seconds, celsius) => {
        const network = networkFor(onTank(watts), celsius)
        const day = [phase('setup', 20), phase('roll', 200), phase('off', 10), phase('standby', 90)]
        const end = play(network, day, start(network, [], celsius), seconds)
        expect(end.over).toBe(true)
        expect(end.usedWh + end.storedWh + end.lostWh).toBeCloseTo(end.outWh + end.wallWh, 6)
        expect(end.second).toBeCloseTo(320 * 60, 3)
      },
    ),
    { numRuns: 40 },
  )
})

test('a cold snap, a forgotten pack and a bright screen shorten the day, and are said', () => {
  const network = networkFor(onTank(30))
  const day = [phase('roll', 1200)]
  const plain = play(network, day, start(network))
  const darkAt = (end: Rehearsal) =>
    end.events.find(({ what, id }) => what === 'dark' && id === 'screen')?.second ?? Infinity
  const cold = play(network, day, disturb(play(network, day, start(network), 60, 60), { celsius: -10 }))
  const bright = play(network, day, disturb(start(network), { turnedUp: ['screen'] }))
  const forgotten = play(network, day, disturb(start(network), { forgotten: ['tank'] }))
  expect(darkAt(cold)).toBeLessThan(darkAt(plain))
  // 8 W instead of 5: 90 / (8 + 6 / 0.9) h.
  expect(darkAt(bright) / 60).toBeCloseTo((90 / (8 + 6 / 0.9)) * 60, 3)
  expect(darkAt(forgotten)).toBe(0)
})

test('an empty pack is changed for one of its kind from the bag, and the gauge starts full again', () => {
  const network = networkFor(wiredRig([pack()], [inBay()]))
  const end = play(
    network,
    [phase('roll', 300)],
    start(network, [{ id: 'bag', kind: 'pack cell', usableWh: 18, capacityWh: 20, health: 1 }]),
  )
  expect(end.swaps).toBe(1)
  expect(end.events.map(({ what }) => what)).toEqual(['low', 'empty', 'swap', 'over'])
  const fresh = end.packs.find(({ id }) => id === 'bag')
  // 120 min at 6 W out of 18 Wh: a third is left.
  expect(fresh && gaugePercent(fresh, 20)).toBe(33)
  expect(packVolts(0.5, { min: 6, max: 8.4 })).toBeCloseTo(7.2, 9)
})

test('spent packs fill at the wall while the scene is off, and the meters show it', () => {
  const network = networkFor(wiredRig([pack()], [inBay()]))
  const bays = [{ kind: 'pack cell', bays: 1, watts: 10 }]
  const day = [phase('roll', 200), phase('off', 60, true), phase('roll', 60)]
  let now = start(network, [{ id: 'bag', kind: 'pack cell', usableWh: 18, capacityWh: 20, health: 1 }])
  while (now.second < 230 * 60) now = playStep(network, day, now, 60, bays)
  const meters = metersOf(network, day, now, bays)
  // The first pack ended at 180 min; half an hour at 10 W put 4.5 Wh of its 18 back, a quarter.
  expect(meters.packs).toMatchObject([
    { id: 'pack', seat: undefined, percent: 25, watts: -10 },
    { id: 'bag', seat: 'pack', watts: 0 },
  ])
  expect(meters.pieces).toEqual([{ id: 'camera', watts: 0, dark: false }])
  while (!now.over) now = playStep(network, day, now, 60, bays)
  expect(now.wallWh).toBeCloseTo(10, 6)
  expect(now.usedWh + now.storedWh + now.lostWh).toBeCloseTo(now.outWh + now.wallWh, 6)
})

test('whatever is changed while it plays, a rehearsal comes to its end and adds up', () => {
  const kinds = fc.constantFrom<Phase['kind']>('off', 'setup', 'standby', 'roll')
  const days = fc.array(
    fc.record({
      name: fc.constant('part'),
      kind: kinds,
      minutes: fc.double({ min: 0.01, max: 300, noNaN: true }),
      mains: fc.boolean(),
    }),
    {
      maxLength: 6,
    },
  )
  const change = fc.record({
    celsius: fc.integer({ min: -40, max: 50 }),
    forgotten: fc.subarray(['pack', 'tank', 'bag']),
    turnedUp: fc.subarray(['screen']),
  })
  const bays = [{ kind: 'pack cell', bays: 1, watts: 15 }]
  fc.assert(
    fc.property(
      days,
      fc.array(change, { maxLength: 5 }),
      fc.integer({ min: 60, max: 3600 }),
      (day, changes, seconds) => {
        const network = networkFor(onTank(9))
        let now = start(network, [{ id: 'bag', kind: 'pack cell', usableWh: 18, capacityWh: 20, health: 1 }])
        let steps = 0
        // A step a minute at the least, and one more for each pack that runs empty or full and each part of the day that ends.
        const most = day.reduce((sum, { minutes }) => sum + minutes * 60, 0) / seconds + 400
        while (!now.over && steps < most) {
          const next = steps < 40 ? changes[steps % 7] : undefined
          if (next) now = disturb(now, next)
          now = playStep(network, day, now, seconds, bays)
          steps++
        }
        expect(now.over).toBe(true)
        expect(
          Object.values(now)
            .filter((value) => typeof value === 'number')
            .every(Number.isFinite),
        ).toBe(true)
        expect(now.usedWh + now.storedWh + now.lostWh).toBeCloseTo(now.outWh + now.wallWh, 6)
      },
    ),
    { numRuns: 60 },
  )
})
