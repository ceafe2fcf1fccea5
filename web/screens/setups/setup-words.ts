import type { Orientation, Support } from '@zucchini/core/assembly'
import type { Changeover } from '@zucchini/core/build-order'

/** How a set-up is held, as one says it. */
export const supportWords: Readonly<Record<Support, string>> = {
  'hand-low': 'carried low by the handle',
  'two-hand': 'in two hands',
  chest: 'against the chest',
  shoulder: 'on the shoulder',
  lap: 'on the lap',
  tripod: 'on the tripod',
  gimbal: 'on the gimbal',
}

/** Which way up the camera is, as one says it. */
export const orientationWords: Readonly<Record<Orientation, string>> = {
  level: 'level',
  upright: 'upright, for tall pictures',
}

type Step = Changeover['steps'][number]

/** What is done in one step from set-up to set-up. */
export const changeWords: Readonly<Record<Step['do'], string>> = {
  undo: 'take off',
  'put on': 'put on',
  stow: 'put',
  'put away': 'leave',
  move: 'put back',
  slide: 'set',
  pose: 'swing',
  brace: 'hold',
  unbrace: 'let go',
  unplug: 'unplug',
  'plug in': 'plug in',
  lay: 'lay',
  turn: 'turn',
  balance: 'balance',
}

/** What tells each step from the others, and from what it was before it was set otherwise. */
export const changeKeys = (steps: readonly Step[]): readonly string[] => {
  const seen = new Map<string, number>()
  return steps.map(({ do: what, instance, commands }) => {
    // What rides along is told by what it rides on.
    const key = commands.length > 0 ? JSON.stringify(commands.slice(0, 1)) : `${what} ${instance}`
    const times = (seen.get(key) ?? 0) + 1
    seen.set(key, times)
    return times > 1 ? `${key} ${times}` : key
  })
}
