import { edit, swapCommands } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import {
  bundleFor,
  evaluate,
  fitsHere,
  heaviestOf,
  knownBy,
  placedWithNeeds,
  targetOf,
  targets,
  usualTarget,
} from '../assess/index.ts'
import { troubleOf } from '../checks/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const foot = plug('foot', 'thread-1/4')
const piece = (id: string, massG: number, usual: number) =>
  tinyPart({ id, role: 'receiver', massG, mounts: [foot], price: { low: usual, usual, high: usual } })

const tiny = (extra: readonly ReturnType<typeof piece>[]) => {
  const { rig, context: around } = tinyRig([piece('heavy', 400, 9000)], [on('heavy', 'foot', 'camera', 'hole')], {
    extra,
    owned: { heavy: 1 },
    brief: { wishes: { 'scratch-sound': 'skip' } },
  })
  const before = evaluate(rig, 'main', around)
  return { rig, around, before, known: knownBy(before, (id) => evaluate(rig, id, around)) }
}

test('so much lighter: the piece for a lighter of its kind, with what it brings and the running sum', () => {
  const { known, before } = tiny([piece('light', 150, 9000), piece('lighter', 100, 9000)])
  const answer = targetOf(known, before, 'in-hand', 250)
  // 400 g for 100 g brings 300; leaving out what nobody asked for brings 400 and goes first.
  expect(answer.isReached).toBe(true)
  expect(answer.steps.map(({ gains, sum }) => [gains, sum])).toEqual([[400, 400]])
  expect(answer.effect?.massG).toBe(-400)
})

test('what can’t be had is said, with how far one gets', () => {
  const { known, before } = tiny([])
  const answer = targetOf(known, before, 'in-hand', 5000)
  expect([answer.isReached, answer.steps.map(({ sum }) => sum)]).toEqual([false, [400]])
})

test('over the demo: no step brings a stop or a risk or loses a wish anywhere, and the sum is what comes of it', () => {
  for (const rig of [firstMark, secondMark]) {
    const [setup] = rig.setups
    if (!setup) throw new Error('a set-up')
    const before = evaluate(rig, setup.id, context)
    const known = knownBy(before, (id) => evaluate(rig, id, context))
    for (const id of targets) {
      const by = usualTarget(before, id)
      const { steps, remedy, isReached, effect } = targetOf(known, before, id, by)
      const sum = steps.at(-1)?.sum ?? 0
      expect(isReached).toBe(sum >= by)
      expect(steps.reduce((all, { gains }) => all + gains, 0)).toBeCloseTo(sum, 6)
      if (!remedy) continue
      const edited = edit(rig, remedy.commands, context.catalogue)
      if (!edited.ok) throw new Error('it can be done')
      if (id === 'in-hand') expect(effect?.massG).toBeCloseTo(-sum, 6)
      if (id === 'to-buy') expect(effect?.toBuyMinor).toBeCloseTo(-sum, 6)
      for (const other of rig.setups) {
        const [had, has] = [rig, edited.value].map((one) => evaluate(one, other.id, context))
        const known = new Set(had?.findings.map(troubleOf))
        const fresh = has?.findings.filter((one) => one.level !== 'hint' && !known.has(troubleOf(one))) ?? []
        expect(fresh.map(({ check }) => `${rig.id} ${id} ${other.id} ${check}`)).toEqual([])
        const wishes = (one: typeof has) => one?.unmet.map(({ capability }) => capability) ?? []
        expect(wishes(has).filter((wish) => !wishes(had).includes(wish))).toEqual([])
      }
    }
  }
})

test('a camera that is not owned is asked about first where money is short', () => {
  const before = evaluate(firstMark, 'crossing', { ...context, owned: new Map() })
  const known = knownBy(before, (id) => evaluate(firstMark, id, { ...context, owned: new Map() }))
  const camera = before.assembly.placed[0]?.part.id
  expect(targetOf(known, before, 'to-buy', 1000).perhapsOwned?.partId).toBe(camera)
  expect(targetOf(known, before, 'in-hand', 1000).perhapsOwned).toBeUndefined()
  const owned = evaluate(firstMark, 'crossing', context)
  expect(targetOf(known, owned, 'to-buy', 1000).perhapsOwned).toBeUndefined()
})

