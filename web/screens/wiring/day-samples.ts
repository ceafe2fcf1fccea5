import { type Assessment, stageOf } from '@zucchini/core/assess'
import { metersOf, playStep } from '@zucchini/core/power'

/** The charge of every pack at one moment of the day, percent. */
export interface ChargeSample {
  readonly second: number
  readonly percents: Readonly<Record<string, number>>
}

const STEP_S = 120
/** A day of 24 h at that step, and what swaps and charging cut short. */
const MOST_STEPS = 2000

/** The day of a set-up played through at once: the charge of every pack, from morning to evening. */
export const daySamples = (
  assessment: Assessment,
): { readonly samples: readonly ChargeSample[]; readonly names: ReadonlyMap<string, string> } => {
  const { network, phases, bays, start, names } = stageOf(assessment)
  const at = (now: typeof start): ChargeSample => ({
    second: now.second,
    percents: Object.fromEntries(metersOf(network, phases, now, bays).packs.map(({ id, percent }) => [id, percent])),
  })
  const samples = [at(start)]
  let now = start
  for (let i = 0; i < MOST_STEPS && !now.over; i++) {
    now = playStep(network, phases, now, STEP_S, bays)
    samples.push(at(now))
  }
  return { samples, names }
}
