import type { Cell } from '../../power/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** Minutes apart below which two pieces go dark together. */
const TOGETHER_MIN = 0.5

/** What goes dark when a battery ends. */
const falls = ({ runDown }: Sees<'runDown'>, { id }: Cell): readonly string[] => {
  const ends = runDown.cellMin.get(id) ?? Infinity
  return ends === Infinity
    ? []
    : [...runDown.nodeMin].filter(([, minute]) => Math.abs(minute - ends) < TOGETHER_MIN).map(([node]) => node)
}

/** One battery whose end takes the camera and more with it. */
export const diesFirst = defineCheck<Cell, object, 'network' | 'runDown'>({
  id: 'dies-first',
  family: 'power',
  title: 'One battery takes all with it',
  why: 'When it ends, the take is lost and so is the picture to see why.',
  level: 'hint',
  source: 'Everything on, from full: what is empty first.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'runDown'],
  limit: { measured: 'together', allowed: 'mostTogether' },
  messages: {
    speaks: {
      all: 'One battery for all. When {part} is empty, after {lastMin:min}, {together} pieces go dark together, the camera among them. A pack in the body would bridge it.',
    },
    silent: { apart: 'When {part} is empty, the rest goes on or it is the camera alone.' },
    cannotTell: {},
  },
  subjects: ({ network }) => network.cells,
  judge: (cell, facts) => {
    const dark = falls(facts, cell)
    const camera = facts.assembly.setup.root
    const key = cell.id
    const names = { part: cell.name }
    const lastMin = facts.runDown.cellMin.get(cell.id) ?? Infinity
    const numbers = {
      together: dark.includes(camera) ? dark.length : 0,
      mostTogether: 1,
      ...(lastMin < Infinity ? { lastMin } : {}),
    }
    return exceeds(numbers.together, 1)
      ? { group: 'speaks', message: 'all', names, key, numbers, parts: [cell.id, ...dark] }
      : { group: 'silent', message: 'apart', names, key, numbers }
  },
})
