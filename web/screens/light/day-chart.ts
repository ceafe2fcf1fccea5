import type { LightPlan, NdChoice, PhaseExposure } from '@zucchini/core/optics'
import { ev100, ND_SLACK, openSeconds } from '@zucchini/core/optics'

/** One choice of filters as a bar of scene light it can hold. */
export interface Holder {
  readonly letter: string
  readonly choice: NdChoice
  readonly fromEv: number
  readonly toEv: number
}

/** One part of the day as a block of light over time. */
export interface Block {
  readonly phase: PhaseExposure
  readonly fromMin: number
  readonly toMin: number
  readonly fromEv: number
  readonly toEv: number
  readonly state: 'held' | 'two' | 'dark' | 'bright' | 'pitch'
  /** The letters of what holds it. */
  readonly letters: string
}

export interface DayChart {
  /** The scene light that is right with no filter on. */
  readonly baseEv: number
  readonly holders: readonly Holder[]
  readonly blocks: readonly Block[]
  readonly fromMin: number
  readonly toMin: number
  readonly lowEv: number
  readonly highEv: number
}

/** More bars than this can't be told apart. */
const MOST_HOLDERS = 6

const letterOf = (i: number): string => (i === 0 ? '–' : String.fromCharCode(64 + i))

/** The choices worth a bar: the bare lens, what the day uses, then the other single filters. */
const worthShowing = ({ choices, phases }: LightPlan): readonly NdChoice[] => {
  const bare = choices.find(({ ids }) => ids.length === 0)
  const used = phases.flatMap(({ by, forMost, forLeast }) =>
    by[0] ? [by[0]] : [forMost, forLeast].flatMap((one) => one ?? []),
  )
  const singles = choices.filter(({ ids }) => ids.length === 1)
  const seen = new Map<string, NdChoice>()
  for (const choice of [...(bare ? [bare] : []), ...used, ...singles])
    if (!seen.has(choice.ids.join())) seen.set(choice.ids.join(), choice)
  return [...seen.values()].slice(0, MOST_HOLDERS)
}

/** How a part of the day stands against the filters and the camera. */
export const stateOf = (phase: PhaseExposure, { setting, isoMax }: LightPlan): Block['state'] => {
  if (phase.missesBy > 0) return 'bright'
  if (phase.leastStops < -ND_SLACK && phase.iso > setting.iso)
    return isoMax !== undefined && phase.iso > isoMax * 1.01 ? 'pitch' : 'dark'
  return phase.by.length > 0 ? 'held' : 'two'
}

/** The day's light and what holds it, ready to be drawn; undefined when nothing is filmed. */
export const dayChart = (plan: LightPlan): DayChart | undefined => {
  const { setting, lossStops, phases } = plan
  const [first] = phases
  if (!first) return undefined
  const baseEv = ev100(setting.fNumber, openSeconds(setting)) - Math.log2(setting.iso / 100) + lossStops
  const holders = worthShowing(plan).map((choice, i): Holder => ({
    letter: letterOf(i),
    choice,
    fromEv: baseEv + choice.minStops - ND_SLACK,
    toEv: baseEv + choice.maxStops + ND_SLACK,
  }))
  const letter = (choice: NdChoice | undefined) =>
    holders.find((holder) => holder.choice.ids.join() === choice?.ids.join())?.letter ?? ''
  const blocks = phases.map((phase): Block => {
    const state = stateOf(phase, plan)
    return {
      phase,
      fromMin: phase.light.fromMin,
      toMin: phase.light.toMin,
      fromEv: phase.light.darkEv,
      toEv: phase.light.brightEv,
      state,
      letters:
        state === 'held'
          ? letter(phase.by[0])
          : state === 'two'
            ? `${letter(phase.forMost)} ${letter(phase.forLeast)}`
            : '',
    }
  })
  const evs = [
    ...blocks.flatMap(({ fromEv, toEv }) => [fromEv, toEv]),
    ...holders.flatMap(({ fromEv, toEv }) => [fromEv, toEv]),
  ]
  return {
    baseEv,
    holders,
    blocks,
    fromMin: Math.min(...blocks.map(({ fromMin }) => fromMin)),
    toMin: Math.max(...blocks.map(({ toMin }) => toMin)),
    lowEv: Math.floor(Math.min(...evs)) - 1,
    highEv: Math.ceil(Math.max(...evs)) + 1,
  }
}
