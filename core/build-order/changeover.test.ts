import fc from 'fast-check'
import { emptySetup, edit, type Joint, placeSetup, ridesOn, type Setup } from '../assembly/index.ts'
import { catalogueOf, type Role } from '../catalogue/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { firstMark, secondMark } from '../../demo/scenario/index.ts'
import { soundRigs } from '../../demo/sound/index.ts'
import { syntheticRig } from '../../demo/synthetic/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { hdmiLead, link, mic, micLead, screen, tank, tapLead, wiredRig } from '../testing/wired.ts'
import { changeoverOf, pathsOf, SCRAPE_MM, scrapes } from './index.ts'

const catalogue = catalogueOf(demoParts)
const cube = (id: string) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
const pinned = tinyPart({ id: 'pinned', mounts: [plug('foot', 'thread-1/4-pin')] })
const parts = [cube('a'), cube('b'), pinned]

const between = (from: readonly Joint[], to: readonly Joint[]) => {
  const tiny = tinyRig(parts, from)
  const other: Setup = { ...(tiny.rig.setups[0] as Setup), id: 'other', joints: to }
  return changeoverOf(
    placeSetup(tiny.rig, tiny.rig.setups[0] as Setup, tiny.context.catalogue),
    placeSetup(tiny.rig, other, tiny.context.catalogue),
  )
}
const a = on('a', 'foot', 'camera', 'hole')
const b = on('b', 'foot', 'a', 'top')

test('the same set-up takes nothing', () => {
  expect(between([a, b], [a, b])).toEqual({ steps: [], seconds: 0, tools: [] })
})

test('what sits on a piece that goes, and goes too, stays on it: one screw, 25 s with a coin', () => {
  const { steps, seconds, tools } = between([a, b], [])
  expect(steps.map(({ do: what, instance, with: riders }) => [what, instance, riders])).toEqual([['undo', 'a', ['b']]])
  expect([seconds, tools]).toEqual([25, ['coin']])
  // Only the outer one goes: then the inner one is left alone.
  expect(between([a, b], [a]).steps.map(({ instance }) => instance)).toEqual(['b'])
})

test('put on: what was put aside as one comes back as one; a pinned foot wants a hex key and 40 s', () => {
  const { steps, seconds, tools } = between([], [a, b, on('pinned', 'foot', 'camera', 'pinned')])
  expect(steps.map(({ instance }) => instance)).toEqual(['a', 'pinned'])
  expect([seconds, tools]).toEqual([65, ['4 mm key', 'coin']])
})

test('a moved piece is undone and done; a turned one only set', () => {
  expect(between([a], [on('a', 'foot', 'camera', 'pinned')]).seconds).toBe(50)
  expect(between([a], [{ ...a, turnDeg: 90 }]).steps.map(({ do: what, seconds }) => [what, seconds])).toEqual([
    ['slide', 4],
  ])
})

test('going there takes as long as coming back', () => {
  const set = fc.subarray([a, on('b', 'foot', 'camera', 'pinned'), on('pinned', 'foot', 'camera', 'pinned')])
  fc.assert(fc.property(set, set, (from, to) => between(from, to).seconds === between(to, from).seconds))
})

test('done to the one set-up it gives the other, between any two set-ups of the demo and of the sound rigs', () => {
  for (const rig of [firstMark, secondMark, ...soundRigs])
    for (const from of rig.setups)
      for (const to of rig.setups) {
        const { steps } = changeoverOf(placeSetup(rig, from, catalogue), placeSetup(rig, to, catalogue))
        const done = edit(
          rig,
          steps.flatMap(({ commands }) => commands),
          catalogue,
        )
        if (!done.ok) throw new Error(`${rig.id} ${from.id} ${to.id}: ${done.issues[0]?.code}`)
        const now = done.value.setups.find(({ id }) => id === from.id)
        if (!now) throw new Error(from.id)
        const plain = (setup: Setup) => {
          const { joints, braces, links, poses, off = [] } = placeSetup(rig, setup, catalogue).setup
          const stands = poses.filter(({ instance, hinge, position }) => {
            const partId = rig.kit.find(({ id }) => id === instance)?.partId ?? ''
            const first = catalogue.parts.get(partId)?.hinges?.find(({ id }) => id === hinge)?.positions[0]?.id
            return position !== first
          })
          return { joints, braces, links, poses: stands, off }
        }
        expect([rig.id, from.id, to.id, plain(now)]).toEqual([rig.id, from.id, to.id, plain(to)])
      }
})

