import { catalogueOf } from '../catalogue/index.ts'
import { type Command, edit, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import { type Finding, findingsOf } from '../checks/index.ts'
import { contextFor } from '../context/index.ts'
import { type Facts, factsOf } from '../facts/index.ts'
import { namedWays } from '../remedies/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark, secondMark } from '../../demo/scenario/index.ts'
import { soundRigs } from '../../demo/sound/index.ts'
import { on, plug, socket, tinyPart, tinyRig, type TinyRig } from '../testing/index.ts'
import { inBay, pack, wiredRig } from '../testing/wired.ts'
import { troubleBySockets } from '../testing/troubles.ts'
import { accept, type Known } from './index.ts'

/** Everything from nothing: what judges the judge shares no memory with it. */
const factsFor = (rig: Rig, id: string, given: TinyRig['context']): Facts => {
  const setup = setupOf(rig, id)
  if (!setup) throw new RangeError(id)
  const context = contextFor(rig, given)
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}
const knownOf = ({ rig, context }: TinyRig): Known => {
  const all = new Map<string, Facts>()
  return {
    rig,
    factsOf: (id) => {
      const known = all.get(id) ?? factsFor(rig, id, context)
      all.set(id, known)
      return known
    },
  }
}
/** The same trouble at the same level, whichever lead it is told of. */
const calledIn = (rig: Rig, setup: string, one: Finding, other: Rig): string =>
  `${one.level} ${troubleBySockets(rig, setup, one, other)}`
const findingIn = (known: Known, check: string): Finding => {
  const found = findingsOf(known.factsOf('main')).find((one) => one.check === check)
  if (!found) throw new Error(`no ${check}`)
  return found
}

const cube = tinyPart({ id: 'cube', massG: 400, mounts: [plug('foot', 'thread-1/4')] })
const heavy = (inHandG: number) =>
  tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')], { brief: { inHandG }, owned: { cube: 1 } })
const off: readonly Command[] = [{ do: 'take-off', setup: 'main', instance: 'cube' }]

test('what clears its finding and brings nothing is plain; what only lessens it is a part', () => {
  const gone = knownOf(heavy(1200))
  expect(accept(gone, 'main', findingIn(gone, 'over-mass'), { commands: off }).as).toBe('plain')
  const less = knownOf(heavy(800))
  expect(accept(less, 'main', findingIn(less, 'over-mass'), { commands: off }).as).toBe('part')
})

test('what changes nothing of its finding, and what can not be done, is refused', () => {
  const known = knownOf(heavy(1200))
  const finding = findingIn(known, 'over-mass')
  const turned = accept(known, 'main', finding, {
    commands: [{ do: 'set', setup: 'main', instance: 'cube', turnDeg: 90 }],
  })
  expect([turned.as, turned.why]).toEqual(['refused', 'nothing'])
  const unknown = accept(known, 'main', finding, { commands: [{ do: 'swap', instance: 'nobody', partId: 'cube' }] })
  expect([unknown.as, unknown.why]).toEqual(['refused', 'impossible'])
})

test('a lighter piece where the rig stays too heavy helps in part, and nothing is gained by that', () => {
  const light = tinyPart({ id: 'light', massG: 60, mounts: [plug('foot', 'thread-1/4')] })
  const known = knownOf(
    tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')], { brief: { inHandG: 1000 }, extra: [light] }),
  )
  const finding = findingIn(known, 'over-mass')
  const verdict = accept(known, 'main', finding, { commands: [{ do: 'swap', instance: 'cube', partId: 'light' }] })
  expect([verdict.as, verdict.gained]).toEqual(['part', []])
})

test('a new stop is never taken, whatever it cures', () => {
  // Without its pack the camera is 100 g lighter and dark.
  const known = knownOf(wiredRig([pack()], [inBay()], [], { brief: { inHandG: 1050 } }))
  const verdict = accept(known, 'main', findingIn(known, 'over-mass'), {
    commands: [{ do: 'take-off', setup: 'main', instance: 'pack' }],
  })
  expect([verdict.as, verdict.why]).toEqual(['refused', 'stop'])
  expect(verdict.gained.map(({ setup, finding }) => [setup, finding.check])).toContainEqual(['main', 'unpowered'])
})

test('a risk less grave than a stop that goes is a price, told with the set-up it is paid in', () => {
  // A handle that can't be put on is swapped for one that can, and for one hand it is too light a hold for nothing else.
  const bad = tinyPart({ id: 'bad', massG: 100, mounts: [plug('foot', 'thread-3/8')] })
  const good = tinyPart({
    id: 'good',
    massG: 900,
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
  })
  const tiny = tinyRig([bad], [on('bad', 'foot', 'camera', 'hole')], { brief: { inHandG: 1500 }, extra: [good] })
  const known = knownOf(tiny)
  const finding = findingIn(known, 'mount-mismatch')
  const verdict = accept(known, 'main', finding, { commands: [{ do: 'swap', instance: 'bad', partId: 'good' }] })
  expect(verdict.as).toBe('price')
  expect(verdict.gained.map(({ finding: one }) => one.check)).toContain('over-mass')
})

test('a wish that is met no more is refused, but where something is taken off it is the price', () => {
  const screen = tinyPart({ id: 'screen', massG: 400, provides: ['screen'], mounts: [plug('foot', 'thread-1/4')] })
  const plain = tinyPart({ id: 'plain', massG: 100, mounts: [plug('foot', 'thread-1/4')] })
  const tiny = tinyRig([screen], [on('screen', 'foot', 'camera', 'hole')], {
    brief: { inHandG: 1200, wishes: { 'scratch-sound': 'skip', screen: 'want' } },
    owned: { screen: 1, plain: 1 },
    extra: [plain],
  })
  const known = knownOf(tiny)
  const finding = findingIn(known, 'over-mass')
  const swapped = accept(known, 'main', finding, { commands: [{ do: 'swap', instance: 'screen', partId: 'plain' }] })
  expect([swapped.as, swapped.why]).toEqual(['refused', 'need'])
  const taken = accept(known, 'main', finding, { commands: [{ do: 'take-off', setup: 'main', instance: 'screen' }] })
  expect(taken.as).toBe('price')
})

test('a swap is judged in every set-up, an edit of one set-up in that one', () => {
  const rail = tinyPart({
    id: 'rail',
    massG: 600,
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-3/8', [0, 20, 0])],
  })
  const bare = tinyPart({ id: 'bare', massG: 100, mounts: [plug('foot', 'thread-1/4')] })
  const rider = tinyPart({ id: 'rider', massG: 10, mounts: [plug('foot', 'thread-3/8')] })
  const tiny = tinyRig([rail, rider], [on('rail', 'foot', 'camera', 'hole')], {
    brief: { inHandG: 1500 },
    extra: [bare],
  })
  const [main] = tiny.rig.setups
  if (!main) throw new Error('a set-up')
  const rig: Rig = {
    ...tiny.rig,
    setups: [
      main,
      { ...main, id: 'other', name: 'other', joints: [...main.joints, on('rider', 'foot', 'rail', 'top')] },
    ],
  }
  const known = knownOf({ ...tiny, rig })
  const asked: string[] = []
  const watching: Known = { rig, factsOf: (id) => (asked.push(id), known.factsOf(id)) }
  const finding = findingIn(known, 'over-mass')
  const swap = accept(watching, 'main', finding, { commands: [{ do: 'swap', instance: 'rail', partId: 'bare' }] })
  // The rider of the other set-up would be left without its point: such a swap can't even be carried out.
  expect(swap.as).toBe('refused')
  asked.length = 0
  accept(watching, 'main', finding, { commands: [{ do: 'take-off', setup: 'main', instance: 'rail' }] })
  expect([...new Set(asked)]).toEqual(['main'])
})

test('over the demo and every sound rig: judged from nothing, no way out that is taken brings a stop or does nothing', () => {
  const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
  const wrong: string[] = []
  const counts = { plain: 0, part: 0, price: 0, refused: 0 }
  for (const rig of [firstMark, secondMark, ...soundRigs]) {
    const known = knownOf({ rig, context })
    for (const { id } of rig.setups)
      for (const finding of findingsOf(known.factsOf(id)))
        for (const { commands, text } of namedWays(finding)) {
          const { as } = accept(known, id, finding, { commands })
          counts[as]++
          if (as === 'refused') continue
          const edited = edit(rig, commands, context.catalogue)
          const rigAfter = edited.ok ? edited.value : rig
          const name = `${rig.id} ${id} ${finding.check}: ${text}`
          if (!edited.ok) wrong.push(`${name} can't be done`)
          for (const setup of rigAfter.setups) {
            const had = new Set(
              findingsOf(known.factsOf(setup.id)).map((one) => calledIn(rig, setup.id, one, rigAfter)),
            )
            for (const one of findingsOf(factsFor(rigAfter, setup.id, context))) {
              const isNew = !had.has(calledIn(rigAfter, setup.id, one, rig))
              if (isNew && one.level === 'stop') wrong.push(`${name} brings ${one.check} in ${setup.id}`)
              if (isNew && one.level === 'risk' && as === 'plain')
                wrong.push(`${name} is no plain way: ${one.check} in ${setup.id}`)
              if (
                setup.id === id &&
                as === 'plain' &&
                calledIn(rigAfter, id, one, rig) === calledIn(rig, id, finding, rigAfter)
              )
                wrong.push(`${name} does nothing`)
            }
          }
        }
  }
  expect(wrong).toEqual([])
  expect(Object.values(counts).every((count) => count > 0)).toBe(true)
})

test('what was said of a lead is no new trouble of the one that takes its place, nor is it cured by that', () => {
  const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
  const known = knownOf({ rig: firstMark, context })
  const found = findingsOf(known.factsOf('crossing'))
  const short = found.find(({ check }) => check === 'cable-short')
  const hangs = found.find(({ check }) => check === 'no-strain-relief')
  if (!short || !hangs) throw new Error('the first mark has both')
  const [longer] = namedWays(short)
  if (!longer) throw new Error('a lead that reaches')
  // It hangs on the camera's socket as the short one did: that is neither new nor gone.
  expect(accept(known, 'crossing', short, longer)).toMatchObject({ as: 'plain', gained: [] })
  expect(accept(known, 'crossing', hangs, longer)).toMatchObject({ as: 'refused', why: 'nothing' })
})
