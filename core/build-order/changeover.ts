import type { Assembly, Command } from '../assembly/index.ts'
import type { Tool } from '../catalogue/index.ts'
import { Between } from './between.ts'
import { type Pace, usualPace } from './pace.ts'
import type { Setting } from './setting.ts'

/** One thing to do when one set-up becomes another. */
export interface Step {
  readonly do:
    | 'undo'
    | 'put on'
    | 'stow'
    | 'put away'
    | 'move'
    | 'slide'
    | 'pose'
    | 'brace'
    | 'unbrace'
    | 'unplug'
    | 'plug in'
    | 'lay'
    | 'turn'
    | 'balance'
  /** The piece, or the lead: its instance and its name. */
  readonly instance: string
  readonly name: string
  /** Where: the point it goes on or comes off, the two sockets of a lead; empty where that goes without saying. */
  readonly at: string
  readonly setting: Setting
  readonly seconds: number
  readonly tool: Tool
  /** The same with the size of its key, where it is known. */
  readonly toolName: string
  /** The kind of joint that its seconds are known by: a mounting standard, a lead, balancing. */
  readonly timed?: string
  /** What stays together with it and goes or comes as one. */
  readonly with: readonly string[]
  /** The edits of the one set-up that make it so. */
  readonly commands: readonly Command[]
}

export interface Changeover {
  readonly steps: readonly Step[]
  readonly seconds: number
  /** What has to be in the pocket; fingers and levers are always there. */
  readonly tools: readonly string[]
}

/**
 * What it takes to get from one set-up to another of the same kit: pieces taken off along ways that are free, put on the
 * other way round, moved to another mount, or only slid or turned, hinges swung, second holds loosened and made. What sits
 * on a piece that goes, and goes too, stays on it: they are put aside as one, and come back as one. What only stands in
 * the way is lifted aside with all it carries and put back. Seconds are those of each joint's standard; a moved piece is
 * undone and done.
 */
export const changeoverOf = (from: Assembly, to: Assembly, pace: Pace = usualPace): Changeover => {
  const between = new Between(from, to, pace)
  // Leads come out before what they hang on, and go in last.
  const steps = [
    ...between.unplugged,
    ...between.loosed,
    ...between.unpacked,
    ...between.undone,
    ...between.done,
    ...between.packed,
    ...between.swung,
    ...between.held,
    ...between.plugged,
    ...between.laid,
    ...between.whole,
  ]
  return {
    steps,
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    tools: [
      ...new Set(steps.filter(({ tool }) => tool !== 'fingers' && tool !== 'lever').map((one) => one.toolName)),
    ].sort(),
  }
}

/** Can it be done with nothing but a coin? */
export const isCoinOnly = ({ tools }: Changeover): boolean => tools.every((tool) => tool === 'coin')
