import { zero } from '../kernel/index.ts'
import type { Flow } from '../power/index.ts'
import { Figured, momentOf, readingFigures } from './facts.ts'
import type { FactName, Facts } from './figures.ts'
import { FactFailure } from './failure.ts'

const noFlow: Flow = {
  cellW: new Map(),
  feedW: new Map(),
  dark: new Set(),
  usedW: 0,
  storedW: 0,
  wallW: 0,
  lossW: 0,
}
/**
 * What a screen shows in place of a figure that can't be worked out; those not named are an empty list or nothing at
 * all.
 */
const blanks: Partial<{ readonly [K in FactName]: Facts[K] }> = {
  cables: new Map(),
  mass: { totalG: 0, inHandG: 0, unknown: [], centre: zero },
  ground: { bearings: [], massG: 0, left: zero },
  loads: new Map(),
  network: { cells: [], nodes: [], feeds: [], rings: [], order: [] },
  runDown: { events: [], cellMin: new Map(), nodeMin: new Map(), first: noFlow },
  day: { phases: [], minutes: 0, events: [], kinds: [], darkMin: new Map(), failsAtMin: 0, swaps: 0, charges: [] },
  asked: new Set(),
  cost: { lines: [], low: 0, usual: 0, high: 0, unpriced: [] },
  bill: { goodsMinor: 0, shippingMinor: 0, taxMinor: 0, totalMinor: 0 },
  chance: { within: undefined, thin: [] },
  size: { bounds: { min: zero, max: zero }, wideMm: 0, tallMm: 0, longMm: 0 },
  stand: { marginMm: 0, on: [] },
  jams: { free: false, knots: [], against: [] },
  light: {
    setting: { fNumber: 1, iso: 100, fps: 25, shutterDeg: 180 },
    assumed: [],
    lossStops: 0,
    isoMax: undefined,
    filters: [],
    choices: [],
    phases: [],
  },
  ...Object.fromEntries(
    (['hang', 'hands', 'onPlate', 'shoulder', 'tip', 'front', 'picture', 'clean', 'sight', 'steadiness'] as const).map(
      (name) => [name, undefined],
    ),
  ),
}

/**
 * The same figures for screens: one that fails reads as blank and is noted, so that the rest of the page stands.
 * @param failed takes the names of the figures that failed, as they are read
 */
export const blankWhereFailed = (facts: Facts, failed: Set<FactName>): Facts =>
  new Shown(facts, failed) as Shown & Facts

class Shown extends Figured {
  readonly #failed: Set<FactName>

  constructor(facts: Facts, failed: Set<FactName>) {
    super(facts.assembly, facts.context, momentOf(facts))
    this.#failed = failed
  }

  fails(name: FactName): void {
    this.#failed.add(name)
  }
}
readingFigures(Shown, (facts, name, query) => {
  try {
    return momentOf(facts).evaluator.get(query)
  } catch (error) {
    if (!(error instanceof FactFailure)) throw error
    facts.fails(name)
    return name in blanks ? blanks[name] : []
  }
})
