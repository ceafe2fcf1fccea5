import fc from 'fast-check'
import { standards } from '../catalogue/index.ts'
import {
  type DayLog,
  type FieldEntry,
  fieldEntrySchema,
  inOrder,
  jointName,
  learntOf,
  lessonsOf,
  medianOf,
  ticksOf,
  type Told,
} from './index.ts'

const joint = { guest: 'plate', guestMount: 'screw', host: 'cage', hostMount: 'base' }
let n = 0
const entry = (what: Told, at = '2026-11-17T20:00:00.000Z'): FieldEntry => ({
  id: `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`,
  rigId: 'ferry',
  revision: 3,
  at,
  what,
})
const dayLog = (day: string, more: Partial<DayLog> = {}): DayLog => ({
  kind: 'day',
  shoot: `shoot of ${day}`,
  day,
  setups: ['slip'],
  carried: ['plate', 'mist', 'slab'],
  loose: [],
  ranOut: [],
  inTheWay: [],
  unused: [],
  gaps: [],
  measured: [],
  line: '',
  ...more,
})
const lap = (seconds: number) => entry({ kind: 'lap', joint: 'shoe-cold', seconds, day: '2026-11-17' })
const unused = (partId: string) => [{ piece: partId, partId }]

describe('what the field teaches', () => {
  it('seconds are the middle of all laps, with their count', () => {
    // 9, 11, 40: one lap with a dropped screw moves the mean to 20, the middle not at all.
    const [lesson] = lessonsOf([lap(9), lap(40), lap(11)])
    expect(lesson).toMatchObject({ key: 'seconds shoe-cold', value: 11, holds: true })
    expect(lesson?.evidence).toHaveLength(3)
    expect(medianOf([4, 10])).toBe(7)
  })

  it('a pack holds what it lasted of what a new one would have, by its middle day', () => {
    const run = (value: number) => ({ what: 'run' as const, piece: 'slab', partId: 'slab', value, asNew: 100 })
    const lessons = lessonsOf([
      entry(dayLog('2026-11-01', { measured: [run(80)] })),
      entry(dayLog('2026-11-09', { measured: [run(72)] })),
    ])
    expect(learntOf(lessons).health.get('slab')).toEqual({
      value: 0.76,
      times: 2,
      last: '2026-11-09',
      shoot: 'shoot of 2026-11-09',
    })
    // Within a twenty-fifth of the plan it is as good as it was taken for.
    expect(lessonsOf([entry(dayLog('2026-11-01', { measured: [run(96)] }))])).toEqual([])
    expect(lessonsOf([entry(dayLog('2026-11-01', { measured: [run(95.9)] }))])).toHaveLength(1)
  })

  it('a part is unused after three shoots in a row on which it was along, and used again after one', () => {
    const days = ['2026-10-01', '2026-10-15', '2026-11-02'].map((day) => entry(dayLog(day, { unused: unused('mist') })))
    expect(lessonsOf(days.slice(0, 2))).toEqual([])
    expect(lessonsOf(days).map(({ key, value }) => [key, value])).toEqual([['unused mist', 3]])
    expect(lessonsOf([...days, entry(dayLog('2026-11-05'))])).toEqual([])
    // A shoot it did not go to says nothing of it.
    expect(lessonsOf([...days, entry(dayLog('2026-11-05', { carried: ['plate'] }))])).toHaveLength(1)
  })

  it('a joint is known by its parts and points, and a word takes the lesson back or brings it again', () => {
    const loose = entry(dayLog('2026-11-17', { loose: [{ piece: 'p', partId: 'plate', joint }] }))
    const key = `loose ${jointName(joint)}`
    expect(lessonsOf([loose])).toMatchObject([{ key, value: 1, holds: true }])
    const word = (holds: boolean, at: string) => entry({ kind: 'word', lesson: key, holds }, at)
    const taken = [loose, word(false, '2026-11-18T09:00:00.000Z')]
    expect(learntOf(lessonsOf(taken)).loose.size).toBe(0)
    expect(lessonsOf(taken)).toMatchObject([{ key, holds: false }])
    const again = [...taken, word(true, '2026-11-18T09:00:01.000Z')]
    expect(learntOf(lessonsOf(again)).loose.get(jointName(joint))?.last).toBe('2026-11-17')
  })

  it('grams and seconds of a whole set-up are records and teach nothing by themselves', () => {
    const measured = [{ what: 'grams' as const, setup: 'slip', value: 2410, planned: 2371 }]
    expect(lessonsOf([entry(dayLog('2026-11-17', { measured }))])).toEqual([])
  })
})

describe('entries', () => {
  it('an entry that comes twice, and in any order, teaches and ticks the same', () => {
    const told = fc.constantFrom<Told>(
      { kind: 'tick', list: 'pack', key: 'a', on: true },
      { kind: 'tick', list: 'pack', key: 'a', on: false },
      { kind: 'tick', list: 'pack', key: 'b', on: true },
      { kind: 'tick', list: 'build', key: 'a', on: true },
      { kind: 'clear', list: 'pack' },
      { kind: 'lap', joint: 'lead', seconds: 12, day: '2026-11-17' },
      dayLog('2026-11-17', { loose: [{ piece: 'p', partId: 'plate', joint }] }),
    )
    const entries = fc
      .array(fc.tuple(told, fc.integer({ min: 0, max: 5 })), { maxLength: 20 })
      .map((list) => list.map(([what, s]) => entry(what, `2026-11-17T20:00:0${s}.000Z`)))
    fc.assert(
      fc.property(entries, fc.integer(), (list, seed) => {
        const mixed = [...list, ...list].sort((a, b) => ((a.id + b.id).length * seed) % 3)
        expect(lessonsOf(mixed)).toEqual(lessonsOf(list))
        expect(ticksOf(mixed, 'pack')).toEqual(ticksOf(list, 'pack'))
      }),
    )
  })

  it('the last tick counts, and a list begun anew has none', () => {
    const tick = (key: string, on: boolean, s: number) =>
      entry({ kind: 'tick', list: 'pack', key, on }, `2026-11-17T20:00:0${s}.000Z`)
    expect([...ticksOf([tick('a', false, 3), tick('a', true, 1), tick('b', true, 2)], 'pack')]).toEqual(['b'])
    const clear = entry({ kind: 'clear', list: 'pack' }, '2026-11-17T20:00:04.000Z')
    expect(ticksOf([tick('b', true, 2), clear], 'pack').size).toBe(0)
    expect([...ticksOf([clear, tick('b', true, 5)], 'pack')]).toEqual(['b'])
  })

  it('a lap of any kind of joint there is can be told', () => {
    for (const { id } of standards)
      expect([
        id,
        fieldEntrySchema.safeParse(entry({ kind: 'lap', joint: id, seconds: 9, day: '2026-11-17' })).success,
      ]).toEqual([id, true])
  })

  it('is refused with what is missing, and takes what the schema says', () => {
    expect(fieldEntrySchema.safeParse(entry(dayLog('2026-11-17'))).success).toBe(true)
    expect(fieldEntrySchema.safeParse(entry(dayLog('2026-11-17', { shoot: ' ' }))).error?.issues[0]?.message).toBe(
      'say which shoot it was',
    )
    expect(fieldEntrySchema.safeParse({ ...entry(dayLog('2026-11-17')), id: 'x' }).success).toBe(false)
    expect(inOrder([]).length).toBe(0)
  })
})
