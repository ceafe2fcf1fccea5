import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { edit } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import type { Context } from '../context/index.ts'
import { jointName, learntOf, nothingLearnt, type Taught } from '../log/index.ts'
import { besideOf, contextOf, evaluate, hoursOrigin, logPlanOf, markLinesOf, nextMarkName } from './index.ts'

const context: Context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const at = (setup: string, more: Partial<Context> = {}) => evaluate(secondMark, setup, { ...context, ...more })
const taught = (value: number): Taught => ({ value, times: 1, last: '2026-11-17', shoot: 'the ferry' })

describe('a day’s log knows what was planned', () => {
  const plan = logPlanOf([at('crossing'), at('slip')])

  it('grams and seconds are those of the set-ups', () => {
    expect(plan.setups.map(({ id }) => id)).toEqual(['crossing', 'slip'])
    expect(Math.round(plan.setups[0]?.grams ?? 0)).toBe(2276)
    expect(plan.setups[0]?.seconds).toBe(at('crossing').setupSeconds)
    expect(plan.setups[1]?.heldMin).toBeUndefined()
  })

  it('pieces are named once, with how they sit, those that pull most at their joint first', () => {
    expect(new Set(plan.pieces.map(({ piece }) => piece)).size).toBe(plan.pieces.length)
    expect(plan.pieces.filter(({ joint }) => !joint).map(({ piece }) => piece)).toContain('card')
    expect(plan.pieces.find(({ piece }) => piece === 'handle')?.setups).toContain('crossing')
  })

  it('a battery that has aged is planned as it is, and as a new one', () => {
    const slab = plan.runs.find(({ piece }) => piece === 'slab')
    const partId = slab?.partId ?? ''
    const aged = { ...nothingLearnt, health: new Map([[partId, taught(0.75)]]) }
    const now = logPlanOf([at('crossing', { learnt: aged })]).runs.find(({ piece }) => piece === 'slab')
    expect(now?.minutes).toBeCloseTo((slab?.minutes ?? 0) * 0.75, 6)
    expect(now?.asNew).toBeCloseTo(slab?.asNew ?? 0, 6)
    // And the figure says where it comes from.
    const input = hoursOrigin(at('crossing', { learnt: aged })).inputs.find(({ instance }) => instance === 'slab')
    expect(input?.source).toEqual({ kind: 'field', on: '2026-11-17', times: 1 })
  })
})

describe('the next mark', () => {
  it('is told what a joint that came loose asks for, with a way out that holds', () => {
    const handle = logPlanOf([at('crossing')]).pieces.find(({ piece }) => piece === 'tilt')?.joint
    if (!handle) throw new Error('the monitor sits on a tilt')
    const lines = markLinesOf(secondMark, context, {
      ...nothingLearnt,
      loose: new Map([[jointName(handle), taught(1)]]),
    })
    expect(lines.map(({ finding }) => finding.check)).toEqual(['came-loose'])
    expect(lines[0]?.finding.names['shoot']).toBe('the ferry')
    const way = lines[0]?.way
    if (way) {
      const edited = edit(secondMark, way.remedy.commands, context.catalogue)
      const learnt = { ...nothingLearnt, loose: new Map([[jointName(handle), taught(1)]]) }
      if (!edited.ok) throw new Error('a way that is told can be gone')
      expect(markLinesOf(edited.value, context, learnt)).toEqual([])
    }
  })

  it('has no lines where nothing was learnt', () => {
    expect(markLinesOf(secondMark, context, learntOf([]))).toEqual([])
  })

  it('is named after the one before', () => {
    expect(nextMarkName('Winter Ferry, second mark')).toBe('Winter Ferry, third mark')
    expect(nextMarkName('Second mark of the ferry')).toBe('Third mark of the ferry')
    expect(nextMarkName('Slip')).toBe('Slip, second mark')
    expect(nextMarkName('Tenth mark')).toBe('Tenth mark, second mark')
  })
})

describe('two rigs side by side', () => {
  it('a rig beside itself differs in nothing; one piece less is told with what it changes', () => {
    const same = besideOf(at('crossing'), at('crossing'))
    expect(same).toEqual({ came: [], went: [], moved: [], gained: [], lost: [] })
    const edited = edit(secondMark, [{ do: 'take-off', setup: 'crossing', instance: 'tether' }], context.catalogue)
    if (!edited.ok) throw new Error('the tether comes off')
    const less = besideOf(at('crossing'), evaluate(edited.value, 'crossing', context))
    expect(less.went.map(({ part, count }) => [part.name.includes('ether'), count])).toEqual([[true, 1]])
    expect(less.came).toEqual([])
  })

  it('what came to one went from the other, whichever comes first', () => {
    const [a, b] = [evaluate(firstMark, 'crossing', context), at('crossing')]
    const [there, back] = [besideOf(a, b), besideOf(b, a)]
    expect(there.came).toEqual(back.went)
    expect(there.lost.length).toBe(back.gained.length)
    expect(there.lost.some(({ level }) => level === 'stop')).toBe(true)
    expect(there.gained.filter(({ level }) => level !== 'hint')).toEqual([])
  })
})

it('a measured draw and a learnt arm stand in the context; a set arm is not overruled', () => {
  const entry = {
    id: '00000000-0000-4000-8000-000000000001',
    rigId: secondMark.id,
    revision: 1,
    at: '2026-11-17T20:00:00.000Z',
    what: {
      kind: 'day' as const,
      shoot: 'the ferry',
      day: '2026-11-17',
      setups: ['crossing'],
      carried: [],
      loose: [],
      ranOut: [],
      inTheWay: [],
      unused: [],
      gaps: [],
      measured: [
        { what: 'draw' as const, piece: 'camera', partId: 'calabash-h1', value: 9.5, planned: 7 },
        { what: 'held' as const, setup: 'crossing', value: 2, planned: 3, strengthNm: 44 },
      ],
      line: '',
    },
  }
  const sources = { parts: demoParts, gone: [], pieces: [], prices: [], field: [entry] }
  const made = contextOf({ ...sources, operator: { strengthNm: 60, armMassG: 3500 } })
  expect(made.catalogue.parts.get('calabash-h1')?.power?.drawW).toBe(9.5)
  expect(made.operator?.strengthNm).toBe(44)
  expect(
    contextOf({ ...sources, operator: { strengthNm: 60, armMassG: 3500 }, calibrated: true }).operator?.strengthNm,
  ).toBe(60)
})
