import type { Feed } from '../../power/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** A lead that gives less than a piece draws, while the piece's own battery makes up the rest. */
export const supplyBelowDraw = defineCheck<Feed, object, 'network' | 'runDown'>({
  id: 'supply-below-draw',
  family: 'power',
  title: 'The lead gives less than is drawn',
  why: 'The body shows that it is charging, and its pack runs down all the same.',
  level: 'hint',
  source: 'Pack / (draw - supply).',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'runDown'],
  limit: { measured: 'watts', allowed: 'mostWatts' },
  messages: {
    speaks: {
      below:
        'The pack runs down all the same. {part} draws {watts:W} and gets {mostWatts:W} by its lead; its own pack makes up the rest and lasts {lastMin:min}.',
    },
    silent: { enough: 'The lead into {part} gives all it draws; the pack stays full.' },
    cannotTell: {},
  },
  subjects: ({ network, runDown }) =>
    network.feeds.filter(
      (feed) =>
        feed.link &&
        feed.limitW < Infinity &&
        !runDown.first.dark.has(feed.to) &&
        network.feeds.some((seat) => !seat.link && seat.to === feed.to),
    ),
  judge: (feed, { network, runDown, assembly }) => {
    const node = network.nodes.find(({ id }) => id === feed.to)
    const seat = network.feeds.find((other) => !other.link && other.to === feed.to)
    const lastMin = runDown.cellMin.get(seat?.from ?? '') ?? Infinity
    const key = feed.link?.cable ?? ''
    const names = { part: node?.name ?? '' }
    const numbers = { watts: node?.drawW ?? 0, mostWatts: feed.limitW, ...(lastMin < Infinity ? { lastMin } : {}) }
    const at = assembly.byInstance.get(feed.to)?.centre
    return exceeds(numbers.watts, feed.limitW)
      ? { group: 'speaks', message: 'below', names, key, numbers, parts: [feed.to], ...(at ? { at } : {}) }
      : { group: 'silent', message: 'enough', names, key, numbers }
  },
})
