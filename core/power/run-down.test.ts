import fc from 'fast-check'
import type { Part } from '../catalogue/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { onTank, networkFor } from '../testing/wired.ts'
import { drawIn, flowAt, planDay, runDown } from './index.ts'

const rolling = drawIn('roll')

/**
 * A second computation that shares nothing with the first: a pack in a camera that a tank trickles by USB-C, a screen
 * on the tank's tap, walked through in steps of three seconds.
 */
const walked = (given: { packWh: number; tankWh: number; trickleW: number; cameraW: number; screenW: number }) => {
  const hours = 3 / 3600
  let [packWh, tankWh] = [given.packWh, given.tankWh]
  let [cameraDark, screenDark] = [Infinity, Infinity]
  for (let t = 0; t < 60 * 3600 && (cameraDark === Infinity || screenDark === Infinity); t += 3) {
    const screenOn = tankWh > 0 && screenDark === Infinity
    if (!screenOn && screenDark === Infinity) screenDark = t / 60
    // The body takes USB-C only while its pack is in and not empty.
    const cameraOn = packWh > 0 && cameraDark === Infinity
    if (!cameraOn && cameraDark === Infinity) cameraDark = t / 60
    const byUsb = cameraOn && tankWh > 0 ? Math.min(given.trickleW, given.cameraW) : 0
    packWh -= cameraOn ? (given.cameraW - byUsb) * hours : 0
    tankWh -= ((screenOn ? given.screenW : 0) + byUsb / 0.9) * hours
  }
  return { cameraDark, screenDark }
}

test('run-down against a walk in steps of three seconds, over random packs, tanks and draws', () => {
  const watts = (most: number) => fc.integer({ min: 4, max: most * 2 }).map((half) => half / 2)
  fc.assert(
    fc.property(
      fc.record({ packWh: watts(20), tankWh: watts(60), trickleW: watts(12), cameraW: watts(12), screenW: watts(10) }),
      ({ packWh, tankWh, trickleW, cameraW, screenW }) => {
        const rig = onTank(trickleW, {
          power: { store: { capacityWh: tankWh, volts: { min: 11, max: 16.8 }, maxW: 200, gauge: true } },
        })
        const resized = new Map(rig.context.catalogue.parts)
        const change = (id: string, power: Part['power']) => {
          const part = resized.get(id)
          if (part) resized.set(id, { ...part, power: { ...part.power, ...power } })
        }
        change('pack', { store: { capacityWh: packWh, volts: { min: 6, max: 8.4 }, maxW: 200, gauge: true } })
        change('tiny-camera', { drawW: cameraW, standbyW: cameraW, fullW: cameraW })
        change('screen', { drawW: screenW, fullW: screenW })
        const down = runDown(
          networkFor({ ...rig, context: { ...rig.context, catalogue: { ...rig.context.catalogue, parts: resized } } }),
          rolling,
        )
        // Nine tenths of either battery is used. The walk is off by a step, and by what the tank gives in one step at
        // the draw that is left.
        const offMin = (3 / 60) * (2 + (trickleW / 0.9 + screenW) / screenW)
        const { cameraDark, screenDark } = walked({
          packWh: packWh * 0.9,
          tankWh: tankWh * 0.9,
          trickleW,
          cameraW,
          screenW,
        })
        expect(Math.abs((down.nodeMin.get('camera') ?? NaN) - cameraDark)).toBeLessThan(offMin)
        expect(Math.abs((down.nodeMin.get('screen') ?? NaN) - screenDark)).toBeLessThan(offMin)
      },
    ),
    { numRuns: trialRuns(20), seed: trialSeed },
  )
})

const tapped = (leastV: number) => {
  const given = onTank(0)
  const parts = new Map(given.context.catalogue.parts)
  const screen = parts.get('screen')
  if (!screen) throw new Error('a screen')
  const sockets = (screen.sockets ?? []).map((socket) =>
    socket.id === 'dc' ? { ...socket, volts: { min: leastV, max: 17 } } : socket,
  )
  parts.set('screen', { ...screen, sockets })
  return networkFor({ ...given, context: { ...given.context, catalogue: { ...given.context.catalogue, parts } } })
}

test('a load that wants more volts than its battery ends with goes dark before the battery is empty', () => {
  // 90 Wh at 5 W: 1080 min; from 16.8 V it has fallen to 12 when 1 of its 5.8 V is left.
  const dark = (volts: number) => runDown(tapped(volts), rolling).nodeMin.get('screen')
  expect(dark(11)).toBeCloseTo(1080, 9)
  expect(dark(12)).toBeCloseTo(1080 * (1 - 1 / 5.8), 9)
  expect(runDown(tapped(12), rolling).cellMin.get('tank')).toBe(Infinity)
})

test('over the day such a battery is changed when its load switches off, not when it is empty', () => {
  const plan = (volts: number) =>
    planDay(tapped(volts), [{ name: 'roll', kind: 'roll', minutes: 1000, mains: false }], [], [])
  expect(plan(11).darkMin.get('screen') ?? 0).toBe(0)
  expect(plan(12).darkMin.get('screen')).toBeCloseTo(1000 - 1080 * (1 - 1 / 5.8), 6)
  const { kinds } = plan(12)
  expect(kinds.find(({ kind }) => kind === 'tank')?.needed).toBe(2)
})

test('where the power goes hangs on what is empty, full or too low, and on no other charge', () => {
  const network = tapped(12)
  const at = (packWh: number, tankWh: number) =>
    flowAt(
      network,
      new Map([
        ['pack', packWh],
        ['tank', tankWh],
      ]),
      rolling,
    )
  const usable = new Map(network.cells.map(({ id, usableWh }) => [id, usableWh]))
  const [packWh = 0, tankWh = 0] = [usable.get('pack'), usable.get('tank')]
  // The screen at the tap wants 12 V: it goes dark when 1 of the 5.8 V of the tank is left.
  const lowWh = tankWh / 5.8
  expect(at(packWh / 2, tankWh / 2)).toBe(at(packWh / 3, lowWh + 1))
  expect(at(packWh / 2, lowWh + 1).dark).toEqual(new Set())
  expect(at(packWh / 2, lowWh - 1).dark).toEqual(new Set(['screen']))
  // Each of these is another state, worked out as if it were the first that was ever asked for.
  const levels = fc.tuple(
    fc.constantFrom(0, 1e-10, 1, packWh - 1, packWh),
    fc.constantFrom(0, 1, lowWh, lowWh + 1, tankWh),
  )
  fc.assert(
    fc.property(fc.array(levels, { minLength: 1, maxLength: 8 }), (walk) => {
      for (const [pack, tank] of walk) {
        const left = new Map([
          ['pack', pack],
          ['tank', tank],
        ])
        expect(flowAt(network, left, rolling)).toEqual(flowAt({ ...network }, left, rolling))
      }
    }),
    { seed: trialSeed, numRuns: 60 },
  )
})
