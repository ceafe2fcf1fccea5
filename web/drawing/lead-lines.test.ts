import { evaluate } from '@zucchini/core/assess'
import { catalogueOf, connectors } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { bentPath, extentOfLeads, leadLines } from './lead-lines.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const fit = { scale: 2, x: 0, y: 0 }

test('a bend starts short of its corner and ends as far behind it', () => {
  expect(
    bentPath(
      [
        [0, 0],
        [100, 0],
        [100, 50],
      ],
      10,
    ),
  ).toBe('M0 0L90 0Q100 0 100 10L100 50')
  expect(
    bentPath(
      [
        [0, 0],
        [8, 0],
        [8, 50],
      ],
      10,
    ),
  ).toBe('M0 0L4 0Q8 0 8 10L8 50')
})

test('every lead of the set-up is drawn as thick as it is; the one that does not reach is told apart', () => {
  const lines = leadLines('side', evaluate(firstMark, 'crossing', context).facts.leads, fit, [0, 0, 0])
  expect(lines.map(({ cable, amiss }) => [cable, amiss])).toEqual([
    ['hdmi', true],
    ['trs-2', false],
    ['trs', false],
  ])
  // 4 mm at 2 px a mm.
  expect(lines[0]?.width).toBe(8)
  expect(
    leadLines('top', evaluate(secondMark, 'crossing', context).facts.leads, fit, [0, 0, 0]).every(
      ({ amiss }) => !amiss,
    ),
  ).toBe(true)
})

test('a lead on the camera’s left lies behind it seen from the right, and before it seen from the rear', () => {
  const { leads } = evaluate(secondMark, 'crossing', context).facts
  expect(leadLines('side', leads, fit, [0, 0, 0]).map(({ behind }) => behind)).toEqual([true, true, true])
  expect(leadLines('rear', leads, fit, [0, 0, 0]).find(({ cable }) => cable === 'trs')).toMatchObject({ behind: false })
})

test('a plug is drawn as long as it stands out of its socket, an angled one shorter; from its end it is a block', () => {
  const { leads } = evaluate(firstMark, 'crossing', context).facts
  const spanOf = (d: string) => {
    const points = [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
    const span = (k: 0 | 1) => Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k]))
    return [span(0), span(1)].sort((a, b) => b - a)
  }
  for (const run of leads)
    for (const view of ['side', 'front', 'top', 'rear'] as const) {
      const line = leadLines(view, [run], fit, [0, 0, 0])[0]
      for (const [i, end] of [run.from, run.to].entries()) {
        const [long = 0] = spanOf(line?.plugs[i]?.body ?? '')
        const { bodyMm, wideMm, tallMm } = connectors[end.plug.connector]
        expect(long).toBeGreaterThan(5)
        expect(long).toBeLessThanOrEqual(2 * Math.hypot(Math.max(bodyMm, 12), Math.max(wideMm, tallMm)) + 1)
      }
    }
})

test('of a lead to something off the rig a tail is drawn, with the plug that is on the rig and where it goes', () => {
  const away = {
    ...firstMark,
    setups: firstMark.setups.map((setup) => ({
      ...setup,
      joints: setup.joints.filter(({ guest }) => guest !== 'brick-plate'),
      off: [{ instance: 'brick-plate', at: 'belt' as const }],
    })),
  }
  const { facts } = evaluate(away, 'slip', context)
  const line = leadLines('side', facts.leads, fit, [0, 0, 0]).find(({ cable }) => cable === 'tap')
  expect(line?.plugs).toHaveLength(1)
  expect(line?.away?.to).toBe('Typha V-mount plate, 1/4" screw')
  // The belt is 1.4 m below by the sticks: at two to the millimetre the tail ends far above it.
  expect(line?.away && line.away.at[1]).toBeLessThan(2 * 300)
  const [before] = leadLines('side', evaluate(firstMark, 'slip', context).facts.leads, fit, [0, 0, 0])
  expect(before).not.toHaveProperty('away')
})

test('leads are told how far they hang out: every point of them lies within, and the line touches each side', () => {
  const { leads } = evaluate(firstMark, 'crossing', context).facts
  expect(extentOfLeads('top', [])).toBeUndefined()
  for (const view of ['side', 'front', 'top', 'rear'] as const) {
    const extent = extentOfLeads(view, leads)
    if (!extent) throw new Error('the first mark has leads')
    const lines = leadLines(view, leads, { scale: 1, x: 0, y: 0 }, [0, 0, 0])
    const ends = lines.flatMap(({ d }) =>
      [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), -Number(y)] as const),
    )
    for (const [x, y] of ends) {
      expect(x).toBeGreaterThan(extent.left - 0.1)
      expect(x).toBeLessThan(extent.right + 0.1)
      expect(y).toBeGreaterThan(extent.bottom - 0.1)
      expect(y).toBeLessThan(extent.top + 0.1)
    }
    // Corners are rounded by 9 px at most: the line comes as near as that.
    expect(extent.top - Math.max(...ends.map(([, y]) => y))).toBeLessThan(9)
    expect(Math.min(...ends.map(([x]) => x)) - extent.left).toBeLessThan(9)
  }
})
