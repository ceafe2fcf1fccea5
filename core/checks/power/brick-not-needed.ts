import { dayOf } from '../../brief/index.ts'
import { standardOf } from '../../catalogue/index.ts'
import { type Cell, type Network, planDay } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const isBrick = ({ assembly }: Sees, { id }: Cell): boolean => {
  const piece = assembly.byInstance.get(id)
  const seat = piece?.part.mounts.find(({ side }) => side === 'sits')
  return seat !== undefined && ['v-lock', 'three-stud'].includes(standardOf(seat.standard).id)
}

const without = (network: Network, id: string): Network => ({
  ...network,
  cells: network.cells.filter((cell) => cell.id !== id),
  feeds: network.feeds.filter(({ from }) => from !== id),
})

/** A large battery whose work the others could do. */
export const brickNotNeeded = defineCheck<Cell, object, 'network' | 'day' | 'spares' | 'bays'>({
  id: 'brick-not-needed',
  family: 'power',
  title: 'The brick is not needed for this day',
  why: 'It is the heaviest and dearest way to the same hours.',
  level: 'hint',
  source: 'The day of the brief, planned without it.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'day', 'spares', 'bays'],
  messages: {
    speaks: { spare: '{part} is not needed. The day is covered without it; leaving it out saves {massG:g}.' },
    silent: { needed: '{part} carries the day.' },
    cannotTell: {},
  },
  subjects: (facts) => facts.network.cells.filter((cell) => isBrick(facts, cell)),
  judge: ({ id, name }, facts) => {
    const { network, spares, bays, assembly, day } = facts
    const piece = assembly.byInstance.get(id)
    const rest = planDay(without(network, id), dayOf(assembly.rig.brief), spares, bays)
    return day.failsAtMin === Infinity && rest.failsAtMin === Infinity
      ? {
          group: 'speaks',
          message: 'spare',
          names: { part: name },
          numbers: { massG: piece?.part.massG ?? 0 },
          parts: [id],
        }
      : { group: 'silent', message: 'needed', names: { part: name } }
  },
  aims: ({ id }, { assembly }) => {
    const piece = assembly.byInstance.get(id)
    return piece ? [{ do: 'take-off', piece }] : []
  },
})
