import type { KindUse } from '../../power/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { batteryOf } from '../wires.ts'

const MOST_PACKED = 12

/** Too few batteries of one kind for the day of the brief. */
export const runtimeShort = defineCheck<KindUse, object, 'day' | 'network'>({
  id: 'runtime-short',
  family: 'power',
  title: 'The batteries do not last the day',
  why: 'Something goes dark before the last scene, far from a wall.',
  level: 'risk',
  source: 'The parts of the day, each piece’s draw, depth 0.9, the cold, and what charges near the wall.',
  ...noOptions,
  about: 'electric',
  needs: ['day', 'network'],
  limit: { measured: 'needed', allowed: 'have' },
  messages: {
    speaks: {
      short: 'Dark at {darkMin:min}. The day takes {needed} of {part}, and there are {have}.',
    },
    silent: { enough: '{have} of {part} last the day, or the wall helps.' },
    cannotTell: {
      unknown:
        'At most this long. Nobody knows what {drawer} draws, so whether {have} of {part} last the day can not be told.',
    },
  },
  subjects: ({ day }) => day.kinds,
  judge: ({ kind, needed, have, failsAtMin }, facts) => {
    const part = batteryOf(facts, kind)?.part
    const key = kind
    const names = { part: part?.name ?? kind }
    const numbers = { needed, have, ...(failsAtMin < Infinity ? { darkMin: failsAtMin } : {}) }
    const drawer = facts.network.nodes.find(({ unknown }) => unknown)
    if (drawer && (failsAtMin === Infinity || !exceeds(needed, have)))
      return {
        group: 'cannotTell',
        message: 'unknown',
        names: { ...names, drawer: drawer.name },
        key,
        numbers,
        parts: [drawer.id],
      }
    if (failsAtMin === Infinity || !exceeds(needed, have))
      return { group: 'silent', message: 'enough', names, key, numbers }
    return { group: 'speaks', message: 'short', names, key, numbers, parts: [batteryOf(facts, kind)?.id ?? ''] }
  },
  aims: ({ kind, needed, have }, facts, { message }) => {
    const part = batteryOf(facts, kind)?.part
    return message === 'short' && part && needed - have <= MOST_PACKED
      ? [{ do: 'pack', choices: [{ part, count: needed - have }] }]
      : []
  },
})
