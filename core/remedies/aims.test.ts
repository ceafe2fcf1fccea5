import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
import { evaluate } from '../assess/index.ts'
import { edit, placeSetup, setupOf } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { findingsOfCheck } from '../checks/index.ts'
import { type Facts, factsOf } from '../facts/index.ts'
import { on, plug, socket, tinyPart, tinyRig, type TinyRig } from '../testing/index.ts'
import { boxed, pairOf } from '../testing/rod-pair-rigs.ts'
import { head, standing } from '../testing/stand-rigs.ts'
import { hdmiLead, link, screen, wiredRig } from '../testing/wired.ts'
import { namedWays } from './aims.ts'

const factsIn = ({ rig, context }: TinyRig): Facts => {
  const setup = setupOf(rig, 'main')
  if (!setup) throw new RangeError('main')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}
const named = (tiny: TinyRig, check: string) => {
  const [finding] = findingsOfCheck(factsIn(tiny), check)
  if (!finding) throw new Error(`${check} is silent`)
  return [...namedWays(finding)]
}

test('a rig whose centre stands 20 mm ahead of the head slides 20 mm back on it, and ends over its middle', () => {
  const tiny = standing(head({ travel: { along: [0, 0, -1], minMm: -30, maxMm: 30, stepMm: 1 } }), 20)
  const [way] = named(tiny, 'plate-offset')
  expect([way?.text, way?.names, way?.numbers]).toEqual([
    'slide the rig {byMm:mm} {way} on {part}',
    { part: 'head', way: 'back' },
    { byMm: 20 },
  ])
  const done = edit(tiny.rig, way?.commands ?? [], tiny.context.catalogue)
  if (!done.ok) throw new Error('it can be done')
  expect(factsIn({ ...tiny, rig: done.value }).onPlate?.offMm).toBeCloseTo(0)
})

test('on shorter rods all that rides stays where it is: 200 to 150 mm moves every clamp by 25 mm of its scale', () => {
  const tiny = boxed(20, 200, 0, [pairOf('short-pair', 150), pairOf('too-short', 100)])
  const [way] = named(tiny, 'rods-overlong')
  expect(way?.names).toEqual({ role: expect.any(String) as string, part: 'short-pair' })
  const slides = (way?.commands ?? []).flatMap((command) => (command.do === 'set' ? [command.slideMm] : []))
  const before = tiny.rig.setups[0]?.joints.find(({ host }) => host === 'pair')?.slideMm ?? NaN
  expect(slides).toEqual([before + 25])
})

test('an aim that says when it is reached keeps only what reaches it; one that does not keeps what can be done', () => {
  // The longest pair that is no longer used would end beyond the last clamp by more than there is to spare.
  expect(named(boxed(20, 200, 0, [pairOf('little-shorter', 190)]), 'rods-overlong')).toEqual([])
})

test('what a rule names is edits that can be done, one by one', () => {
  const tiny = wiredRig(
    [screen(), hdmiLead('hdmi', { lengthMm: 40 }), hdmiLead('longer')],
    [on('screen', 'foot', 'camera', 'hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  const ways = named(tiny, 'cable-short')
  expect(new Set(ways.map(({ names }) => names['part']))).toEqual(new Set(['longer']))
  for (const { commands } of ways) expect(edit(tiny.rig, commands, tiny.context.catalogue).ok).toBe(true)
})

test('a part that nothing takes is put on by way of something that makes its place', () => {
  const mic = (id: string) => tinyPart({ id, role: 'mic', mounts: [plug('foot', 'shoe-cold')] })
  const block = tinyPart({
    id: 'block',
    mounts: [plug('foot', 'thread-1/4'), socket('shoe', 'shoe-cold', [0, 20, 0])],
  })
  const tiny = tinyRig([mic('first'), mic('second')], [on('first', 'foot', 'camera', 'shoe')], { extra: [block] })
  const [way] = named(tiny, 'loose-part')
  expect([way?.text, way?.names['between']]).toEqual(['put on {part}, on {between} at {point}', 'block'])
})

test('what passes sound on is put on with its lead, and no relay is put on for the sake of another', () => {
  const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
  const unheard = [firstMark, secondMark, ...soundRigs].flatMap((rig) =>
    rig.setups.flatMap(({ id }) => findingsOfCheck(evaluate(rig, id, context).strict, 'no-cable')),
  )
  expect(unheard.length).toBeGreaterThan(0)
  for (const finding of unheard)
    for (const { commands } of namedWays(finding))
      // A relay, its lead, and what makes its place at most.
      expect(commands.filter((command) => command.do === 'add').length).toBeLessThanOrEqual(3)
})
