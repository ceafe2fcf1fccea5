import { edit, type Link, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { type Finding, findingsOf, kindOf, type Remedy } from '../checks/index.ts'
import { type Facts, factsOf } from '../facts/index.ts'
import { on, plug, socket, tinyPart, tinyRig, type TinyRig } from '../testing/index.ts'
import { hdmiLead, inBay, link, mic, micLead, pack, screen, wiredRig } from '../testing/wired.ts'
import { type MoveKind, movesOf, proposalsFor } from './index.ts'

const factsIn = ({ rig, context }: TinyRig): Facts => {
  const setup = setupOf(rig, 'main')
  if (!setup) throw new RangeError('main')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}
/** A finding about some pieces: what a kind of move proposes hangs on those and on its family alone. */
const about = (family: Finding['family'], ...parts: string[]): Finding => ({
  check: 'tried',
  family,
  key: '',
  message: '',
  group: 'speaks',
  level: 'risk',
  parts,
  text: '',
  why: '',
  numbers: {},
  names: {},
  measures: [],
})
const proposed = (tiny: TinyRig, kind: MoveKind, finding: Finding): readonly Remedy[] => [
  ...movesOf(factsIn(tiny), finding, kind),
]
const done = ({ rig, context }: TinyRig, { commands }: Remedy): Rig => {
  const edited = edit(rig, commands, context.catalogue)
  if (!edited.ok) throw new Error(JSON.stringify(edited.issues))
  return edited.value
}

const cube = (id: string, more: Partial<Part> = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })
const clamp = tinyPart({
  id: 'clamp',
  mounts: [plug('foot', 'nato', { lengthMm: 20 }), socket('top', 'thread-1/4', [0, 20, 0])],
})

test('slides go either way, a little before a lot, no farther than the travel, and each place once', () => {
  const tiny = tinyRig(
    [clamp, cube('rider')],
    [on('clamp', 'foot', 'camera', 'rail'), on('rider', 'foot', 'clamp', 'top')],
  )
  const all = proposed(tiny, 'slide', about('clearance', 'rider'))
  const places = all.flatMap(({ commands }) => commands.flatMap((one) => (one.do === 'set' ? [one.slideMm ?? 0] : [])))
  // The rider sits still; its carrier is slid. The rail of the tiny camera runs from -20 to 20 mm by 1.
  expect(all.every(({ names }) => names['part'] === 'clamp')).toBe(true)
  expect(places.slice(0, 4)).toEqual([1, -1, 2, -2])
  expect([Math.min(...places), Math.max(...places)]).toEqual([-20, 20])
  expect(new Set(places).size).toBe(places.length)
})

test('turns keep to the detents of their joint: a rail clamp is turned round or not at all', () => {
  const round = proposed(tinyRig([clamp], [on('clamp', 'foot', 'camera', 'rail')]), 'turn', about('clearance', 'clamp'))
  const degrees = round.flatMap(({ commands }) => commands.flatMap((one) => (one.do === 'set' ? [one.turnDeg] : [])))
  expect(degrees).toEqual([-180])
  const screw = proposed(tinyRig([cube('a')], [on('a', 'foot', 'camera', 'hole')]), 'turn', about('clearance', 'a'))
  expect(screw.map(({ numbers }) => numbers['turnDeg']).slice(0, 4)).toEqual([90, -90, -180, 30])
})

test('a piece is moved to where it touches nothing and its role works, the nearest first', () => {
  const handle = tinyPart({
    id: 'handle',
    role: 'top-handle',
    mounts: [plug('foot', 'thread-1/4')],
    grips: [{ kind: 'top', at: [0, 60, 0], axis: [0, 0, -1] }],
  })
  const high = proposed(
    tinyRig([handle, cube('a')], [on('a', 'foot', 'camera', 'hole'), on('handle', 'foot', 'a', 'top')]),
    'move',
    about('fit', 'handle'),
  )
  // First without what is between, then on other points; the seat below is no place for it.
  expect(high[0]?.commands).toMatchObject([
    { do: 'place', joint: { guest: 'handle', host: 'camera', hostMount: 'hole' } },
    { do: 'take-off', instance: 'a' },
  ])
  for (const remedy of high.slice(1)) expect(remedy.commands).toMatchObject([{ do: 'place' }])
})

test('something goes between a piece and what it sits on, and the piece sits on that', () => {
  const spacer = cube('spacer', { role: 'adapter' })
  const tiny = tinyRig([cube('a', { role: 'receiver' })], [on('a', 'foot', 'camera', 'hole')], { extra: [spacer] })
  const [between] = proposed(tiny, 'insert', about('fit', 'a'))
  if (!between) throw new Error('the spacer goes between')
  expect(kindOf(between)).toBe('insert')
  expect(done(tiny, between).setups[0]?.joints.map(({ guest, host }) => `${guest} on ${host}`)).toEqual([
    'a on spacer',
    'spacer on camera',
  ])
})

test('a second hold is proposed where two open mounts already meet, and nowhere else', () => {
  const wide = tinyPart({
    id: 'wide',
    mounts: [plug('foot', 'thread-1/4'), { ...plug('second', 'thread-1/4-pin'), at: [25, 0, 0] }],
  })
  const meets = proposed(tinyRig([wide], [on('wide', 'foot', 'camera', 'hole')]), 'support', about('fit', 'wide'))
  expect(meets.map(({ commands }) => commands)).toMatchObject([
    [{ do: 'brace', joint: { guestMount: 'second', hostMount: 'pinned' } }],
  ])
  const short = {
    ...wide,
    mounts: wide.mounts.map((mount) => (mount.id === 'second' ? { ...mount, at: [18, 0, 0] as const } : mount)),
  }
  expect(proposed(tinyRig([short], [on('wide', 'foot', 'camera', 'hole')]), 'support', about('fit', 'wide'))).toEqual(
    [],
  )
})

