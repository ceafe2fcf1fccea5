import type { Feed } from '../../power/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** A battery or an outlet, what is drawn from it when all is on, and the most it gives. */
interface Load {
  readonly id: string
  readonly name: string
  readonly watts: number
  readonly mostWatts: number
  readonly feed: Feed | undefined
}

const loads = ({ network, runDown, assembly }: Sees<'network' | 'runDown'>): readonly Load[] => [
  ...network.cells.map((cell): Load => ({
    id: cell.id,
    name: cell.name,
    watts: Math.max(0, runDown.first.cellW.get(cell.id) ?? 0),
    mostWatts: cell.maxW,
    feed: undefined,
  })),
  // A piece that gets too little goes dark at once: what it would have drawn is what counts.
  ...network.feeds
    .filter(({ limitW, to }) => limitW < Infinity && runDown.first.dark.has(to))
    .map((feed): Load => ({
      id: feed.to,
      name: assembly.byInstance.get(feed.from)?.part.name ?? '',
      watts: network.nodes.find(({ id }) => id === feed.to)?.drawW ?? 0,
      mostWatts: feed.limitW,
      feed,
    })),
]

/** More drawn than a battery or an outlet gives. */
export const watts = defineCheck<Load, object, 'network' | 'runDown'>({
  id: 'watts',
  family: 'power',
  title: 'More is drawn than it gives',
  why: 'The outlet or the battery switches itself off, in the middle of a take.',
  level: 'risk',
  source: 'The makers’ limits for outlets and batteries.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'runDown'],
  limit: { measured: 'watts', allowed: 'mostWatts' },
  messages: {
    speaks: {
      battery:
        'Too much from one battery. {part} has to give {watts:W} with everything on; it is made for {mostWatts:W}.',
      outlet: 'Too little from the outlet. The lead from {part} gives {mostWatts:W}; {watts:W} are wanted at its end.',
    },
    silent: { enough: '{part} can give what is drawn.' },
    cannotTell: {},
  },
  subjects: loads,
  judge: ({ id, name, watts: drawn, mostWatts, feed }, { assembly }) => {
    const numbers = { watts: drawn, mostWatts }
    const key = feed?.link?.cable ?? ''
    const names = { part: name }
    const at = assembly.byInstance.get(id)?.centre
    return exceeds(drawn, mostWatts)
      ? {
          group: 'speaks',
          message: feed ? 'outlet' : 'battery',
          names,
          key,
          numbers,
          parts: [id],
          ...(at ? { at } : {}),
        }
      : { group: 'silent', message: 'enough', names, key, numbers }
  },
})
