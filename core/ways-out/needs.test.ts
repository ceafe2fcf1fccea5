import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { type Command, edit, newRig, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import { evaluate, knownBy, placedWithNeeds, type Way, waysOut } from '../assess/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { placesMade } from '../remedies/index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const after = (rig: Rig, commands: readonly Command[]): Rig => {
  const done = edit(rig, commands, context.catalogue)
  if (!done.ok) throw new Error(JSON.stringify(done.issues))
  return done.value
}
const told = (rig: Rig, setup: string): readonly string[] =>
  evaluate(rig, setup, context).findings.map(({ check, key }) => `${check} ${key}`)
/** The first way out of what a brief asks for and nothing gives. */
const firstFor = (rig: Rig, setup: string, need: string): Way => {
  const before = evaluate(rig, setup, context)
  const known = knownBy(before, (id) => evaluate(rig, id, context))
  const finding = before.findings.find(({ check, key }) => check === 'need-unmet' && key === need)
  const [way] = finding ? waysOut(known, before, finding) : []
  if (!way) throw new Error(`no way to ${need}`)
  return way
}

const main = (rig: Rig) => {
  const setup = setupOf(rig, 'main')
  if (!setup) throw new Error('it has its set-up')
  return { setup, placed: placeSetup(rig, setup, context.catalogue).placed }
}

const bare = newRig('market', 'A market day', 'calabash-h1')
const market: Rig = {
  ...bare,
  brief: { ...bare.brief, budgetMinor: 90_000, conditions: ['sun', 'running', 'interviews'] },
}
/** Takes the first offer against each of these in turn. */
const pressed = (start: Rig, checks: readonly string[]): Rig =>
  checks.reduce((rig, wanted) => {
    const before = evaluate(rig, 'main', context)
    const known = knownBy(before, (id) => evaluate(rig, id, context))
    const finding = before.findings.find(({ check, key }) => `${check} ${key}`.startsWith(wanted))
    const [way] = finding ? waysOut(known, before, finding) : []
    if (!way) throw new Error(`nothing against ${wanted}`)
    return after(rig, way.remedy.commands)
  }, start)

describe('a rig that grew by first offers, with its microphone in the only input', () => {
  const rig = pressed(market, [
    'unpowered',
    'lens-missing',
    'record-time-short',
    'runtime-short',
    'need-unmet cage',
    'need-unmet top-handle',
    'need-unmet side-grip',
    'nd-short',
    'need-unmet scratch-sound',
  ])

  test('gets its wireless receiver: the receiver takes the microphone in and goes into the input', () => {
    const mics = main(rig).setup.links.filter(({ to }) => to.instance === 'camera')
    expect(mics).toHaveLength(1)
    const way = firstFor(rig, 'main', 'wireless-sound')
    expect(way.as).toBe('plain')
    expect(way.remedy.text).toMatch(/plug .*, and plug in /)
    const done = after(rig, way.remedy.commands)
    const { setup, placed } = main(done)
    const of = (role: string) => placed.find(({ part }) => part.role === role)?.instance.id
    const ways = setup.links.map(({ from, to }) => [from.instance, to.instance])
    expect(ways).toContainEqual([of('mic'), of('receiver')])
    expect(ways).toContainEqual([of('receiver'), 'camera'])
    const left = told(done, 'main')
    expect(left.filter((one) => /^no-cable|^cable-short|wireless-sound|scratch-sound/.test(one))).toEqual([])
  })

  test('is offered a screen that is read in the sun, with its mount, its lead and its battery', () => {
    const way = firstFor(rig, 'main', 'sun-view')
    expect(way.as).toBe('plain')
    const done = after(rig, way.remedy.commands)
    const { placed } = main(done)
    const screen = placed.find(({ part }) => part.optics?.kind === 'screen')
    expect(screen?.host?.part.role).toBe('monitor-mount')
    const left = told(done, 'main')
    expect(left.filter((one) => /^no-cable|^unpowered|sun-view|^screen-dim|^view-blocked/.test(one))).toEqual([])
  })
})

test('a screen that is wanted comes with its lead and what holds that, though the lead alone leaves as much to mend', () => {
  const rig = pressed(market, ['unpowered', 'lens-missing', 'need-unmet cage', 'need-unmet top-handle'])
  const before = evaluate(rig, 'main', context)
  const screen = context.catalogue.parts.get('crookneck-m5')
  const put =
    screen &&
    placedWithNeeds(
      knownBy(before, (id) => evaluate(rig, id, context)),
      before,
      screen,
    )
  if (!put) throw new Error('a screen goes on')
  const left = told(after(rig, put.remedy.commands), 'main')
  expect(left.filter((one) => /^no-cable|^no-strain-relief/.test(one))).toEqual([])
})

test('a screen has no foot: a place is made for it by what ends in a stud, what is meant for screens first', () => {
  const { strict } = evaluate(market, 'main', context)
  const screen = context.catalogue.parts.get('crookneck-m5')
  const cage = context.catalogue.parts.get('sedgewick-half-m')
  if (!screen || !cage) throw new Error('parts of the demo')
  const [first] = placesMade(strict, screen)
  const [mount] = first?.commands ?? []
  expect(mount?.do === 'add' && context.catalogue.parts.get(mount.instance.partId)?.role).toBe('monitor-mount')
  // What sits by a foot is not hung up by its holes: no cage of another camera on a stud under this one.
  expect([...placesMade(strict, cage)]).toEqual([])
})

test('what the second mark has is found again when its screen is left at home', () => {
  const without = after(secondMark, [
    { do: 'discard', instance: 'slab' },
    { do: 'discard', instance: 'monitor' },
    { do: 'discard', instance: 'tilt' },
  ])
  expect(told(without, 'crossing')).toContain('need-unmet sun-view')
  const way = firstFor(without, 'crossing', 'sun-view')
  expect(told(after(without, way.remedy.commands), 'crossing')).not.toContain('need-unmet sun-view')
})