test('swaps are of the same role, go where the piece sits, and do not change the job', () => {
  const filter = (id: string, maxStops: number, foot = 'thread-1/4') =>
    tinyPart({
      id,
      role: 'filter',
      mounts: [plug('foot', foot)],
      optics: { kind: 'filter', effect: 'nd', minStops: maxStops, maxStops, thickMm: 4 } as Part['optics'] & object,
    })
  const tiny = tinyRig([filter('nd-6', 6)], [on('nd-6', 'foot', 'camera', 'hole')], {
    extra: [filter('same', 6), filter('weaker', 3), filter('elsewhere', 6, 'thread-3/8'), cube('other-role')],
  })
  expect(proposed(tiny, 'swap', about('glass', 'nd-6')).map(({ names }) => names['part'])).toEqual(['same'])
})

test('leads are swapped for others between the same two sockets', () => {
  const tiny = wiredRig(
    [pack(), screen(), hdmiLead()],
    [inBay(), on('screen', 'foot', 'camera', 'hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
    { extra: [hdmiLead('longer', { lengthMm: 900 })] },
  )
  const all = proposed(tiny, 'lead', about('picture', 'hdmi'))
  expect(all.map(({ names }) => names['part'])).toContain('longer')
})

test('what rides on a piece comes off after the pieces that carry nothing', () => {
  const tiny = tinyRig([cube('a'), cube('b')], [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'a', 'top')])
  const all = proposed(tiny, 'leave-out', about('fit', 'a', 'b'))
  expect(all.map(({ names }) => names['part'])).toEqual(['b', 'a'])
})

test('nothing is proposed for a finding about no piece but for the whole rig’s balance, by its heaviest pieces', () => {
  const tiny = tinyRig(
    [cube('a', { massG: 300 }), clamp],
    [on('a', 'foot', 'camera', 'hole'), on('clamp', 'foot', 'camera', 'rail')],
  )
  expect(proposed(tiny, 'leave-out', about('fit'))).toEqual([])
  expect(proposed(tiny, 'leave-out', about('balance')).map(({ names }) => names['part'])).toEqual(['a', 'clamp'])
})

test('each family has kinds that make sense for it, and what takes away stands last', () => {
  const facts = factsIn(tinyRig([cube('a')], [on('a', 'foot', 'camera', 'hole')]))
  for (const family of ['fit', 'clearance', 'power', 'picture', 'sound', 'glass', 'balance', 'need'] as const) {
    const kinds = proposalsFor(facts, about(family, 'a')).map(({ kind }) => kind)
    expect([family, kinds.at(-1)]).toEqual([family, 'leave-out'])
  }
  expect(findingsOf(facts).every(({ family }) => proposalsFor(facts, about(family, 'a')).length > 0)).toBe(true)
})

test('a slide is led to where it has to go: as far as it presses in, and no step of the way is lost on little ones', () => {
  // A cube of 20 mm on a clamp at 0 and a post that stands before it: they share 7 mm along the rail.
  const post = tinyPart({
    id: 'post',
    mounts: [plug('foot', 'thread-1/4')],
    solids: [{ kind: 'box', centre: [-66, -30, -13], size: [28, 60, 20], matter: 'body' }],
  })
  const tiny = tinyRig([clamp, post], [on('clamp', 'foot', 'camera', 'rail'), on('post', 'foot', 'camera', 'hole')])
  const clash = findingsOf(factsIn(tiny)).find(({ check, parts }) => check === 'solid-clash' && parts.includes('clamp'))
  if (!clash) throw new Error('they clash')
  const { depthMm = 0 } = clash.numbers
  const [first, second] = proposed(tiny, 'slide', clash)
  const placeOf = (remedy: Remedy | undefined) =>
    remedy?.commands.flatMap((one) => (one.do === 'set' ? [one.slideMm ?? 0] : []))[0] ?? 0
  // By a millimetre of its scale more or less: the depth falls as it goes.
  expect(Math.abs(Math.abs(placeOf(first)) - depthMm)).toBeLessThanOrEqual(1)
  expect(placeOf(first) * placeOf(second)).toBeGreaterThan(0)
  if (!first) throw new Error('a slide')
  const left = findingsOf(factsIn({ ...tiny, rig: done(tiny, first) }))
  expect(left.some(({ check, parts }) => check === 'solid-clash' && parts.includes('clamp'))).toBe(false)
})

test('a lead in the wrong socket is tried in the others that it goes into, written from what gives to what takes', () => {
  const replugs = (couplers?: Link['couplers']) => {
    const jack = link('jack', 'mic/out', 'camera/phones')
    const tiny = wiredRig(
      [mic(), micLead()],
      [on('mic', 'foot', 'camera', 'shoe')],
      [couplers ? { ...jack, couplers } : jack],
    )
    const wrong = findingsOf(factsIn(tiny)).find(({ check }) => check === 'wrong-ends')
    if (!wrong) throw new Error('it is wrong')
    return proposed(tiny, 'lead', wrong)
      .filter(({ text }) => text.startsWith('plug {cable} into'))
      .flatMap(({ commands }) => commands)
  }
  const right = link('jack', 'mic/out', 'camera/mic')
  expect(replugs()).toEqual([{ do: 'link', setup: 'main', link: right }])
  // The saver at the end that stays stays; that of the socket it leaves is left there.
  expect(replugs({ from: 'saver' })).toEqual([
    { do: 'link', setup: 'main', link: { ...right, couplers: { from: 'saver' } } },
  ])
  expect(replugs({ to: 'saver' })).toEqual([{ do: 'link', setup: 'main', link: right }])
})