test('another camera comes with its cage and its packs, and nothing new is wrong then but what it costs', () => {
  const before = evaluate(secondMark, 'crossing', context)
  const known = knownBy(before, (id) => evaluate(secondMark, id, context))
  const camera = context.catalogue.parts.get('kabocha-s')
  if (!camera) throw new Error('the demo has it')
  const { root } = before.assembly.setup
  const commands = swapCommands(secondMark, root, camera, context.catalogue)
  const bundle = bundleFor(known, before, { text: '{part}', numbers: {}, names: { part: camera.name }, commands })
  expect(
    bundle?.gained.filter(({ finding }) => finding.family !== 'money').map(({ finding }) => finding.check),
  ).toEqual([])
  const edited = edit(secondMark, bundle?.remedy.commands ?? [], context.catalogue)
  if (!edited.ok) throw new Error(JSON.stringify(edited.issues))
  const { placed } = evaluate(edited.value, 'crossing', context).assembly
  const cage = placed.find(({ part }) => part.role === 'cage')
  const pack = placed.find(({ part, host }) => part.role === 'battery' && host?.part.role === 'camera')
  expect([cage?.mate?.ok, pack?.mate?.ok]).toEqual([true, true])
  expect(bundle?.added).toBeGreaterThanOrEqual(2)
  expect(cage?.part.fits).toContain(camera.mounts.find(({ standard }) => standard === 'body')?.family)
})

test('a part that no point takes is put on by way of something between; what nothing takes has no bundle', () => {
  const before = evaluate(secondMark, 'crossing', context)
  const known = knownBy(before, (id) => evaluate(secondMark, id, context))
  const bushing = context.catalogue.parts.get('typha-bushing-14')
  if (!bushing) throw new Error('the demo has it')
  const bundle = placedWithNeeds(known, before, bushing)
  const added = bundle?.remedy.commands.flatMap((command) => (command.do === 'add' ? [command.instance.partId] : []))
  expect(added).toHaveLength(2)
  expect(added).toContain('typha-bushing-14')
  const nowhere = tinyPart({ id: 'nowhere', mounts: [plug('foot', 'gear-0.8')] })
  expect(placedWithNeeds(known, before, nowhere)).toBeUndefined()
})

test('sooner ready: a pinned screw, 40 s, for a plain one, 25 s, where what it gives is wanted', () => {
  const given = (id: string, standard: string) =>
    tinyPart({ id, role: 'receiver', massG: 20, provides: ['wireless-sound'], mounts: [plug('foot', standard)] })
  const { rig, context: around } = tinyRig(
    [given('slow', 'thread-1/4-pin')],
    [on('slow', 'foot', 'camera', 'pinned')],
    { extra: [given('quick', 'thread-1/4')], brief: { wishes: { 'scratch-sound': 'skip', 'wireless-sound': 'want' } } },
  )
  const before = evaluate(rig, 'main', around)
  const answer = targetOf(
    knownBy(before, (id) => evaluate(rig, id, around)),
    before,
    'set-up',
    10,
  )
  expect([answer.isReached, answer.steps.map(({ remedy, sum }) => [remedy.names['part'], sum])]).toEqual([
    true,
    [['quick', 15]],
  ])
})

test('fits the gimbal: what it may carry is the least of brief, set-up and stand; lighter, it is slid over the plate again', () => {
  const rides = tinyPart({
    id: 'gimbal',
    role: 'gimbal',
    mounts: [
      plug('clamp', 'thread-1/4', {
        limitG: 1200,
        travel: { along: [0, 0, -1], minMm: -60, maxMm: 60, stepMm: 1 },
      }),
    ],
    under: { kind: 'gimbal', at: [0, -40, 0], reachMm: [80, 80, 80] },
  })
  const { rig, context: around } = tinyRig(
    [rides, piece('heavy', 400, 9000)],
    [on('gimbal', 'clamp', 'camera', 'hole'), on('heavy', 'foot', 'camera', 'pinned')],
    { setup: { support: 'gimbal', capG: 1900 }, brief: { wishes: { 'scratch-sound': 'skip' } } },
  )
  const before = evaluate(rig, 'main', around)
  // The camera's 1,000 g and 400 g on a gimbal for 1,200 g: 200 g too much. The set-up alone would let 1,900 g be.
  expect(heaviestOf(before)).toMatchObject({ limitG: 1200, stand: { instance: { id: 'gimbal' } } })
  expect(usualTarget(before, 'in-hand')).toBe(200)
  const known = knownBy(before, (id) => evaluate(rig, id, around))
  const answer = targetOf(known, before, 'in-hand', 200)
  expect([answer.isReached, answer.steps.map(({ sum }) => sum)]).toEqual([true, [400]])
})

test('what a part needs comes to where it was put: it is not moved from there again', () => {
  const before = evaluate(secondMark, 'crossing', context)
  const known = knownBy(before, (id) => evaluate(secondMark, id, context))
  const point = before.points.find(({ piece: { instance }, mount }) => instance.id === 'monitor' && mount.id === 'top')
  const fit =
    point &&
    fitsHere(secondMark, 'crossing', point, context, before).fits.find(({ part }) => part.id === 'delicata-mixer-3')
  if (!fit) throw new Error('the mixer goes there')
  const words = { text: '{part}', numbers: {}, names: { part: fit.part.name } }
  const whole = bundleFor(known, before, { ...words, commands: fit.commands })
  const places = (whole?.remedy.commands ?? []).filter((command) => command.do === 'place')
  const guests = places.map(({ joint }) => joint.guest)
  expect(new Set(guests).size).toBe(guests.length)
})
