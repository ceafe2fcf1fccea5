import type { DayLog, FieldEntry, Told } from '@zucchini/core/log'
import { secondMark } from './ferry.ts'

const partOf = (piece: string): string => secondMark.kit.find(({ id }) => id === piece)?.partId ?? piece
const ref = (piece: string) => ({ piece, partId: partOf(piece) })

/** Each entry has an id of its own that is the same every time the demo is loaded. */
const idOf = (n: number): string => `5ea50000-0000-4000-8000-${String(n).padStart(12, '0')}`
let told = 0
const at = (moment: string, what: Told): FieldEntry => ({
  id: idOf(++told),
  rigId: secondMark.id,
  revision: 1,
  at: `${moment}:${String(told % 60).padStart(2, '0')}.000Z`,
  what,
})

const carried = [...new Set(secondMark.kit.map(({ partId }) => partId))]
const day = (shoot: string, date: string, more: Partial<DayLog>): Told => ({
  kind: 'day',
  shoot,
  day: date,
  setups: ['crossing', 'slip'],
  carried,
  loose: [],
  ranOut: [],
  inTheWay: [],
  unused: [],
  gaps: [],
  measured: [],
  line: '',
  ...more,
})

/** The shoe block on the rear hole of the handle: one quarter-inch screw, and the receiver's lead pulls at it. */
const rearBlock = {
  ...ref('block'),
  joint: { guest: partOf('block'), guestMount: 'screw', host: partOf('handle'), hostMount: 'rear' },
}
const lap = (joint: string, seconds: number): FieldEntry =>
  at('2026-11-16T19:10', { kind: 'lap', joint, seconds, day: '2026-11-16' })
const tick = (key: string): FieldEntry => at('2026-11-17T21:40', { kind: 'tick', list: 'pack', key, on: true })

/**
 * The season of the second mark: put together by the watch in the evening before, three shoots told, and the bag packed
 * for the next one.
 */
export const season: readonly FieldEntry[] = [
  at(
    '2026-11-10T17:20',
    day('A look round the ferry', '2026-11-10', {
      setups: ['crossing'],
      unused: [ref('nd-zoom')],
      line: 'The wheelhouse is narrower than it looked: 70 cm to the chart table.',
    }),
  ),
  ...[12, 10, 13].map((seconds) => lap('shoe-cold', seconds)),
  ...[33, 29].map((seconds) => lap('thread-1/4', seconds)),
  ...[11, 9, 10].map((seconds) => lap('lead', seconds)),
  at(
    '2026-11-17T18:05',
    day('The Winter Ferry, first day', '2026-11-17', {
      setups: ['crossing', 'slip', 'wheelhouse'],
      loose: [rearBlock],
      unused: [ref('nd-zoom')],
      measured: [
        { what: 'run', ...ref('slab'), value: 107, asNew: 113 },
        { what: 'grams', setup: 'crossing', value: 2311, planned: 2276 },
      ],
      line: 'The receiver hung by its lead after the second crossing.',
    }),
  ),
  ...['rig crossing', 'part marrow-gimbal', 'part calabash-charger'].map(tick),
  at(
    '2026-11-18T17:50',
    day('The Winter Ferry, second day', '2026-11-18', {
      setups: ['crossing', 'upright', 'gimbal-walk'],
      measured: [
        { what: 'run', ...ref('slab'), value: 106, asNew: 113 },
        { what: 'ready', setup: 'crossing', value: 341, planned: 317 },
      ],
      line: 'Spray on the ND after every lock; two cloths are not enough.',
    }),
  ),
]
