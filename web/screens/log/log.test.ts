import { logPlanOf } from '@zucchini/core/assess'
import { strengthFrom } from '@zucchini/core/balance'
import { daySchema, type FieldEntry, lessonsOf } from '@zucchini/core/log'
import { secondMark } from '@zucchini/demo/scenario'
import { flushPromises } from '@vue/test-utils'
import { demoContext, onPage, second } from '../../testing/demo.ts'
import { dayOfDraft, emptyDraft, happenings, type LogDraft, typedNumber, typedSpan, wrongFields } from './log-draft.ts'
import {
  dayWords,
  evidenceWords,
  happeningWords,
  inRank,
  jointKind,
  lessonReach,
  lessonWords,
  shootOf,
} from './log-words.ts'
import LogField from './LogField.vue'
import PiecePick from './PiecePick.vue'

const style = { units: 'metric', currency: 'EUR' } as const
const plan = logPlanOf([second(), second('slip')])
const supportOf = (id: string) => secondMark.setups.find((setup) => setup.id === id)?.support ?? ''
const draft = (more: Partial<LogDraft> = {}): LogDraft => ({
  ...emptyDraft('The Winter Ferry', '2026-11-17', ['crossing']),
  ...more,
})

test.each([
  ['', undefined],
  ['5:32', 332],
  ['1 h 05', 65],
  ['1h5m', 65],
  ['48', 48],
  ['48 min', 48],
  ['5 h', 300],
  ['5:75', Number.NaN],
  ['soon', Number.NaN],
])('a span typed as “%s” is %s', (typed, value) => expect(typedSpan(typed)).toEqual(value))

test.each([
  ['', undefined],
  ['2,5', 2.5],
  ['12', 12],
  ['-3', Number.NaN],
  ['12 g', Number.NaN],
])('a figure typed as “%s” is %s', (typed, value) => expect(typedNumber(typed)).toEqual(value))

test('a day is told as it was: pieces with their joints, figures beside their plan, what was along', () => {
  const { happened } = draft()
  const log = dayOfDraft(
    draft({
      happened: { ...happened, loose: ['tilt'], unused: ['side'], gaps: ['handle'] },
      gaps: { handle: '1,5' },
      runs: { slab: '1:20' },
      grams: { crossing: '2310', slip: '9999' },
      ready: { crossing: '6:05' },
      line: '  keys in the left pocket ',
    }),
    plan,
    supportOf,
  )
  expect(daySchema.safeParse(log).success).toBe(true)
  const tilt = plan.pieces.find(({ piece }) => piece === 'tilt')
  expect(log.loose).toEqual([{ piece: 'tilt', partId: tilt?.partId, joint: tilt?.joint }])
  expect(tilt?.joint?.guest).toBe(tilt?.partId)
  expect(log.gaps[0]?.gapMm).toBe(1.5)
  expect(log.measured).toEqual([
    { what: 'grams', setup: 'crossing', value: 2310, planned: plan.setups[0]?.grams },
    { what: 'ready', setup: 'crossing', value: 365, planned: plan.setups[0]?.seconds },
    expect.objectContaining({ what: 'run', piece: 'slab', value: 80 }),
  ])
  expect(log.line).toBe('keys in the left pocket')
  // The gimbal of another set-up was not along.
  expect(log.carried).not.toContain('marrow-gimbal')
  expect(log.carried).toContain(plan.pieces.find(({ piece }) => piece === 'side')?.partId)
})

test('a timed hold speaks of the arm as the Balance page reads it; one that no arm explains stays a record', () => {
  const held = (minutes: string) => dayOfDraft(draft({ held: { crossing: minutes } }), plan, supportOf).measured[0]
  expect(held('3')).toMatchObject({ strengthNm: strengthFrom(plan.setups[0]?.grams ?? 0, 'hand-low', 3) })
  expect(held('45')).not.toHaveProperty('strengthNm')
})

test('what can not be read is named, and a gap without its figure too', () => {
  const { happened } = draft()
  const typed = draft({
    grams: { crossing: 'heavy' },
    runs: { slab: '1:90' },
    happened: { ...happened, gaps: ['tilt'] },
  })
  expect([...wrongFields(typed)].sort()).toEqual(['gaps tilt', 'grams crossing', 'runs slab'])
  expect(wrongFields(draft()).size).toBe(0)
})