test('leads come out first and go in last, 8 s each; one that stays between its sockets is left alone', () => {
  const tiny = wiredRig(
    [screen(), hdmiLead(), hdmiLead('more')],
    [on('screen', 'foot', 'camera', 'hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const place = (links: Setup['links'], joints = setup.joints) =>
    placeSetup(tiny.rig, { ...setup, links, joints }, tiny.context.catalogue)
  expect(changeoverOf(place(setup.links), place(setup.links)).seconds).toBe(0)
  const bare = changeoverOf(place(setup.links), place([], []))
  expect(bare.steps.map(({ do: what, instance }) => `${what} ${instance}`)).toEqual(['unplug hdmi', 'undo screen'])
  expect(bare.seconds).toBe(8 + 25)
  const other = changeoverOf(place(setup.links), place([link('more', 'camera/hdmi', 'screen/in')]))
  expect(other.steps.map(({ do: what, name }) => `${what} ${name}`)).toEqual(['unplug hdmi', 'plug in more'])
})

test('a hinge that is swung is a step of its own, 3 s by hand; a second hold is loosened before and made after', () => {
  const tilt = tinyPart({
    id: 'tilt',
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
    hinges: [
      {
        id: 'tilt',
        label: 'tilts',
        at: [0, 10, 0],
        axis: [1, 0, 0],
        solids: [0],
        mounts: ['top'],
        positions: [
          { id: 'up', label: 'up', deg: 0 },
          { id: 'back', label: 'back', deg: 30 },
        ],
      },
    ],
  })
  const tiny = tinyRig([tilt, cube('a')], [on('tilt', 'foot', 'camera', 'hole')])
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const place = (more: Partial<Setup>) => placeSetup(tiny.rig, { ...setup, ...more }, tiny.context.catalogue)
  const swung = changeoverOf(place({}), place({ poses: [{ instance: 'tilt', hinge: 'tilt', position: 'back' }] }))
  expect(swung.steps.map(({ do: what, instance, seconds }) => [what, instance, seconds])).toEqual([['pose', 'tilt', 3]])
  const joints = [...setup.joints, on('a', 'foot', 'camera', 'pinned')]
  const braces = [on('a', 'foot', 'tilt', 'top')]
  const made = changeoverOf(place({ joints }), place({ joints, braces }))
  expect(made.steps.map(({ do: what, seconds }) => [what, seconds])).toEqual([['brace', 25]])
  const off = changeoverOf(place({ joints, braces }), place({}))
  expect(off.steps.map(({ do: what }) => what)).toEqual(['unbrace', 'undo'])
})

test('a set-up that comes onto a stand is balanced there, one that stays on its kind is not; turning upright takes its seconds', () => {
  const tiny = tinyRig([], [])
  const at = (support: 'hand-low' | 'tripod' | 'gimbal', orientation: 'level' | 'upright' = 'level') =>
    placeSetup(tiny.rig, { ...emptySetup, support, orientation }, tiny.context.catalogue)
  const seconds = (from: Parameters<typeof at>, to: Parameters<typeof at>) => {
    const { steps } = changeoverOf(at(...from), at(...to))
    return steps.map((step) => [step.do, step.seconds])
  }
  expect(seconds(['hand-low'], ['gimbal'])).toEqual([['balance', 150]])
  expect(seconds(['gimbal'], ['tripod'])).toEqual([['balance', 25]])
  expect(seconds(['gimbal'], ['gimbal'])).toEqual([])
  expect(seconds(['tripod'], ['hand-low'])).toEqual([])
  expect(seconds(['hand-low'], ['hand-low', 'upright'])).toEqual([['turn', 6]])
})

test('what comes off on the way to another set-up passes nothing that still stands, in the demo and the sound rigs', () => {
  const rigs = [firstMark, secondMark, ...soundRigs].map((rig) =>
    rig.setups.map((setup) => placeSetup(rig, setup, catalogue)),
  )
  for (const setups of rigs)
    for (const from of setups)
      for (const to of setups) {
        const standing = new Set(from.placed)
        for (const { do: what, instance } of changeoverOf(from, to).steps) {
          const piece = from.byInstance.get(instance)
          if (what !== 'undo' || !piece || !standing.has(piece)) continue
          const unit = [...standing].filter((other) => ridesOn(other, piece))
          for (const one of unit) standing.delete(one)
          const isRound = piece.mate?.ok === true && piece.mate.value.standard.closesRound === true
          const rest = [...standing].filter((other) => !(isRound && other === piece.host))
          const clear = pathsOf(piece).some((path) =>
            unit.every((one) => rest.every((other) => scrapes(one, other, path) <= SCRAPE_MM)),
          )
          expect([from.rig.id, from.setup.id, to.setup.id, instance, clear]).toEqual([
            from.rig.id,
            from.setup.id,
            to.setup.id,
            instance,
            true,
          ])
        }
      }
})

test('what goes along off the rig is stowed, taken out and put away, with what sits on it and the leads in it', () => {
  const tiny = tinyRig(parts, [a, b])
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const off = (at: 'pocket' | 'bag') => ({ off: [{ instance: 'a', at }] })
  const forms: readonly Setup[] = [
    { ...setup, id: 'on' },
    { ...setup, id: 'pocket', joints: [b], ...off('pocket') },
    { ...setup, id: 'bag', joints: [b], ...off('bag') },
    { ...setup, id: 'bare', joints: [] },
    { ...setup, id: 'parted', joints: [on('b', 'foot', 'camera', 'hole')], ...off('pocket') },
  ]
  const rig = { ...tiny.rig, setups: forms }
  const { catalogue: known } = tiny.context
  for (const from of forms)
    for (const to of forms) {
      const { steps } = changeoverOf(placeSetup(rig, from, known), placeSetup(rig, to, known))
      const done = edit(
        rig,
        steps.flatMap(({ commands }) => commands),
        known,
      )
      if (!done.ok) throw new Error(`${from.id} ${to.id}: ${done.issues[0]?.code}`)
      const now = done.value.setups.find(({ id }) => id === from.id)
      const stands = (one: Setup | undefined) => {
        const { joints, off: beside = [] } = one ? placeSetup(rig, one, known).setup : emptySetup
        return { joints, beside }
      }
      expect([from.id, to.id, stands(now)]).toEqual([from.id, to.id, stands(to)])
    }
  const told = (from: number, to: number) => {
    const [one, other] = [forms[from], forms[to]]
    if (!one || !other) throw new Error('two forms')
    const { steps } = changeoverOf(placeSetup(rig, one, known), placeSetup(rig, other, known))
    return steps.map((step) => [step.do, step.instance, step.with, step.seconds])
  }
  // Off by its screw, 25 s, and into the pocket with what sits on it; from pocket to bag by hand.
  expect(told(0, 1)).toEqual([['stow', 'a', ['b'], 25]])
  expect(told(1, 2)).toEqual([['stow', 'a', [], 3]])
  expect(told(2, 3).map(([what, which]) => [what, which])).toEqual([
    ['undo', 'b'],
    ['put away', 'a'],
  ])
})

test('power goes in first and the picture last; out they come the other way round', () => {
  const tiny = wiredRig(
    [screen(), hdmiLead(), tank(), tapLead(), mic(), micLead()],
    [on('screen', 'foot', 'camera', 'hole')],
    [],
  )
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  // Told in the order in which they would be wrong: picture, sound, power.
  const links = [
    link('hdmi', 'camera/hdmi', 'screen/in'),
    link('jack', 'mic/out', 'camera/mic'),
    link('tap', 'tank/tap', 'camera/dc'),
  ]
  const place = (some: Setup['links']) => placeSetup(tiny.rig, { ...setup, links: some }, tiny.context.catalogue)
  const told = (from: Setup['links'], to: Setup['links']) =>
    changeoverOf(place(from), place(to)).steps.map(({ do: what, instance }) => `${what} ${instance}`)
  expect(told([], links)).toEqual(['plug in tap', 'plug in jack', 'plug in hdmi'])
  expect(told(links, [])).toEqual(['unplug hdmi', 'unplug jack', 'unplug tap'])
})

test('a lead that stays plugged and is laid otherwise is laid, and held, as the other set-up has it', () => {
  const clamp = tinyPart({ id: 'clamp', mounts: [plug('foot', 'thread-1/4')], holdsCable: { at: [0, 20, 0] } })
  const tiny = wiredRig(
    [screen(), hdmiLead(), clamp],
    [on('screen', 'foot', 'camera', 'hole'), on('clamp', 'foot', 'camera', 'pinned')],
    [link('hdmi', 'camera/hdmi', 'screen/in', 'clamp')],
  )
  const [held] = tiny.rig.setups
  if (!held) throw new Error('a set-up')
  const free = { ...held, id: 'free', links: [link('hdmi', 'camera/hdmi', 'screen/in')] }
  const rig = { ...tiny.rig, setups: [held, free] }
  const place = (setup: Setup) => placeSetup(rig, setup, tiny.context.catalogue)
  for (const [from, to] of [
    [held, free],
    [free, held],
  ] as const) {
    const { steps } = changeoverOf(place(from), place(to))
    expect(steps.map(({ do: what, instance, seconds }) => [what, instance, seconds])).toEqual([['lay', 'hdmi', 3]])
    const done = edit(
      rig,
      steps.flatMap(({ commands }) => commands),
      tiny.context.catalogue,
    )
    expect(done.ok && done.value.setups.find(({ id }) => id === from.id)?.links).toEqual(to.links)
  }
})

test('with orders that makers state at random, any change between forms of random rigs ends as it should', () => {
  let seed = trialSeed
  const random = () => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648
  const roles: readonly Role[] = ['hood', 'top-handle', 'monitor', 'arm', 'cage', 'plate', 'rods', 'riser', 'battery']
  const some = <T>(list: readonly T[], share: number): readonly T[] => list.filter(() => random() < share)
  for (let i = 0; i < Math.min(200, trialRuns(10)); i++) {
    const stated = demoParts.map((part) =>
      random() < 0.4
        ? {
            ...part,
            order: { joinedBefore: some(part.mounts, 0.3).map(({ id }) => id), offFirst: some(roles, 0.1) },
          }
        : part,
    )
    const known = catalogueOf(stated)
    const rig = syntheticRig(4 + (i % 12), trialSeed + i, known, 'calabash-h1')
    const [main] = rig.setups
    if (!main) throw new Error('a set-up')
    const forms = [main, 1, 2].map((one): Setup => {
      if (typeof one === 'object') return one
      const gone = new Set(some(main.joints, 0.3).map(({ guest }) => guest))
      for (const { guest, host } of placeSetup(rig, main, known).setup.joints) if (gone.has(host)) gone.add(guest)
      const stays = (id: string) => !gone.has(id)
      return {
        ...main,
        id: `form-${one}`,
        joints: main.joints.filter(({ guest, host }) => stays(guest) && stays(host)),
        braces: main.braces.filter(({ guest, host }) => stays(guest) && stays(host)),
        links: main.links.filter(({ from, to }) => stays(from.instance) && stays(to.instance)),
        poses: main.poses.filter(({ instance }) => stays(instance)),
      }
    })
    const all = { ...rig, setups: forms }
    for (const from of forms)
      for (const to of forms) {
        const { steps } = changeoverOf(placeSetup(all, from, known), placeSetup(all, to, known))
        const done = edit(
          all,
          steps.flatMap(({ commands }) => commands),
          known,
        )
        const now = done.ok ? done.value.setups.find(({ id }) => id === from.id) : undefined
        const plain = (setup: Setup | undefined) => {
          const { joints, braces, links } = setup ? placeSetup(all, setup, known).setup : emptySetup
          return { joints, braces, links }
        }
        expect([i, from.id, to.id, plain(now)]).toEqual([i, from.id, to.id, plain(to)])
      }
  }
})
