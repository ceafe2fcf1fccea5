import { edit, type Rig } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { checks, findingKey } from '../checks/index.ts'
import { momentOf } from '../facts/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, demoRigs, firstMark } from '../../demo/scenario/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import {
  type Assessment,
  type Effect,
  effectOf,
  evaluate,
  fitsHere,
  fitsInSteps,
  judgingOf,
  misfitsHere,
  swapsFor,
} from './index.ts'

const cube = (id: string, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })
const mic = tinyPart({ id: 'mic', role: 'mic', provides: ['scratch-sound'], mounts: [plug('foot', 'shoe-cold')] })
const pinned38 = tinyPart({ id: 'handle', role: 'top-handle', mounts: [plug('foot', 'thread-3/8-pin')] })

test('one assessment holds the figures, the findings worst first, and the stations', () => {
  const { rig, context } = tinyRig([cube('one'), mic], [on('one', 'foot', 'camera', 'hole')], {
    brief: { wishes: {}, inHandG: 1000, budgetMinor: 1 },
  })
  const assessment = evaluate(rig, 'main', context)
  expect(assessment.mass.inHandG).toBe(1100)
  expect(assessment.cost.usual).toBe(2000)
  expect(assessment.size.tallMm).toBe(100)
  expect(assessment.setupSeconds).toBe(25)
  expect(assessment.holdMinutes).toBeGreaterThan(60)
  expect(assessment.steadiness?.shift).toBeCloseTo(1000 / 1100, 9)
  expect(assessment.findings.map(({ check, level }) => `${level} ${check}`)).toEqual([
    'stop over-budget',
    'risk need-unmet',
    'risk over-mass',
    'hint loose-part',
    'hint not-needed',
  ])
  const sound = assessment.stations.find(({ station }) => station === 'sound')
  expect(sound).toMatchObject({ worst: 'risk', openNeeds: [{ capability: 'scratch-sound' }], instances: [] })
  expect(assessment.stations.map(({ station }) => station)).toHaveLength(10)
})

test('an unknown set-up is a defect of the caller', () => {
  const { rig, context } = tinyRig([], [])
  expect(() => evaluate(rig, 'nowhere', context)).toThrow('No set-up "nowhere"; this rig has main')
})

test('the effect of putting something on: grams, money, height, and the trouble it ends', () => {
  const { rig, context } = tinyRig([], [], { brief: { wishes: {} }, extra: [mic] })
  const before = evaluate(rig, 'main', context)
  const effect = effectOf(
    rig,
    [
      { do: 'add', instance: { id: 'mic', partId: 'mic', status: 'in' } },
      { do: 'place', setup: 'main', joint: on('mic', 'foot', 'camera', 'shoe') },
    ],
    before,
  ) as Effect
  expect(effect).toMatchObject({
    massG: 100,
    toBuyMinor: 1000,
    tallMm: 20,
    gained: { stop: 0, risk: 0, hint: 0 },
    lost: { stop: 0, risk: 1, hint: 0 },
  })
})

test('an effect is what evaluating the edited rig says', () => {
  const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')], { brief: { inHandG: 1050 } })
  const commands = [{ do: 'take-off' as const, setup: 'main', instance: 'one' }]
  const before = evaluate(rig, 'main', context)
  const after = evaluate((edit(rig, commands, context.catalogue) as { value: Rig }).value, 'main', context)
  const effect = effectOf(rig, commands, before) as Effect
  expect(effect.massG).toBe(after.mass.inHandG - before.mass.inHandG)
  const [had, has] = [before, after].map(({ findings }) => findings.map(findingKey))
  expect(effect.lost.risk + effect.lost.stop + effect.lost.hint).toBe(had?.filter((key) => !has?.includes(key)).length)
})

test('an edit that can not be done has no effect but reasons', () => {
  const { rig, context } = tinyRig([], [])
  expect(effectOf(rig, [{ do: 'drop-setup', setup: 'main' }], evaluate(rig, 'main', context))).toMatchObject({
    issues: [{ code: 'last-setup' }],
  })
})