test('every kind of lesson has its sentence, with where it counts', () => {
  const joint = plan.pieces.find(({ piece }) => piece === 'tilt')?.joint
  if (!joint) throw new Error('the tilt sits somewhere')
  const day = (n: number): FieldEntry => ({
    id: `00000000-0000-4000-8000-00000000000${n}`,
    rigId: 'r',
    revision: 1,
    at: `2026-11-1${n}T20:00:00.000Z`,
    what: {
      ...dayOfDraft(draft({ day: `2026-11-1${n}` }), plan, supportOf),
      loose: [{ piece: 'tilt', partId: joint.guest, joint }],
      gaps: [{ piece: 'tilt', partId: joint.guest, joint, gapMm: 2 }],
      inTheWay: [{ piece: 'tilt', partId: joint.guest, joint }],
      unused: [{ piece: 'side', partId: 'typha-grip-nato' }],
      measured: [
        { what: 'run', piece: 'slab', partId: 'luffa-slab-17', value: 80, asNew: 100 },
        { what: 'draw', piece: 'camera', partId: 'calabash-h1', value: 7.04, planned: 6 },
        { what: 'held', setup: 'crossing', value: 3, planned: 5, strengthNm: 44.4 },
        { what: 'grams', setup: 'crossing', value: 2300, planned: 2276 },
      ],
    },
  })
  const lap: FieldEntry = {
    ...day(9),
    id: '00000000-0000-4000-8000-000000000010',
    what: { kind: 'lap', joint: 'lead', seconds: 12, day: '2026-11-17' },
  }
  const lessons = lessonsOf([day(1), day(2), day(3), lap])
  const words = lessons.map((lesson) => lessonWords(lesson, demoContext.catalogue, style))
  expect(new Set(lessons.map(({ kind }) => kind))).toEqual(new Set(Object.keys(lessonReach)))
  for (const one of words) expect(one).not.toMatch(/undefined|NaN|[{}]/)
  expect(words).toContain('A lead, both ends: 12 s by the watch, 8 s usual')
  expect(inRank(lessons).at(0)?.kind).toBe('loose')
  expect(inRank(lessons).at(-1)?.kind).toBe('seconds')
  const unused = lessons.find(({ kind }) => kind === 'unused')
  expect(unused && evidenceWords(unused)).toBe(
    ['2026-11-11', '2026-11-12', '2026-11-13'].map((one) => `${one}, The Winter Ferry`).join('; '),
  )
  expect(words.some((one) => one.endsWith('holds 80 % of what it held when new'))).toBe(true)
  expect(words.some((one) => one.endsWith('draws 7 W by the meter'))).toBe(true)
  const [told] = [day(1).what]
  if (told?.kind !== 'day') throw new Error('a day')
  const lines = dayWords(told, demoContext.catalogue, style)
  expect(lines).toContain('came loose: tilt mount')
  for (const line of lines) expect(line).not.toMatch(/undefined|NaN/)
  for (const one of happenings) expect(happeningWords[one]).toBeTruthy()
  expect(jointKind('shoe-cold')).not.toBe('shoe-cold')
  expect(shootOf(second())).toBe('The Winter Ferry')
})

test('the likeliest pieces stand first, all on request; a tap names one', async () => {
  const { page } = await onPage(PiecePick, { props: { label: 'came loose', pieces: plan.pieces, chosen: ['tilt'] } })
  const pieces = () => page.findAll('[data-log-piece]')
  expect(pieces().length).toBeLessThan(plan.pieces.length)
  await page.get('[data-log-piece="tilt"]').trigger('click')
  expect(page.emitted('toggle')).toEqual([['tilt']])
  expect(page.get('[data-log-piece="tilt"]').attributes('aria-pressed')).toBe('true')
  await page.findAll('button').at(-1)?.trigger('click')
  expect(pieces()).toHaveLength(plan.pieces.length)
})

test('a field shows its plan, and what is wrong in its place', async () => {
  const { page } = await onPage(LogField, {
    props: { label: 'weighed', plan: 'plan 2,276 g', hint: '2276', wrong: false, modelValue: '' },
  })
  expect(page.text()).toContain('plan 2,276 g')
  await page.get('input').setValue('2310')
  expect(page.emitted('update:modelValue')).toEqual([['2310']])
  await page.setProps({ wrong: true })
  await flushPromises()
  expect(page.get('[role=alert]').text()).toBe('a figure such as 2276')
})