describe('fits here', () => {
  const owned = cube('owned', { price: { low: 9000, usual: 9000, high: 9000 } })
  const wide = cube('wide', {
    solids: [{ kind: 'box', centre: [0, -30, 0], size: [200, 100, 200], matter: 'body' }],
    price: { low: 1, usual: 1, high: 1 },
  })
  const setting = tinyRig([cube('idle')], [], {
    extra: [owned, cube('cheap', { price: { low: 10, usual: 10, high: 10 } }), cube('dear'), wide, mic, pinned38],
    owned: { owned: 1 },
  })
  const at = (id: string) => evaluate(setting.rig, 'main', setting.context).points.find(({ mount }) => mount.id === id)
  const found = fitsHere(setting.rig, 'main', at('hole') as never, setting.context)

  test('the kit first, then what is owned, then the least harm, then the least money', () => {
    expect(found.fits.map(({ part, from }) => `${from} ${part.id}`)).toEqual([
      'kit idle',
      'owned owned',
      'catalogue cheap',
      'catalogue dear',
      'catalogue wide',
    ])
    expect(found.fits.at(-1)?.effect.gained.stop).toBe(1)
  })
  test('an idle piece of the kit is put on itself, not bought again', () => {
    expect(found.fits[0]?.commands).toEqual([
      { do: 'place', setup: 'main', joint: expect.objectContaining({ guest: 'idle' }) },
    ])
    expect(found.fits[0]?.effect.toBuyMinor).toBe(0)
  })
  test('what does not go on says why, and putting it on all the same shows the stop', () => {
    const misfit = misfitsHere(setting.rig, 'main', at('hole') as never, setting.context).find(
      ({ part }) => part.id === 'handle',
    )
    expect(misfit?.issue).toMatchObject({ code: 'standards-differ', names: { a: '1/4" hole', b: 'pinned 3/8" screw' } })
    const forced = edit(setting.rig, misfit?.commands ?? [], setting.context.catalogue)
    expect(forced.ok && evaluate(forced.value, 'main', setting.context).findings[0]?.check).toBe('mount-mismatch')
  })
  test('a misfit that an adapter would cure says which, and goes on with it', () => {
    const bridge = tinyPart({
      id: 'bridge',
      massG: 20,
      mounts: [plug('below', 'thread-1/4'), socket('above', 'thread-3/8-pin', [0, 20, 0])],
    })
    const context = {
      ...setting.context,
      catalogue: catalogueOf([...setting.context.catalogue.parts.values(), bridge]),
    }
    const misfit = misfitsHere(setting.rig, 'main', at('hole') as never, context).find(
      ({ part }) => part.id === 'handle',
    )
    expect(misfit?.bridge?.adapters.map(({ id }) => id)).toEqual(['bridge'])
    const built = edit(setting.rig, misfit?.bridge?.commands ?? [], context.catalogue)
    expect(built.ok && evaluate(built.value, 'main', context).findings.map(({ check }) => check)).not.toContain(
      'mount-mismatch',
    )
  })
  test('a second piece of what already sits there is offered on top of the first', () => {
    const cheap = found.fits.find(({ part }) => part.id === 'cheap')
    const tower = edit(setting.rig, cheap?.commands ?? [], setting.context.catalogue)
    if (!tower.ok) throw new Error('the cheap cube goes on')
    const top = evaluate(tower.value, 'main', setting.context).points.find(
      ({ piece, mount }) => piece.part.id === 'cheap' && mount.id === 'top',
    )
    expect(fitsHere(tower.value, 'main', top as never, setting.context).fits.map(({ part }) => part.id)).toContain(
      'cheap',
    )
  })
  test('in steps of one the last step has them all, in the same order, and the first has what is at hand', () => {
    const steps = [...fitsInSteps(setting.rig, 'main', at('hole') as never, setting.context, undefined, 1)]
    expect(steps.at(-1)).toEqual(found)
    expect(steps[0]?.fits.map(({ part }) => part.id)).toEqual([found.fits[0]?.part.id])
    expect(steps.map(({ fits, pending }) => fits.length + pending)).toEqual(steps.map(() => found.fits.length))
  })
  test('asking twice gives the same answer', () => {
    expect(JSON.stringify(fitsHere(setting.rig, 'main', at('hole') as never, setting.context).fits)).toBe(
      JSON.stringify(found.fits),
    )
  })
})

test('swaps keep their neighbours; parts that would lose one are left out', () => {
  const flat = tinyPart({ id: 'flat', mounts: [plug('foot', 'thread-1/4')] })
  const { rig, context } = tinyRig(
    [cube('one'), cube('two')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'one', 'top')],
    {
      extra: [flat, cube('three', { massG: 40 })],
    },
  )
  const swaps = swapsFor(rig, 'main', 'one', context)
  expect(swaps.map(({ part }) => part.id)).toEqual(['three', 'two'])
  expect(swaps[0]?.effect.massG).toBe(-60)
  expect(swapsFor(rig, 'main', 'nobody', context)).toEqual([])
})

test('no two findings of a set-up have one key', () => {
  const around = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
  for (const rig of demoRigs)
    for (const { id } of rig.setups) {
      const keys = evaluate(rig, id, around).findings.map(findingKey)
      expect([rig.id, id, keys.filter((key, i) => keys.indexOf(key) !== i)]).toEqual([rig.id, id, []])
    }
})

test('judged rule by rule it says the same, and gathering the findings asks nothing more', () => {
  const shelf = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
  const at = () => evaluate(structuredClone(firstMark), 'crossing', shelf)
  const stepped = at()
  let steps = 0
  for (const _ of judgingOf(stepped)) steps++
  const { counts } = momentOf(stepped.strict).evaluator
  const asked = [...counts.values()].reduce((sum, n) => sum + n, 0)
  const keys = (assessment: Assessment) => assessment.findings.map(({ check, key, text }) => `${check} ${key} ${text}`)
  expect(keys(stepped)).toEqual(keys(at()))
  expect([...counts.values()].reduce((sum, n) => sum + n, 0)).toBe(asked)
  expect(steps).toBe(checks.length)
})
