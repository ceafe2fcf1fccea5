import fc from 'fast-check'
import { demoParts } from '../demo/catalogue/index.ts'
import { demoLocker, demoRigs } from '../demo/scenario/index.ts'
import { type Command, edit, placeSetup, type Rig, type Setup, slideWay, travelOf } from './assembly/index.ts'
import { hangCure, hangOf, inHand, massOf } from './balance/index.ts'
import { catalogueOf, type Mount, type Part, type Room } from './catalogue/index.ts'
import { trialRuns, trialSeed } from './testing/trials.ts'
import { type Finding, findingsOf } from './checks/index.ts'
import { factsOf } from './facts/index.ts'
import { clashesOf, inShotOf, invasionsOf, plugRoomsAt } from './clearance/index.ts'
import { compose, flatMap, type Frame, type Shape, turnAbout, unit, type Vec3 } from './kernel/index.ts'

const catalogue = catalogueOf(demoParts)
const context = { catalogue, owned: new Map(Object.entries(demoLocker)) }
const cases = demoRigs.flatMap((rig) =>
  rig.setups.map((setup): [string, Rig, Setup] => [`${rig.id} ${setup.id}`, rig, setup]),
)

const far = fc.integer({ min: -500, max: 500 })
const anyMove: fc.Arbitrary<Frame> = fc
  .record({
    axis: fc.tuple(far, far, fc.integer({ min: 1, max: 500 })),
    deg: fc.integer({ min: -180, max: 180 }),
    by: fc.tuple(far, far, far),
  })
  .map(({ axis, deg, by }) =>
    compose({ x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: by }, turnAbout(unit(axis), deg, [0, 0, 0])),
  )

/** What geometry says, in an order that does not depend on rounding. */
const geometry = (assembly: ReturnType<typeof placeSetup>): Map<string, number> => {
  const said = new Map<string, number>()
  for (const { a, b, depthMm } of clashesOf(assembly)) said.set(`clash ${a.instance.id} ${b.instance.id}`, depthMm)
  for (const { piece, intoMm } of inShotOf(assembly)) said.set(`seen ${piece.instance.id}`, intoMm)
  for (const { piece, socket, freeMm } of flatMap(assembly.placed, (piece) => plugRoomsAt(piece, assembly)))
    said.set(`plug ${piece.instance.id} ${socket.id}`, freeMm)
  for (const piece of assembly.placed)
    for (const kind of ['swing', 'hand', 'door', 'lever', 'turn', 'view'] as const)
      for (const found of invasionsOf(assembly, piece, kind))
        said.set(`room ${kind} ${piece.instance.id} ${found.room.lost}`, found.depthMm)
  return said
}
/** Depths of round things are searched to a few hundredths of a millimetre. */
const SEARCHED_MM = 0.1

test.each(cases)('%s: moving and turning the whole rig changes nothing that geometry says', (_, rig, setup) => {
  const still = geometry(placeSetup(rig, setup, catalogue))
  expect(still.size).toBeGreaterThan(0)
  fc.assert(
    fc.property(anyMove, (move) => {
      const moved = geometry(placeSetup(rig, setup, catalogue, move))
      for (const [key, value] of still)
        if (value > 1) expect([key, Math.abs((moved.get(key) ?? 0) - value) < SEARCHED_MM]).toEqual([key, true])
      for (const [key, value] of moved) if (value > 1) expect([key, still.has(key)]).toEqual([key, true])
    }),
    { numRuns: 8 },
  )
})

const comparable = (findings: readonly Finding[]) =>
  findings
    .map(({ check, message, level, parts, numbers }) => ({
      key: `${check} ${message} ${level} ${[...parts].sort().join(' ')}`,
      numbers: Object.fromEntries(
        Object.entries(numbers).map(([name, value]) => [name, Math.round(Math.abs(value) * 20) / 20]),
      ),
    }))
    .sort((a, b) => (a.key < b.key ? -1 : 1))

test.each(cases)('%s: carried to another place it has the same findings', (_, rig, setup) => {
  const { frame } = placeSetup(rig, setup, catalogue).placed[0] as { frame: Frame }
  const at: Frame = { ...frame, at: [120, -340, 75] }
  const here = findingsOf(factsOf(placeSetup(rig, setup, catalogue), context))
  expect(comparable(findingsOf(factsOf(placeSetup(rig, setup, catalogue, at), context)))).toEqual(comparable(here))
})

const flip = ([x, y, z]: Vec3): Vec3 => [-x, y, z]
/** A turning axis seen in a mirror: the turn goes the other way round. */
const flipAxis = ([x, y, z]: Vec3): Vec3 => [x, -y, -z]
const flipShape = <S extends Shape>(shape: S): S =>
  shape.kind === 'box'
    ? {
        ...shape,
        centre: flip(shape.centre),
        ...(shape.axes ? { axes: [flipAxis(shape.axes[0]), flip(shape.axes[1])] } : {}),
      }
    : { ...shape, centre: flip(shape.centre), axis: flip(shape.axis) }
const flipRoom = (room: Room): Room => ({
  ...room,
  shape: flipShape(room.shape),
  ...(room.hinge ? { hinge: { ...room.hinge, at: flip(room.hinge.at), axis: flipAxis(room.hinge.axis) } } : {}),
})
const flipMount = (mount: Mount): Mount => ({
  ...mount,
  at: flip(mount.at),
  out: flip(mount.out),
  up: flip(mount.up),
  ...(mount.travel ? { travel: { ...mount.travel, along: flip(mount.travel.along) } } : {}),
})
const flipOptics = (optics: Part['optics']): Part['optics'] =>
  optics?.kind === 'screen' ? { ...optics, at: flip(optics.at), out: flip(optics.out), up: flip(optics.up) } : optics
const mirrored = (part: Part): Part => ({
  ...part,
  centre: flip(part.centre),
  solids: part.solids.map(flipShape),
  rooms: part.rooms.map(flipRoom),
  mounts: part.mounts.map(flipMount),
  grips: part.grips.map((grip) => ({ ...grip, at: flip(grip.at), ...(grip.axis ? { axis: flip(grip.axis) } : {}) })),
  ...(part.hinges
    ? { hinges: part.hinges.map((hinge) => ({ ...hinge, at: flip(hinge.at), axis: flipAxis(hinge.axis) })) }
    : {}),
  ...(part.sockets
    ? { sockets: part.sockets.map((socket) => ({ ...socket, at: flip(socket.at), out: flip(socket.out) })) }
    : {}),
  ...(part.optics ? { optics: flipOptics(part.optics) } : {}),
})

test.each(cases.filter(([, , { orientation, support }]) => orientation === 'level' && support !== 'shoulder'))(
  '%s: its mirror image has the same findings',
  (_, rig, setup) => {
    const other = catalogueOf(demoParts.map(mirrored))
    const turned = { ...setup, joints: setup.joints.map((joint) => ({ ...joint, turnDeg: -joint.turnDeg })) }
    const image = { ...rig, setups: rig.setups.map((own) => (own === setup ? turned : own)) }
    const seen = findingsOf(factsOf(placeSetup(image, turned, other), { ...context, catalogue: other }))
    expect(comparable(seen)).toEqual(comparable(findingsOf(factsOf(placeSetup(rig, setup, catalogue), context))))
  },
)

test.each(cases)('%s: the whole weighs what its pieces weigh, and taking off is never heavier', (_, rig, setup) => {
  const whole = placeSetup(rig, setup, catalogue)
  expect(massOf(whole).totalG).toBeCloseTo(
    whole.placed.reduce((sum, { part }) => sum + part.massG, 0),
    6,
  )
  for (const { guest } of setup.joints) {
    const off: Command = { do: 'take-off', setup: setup.id, instance: guest }
    const less = edit(rig, [off], catalogue)
    if (!less.ok) throw new Error(less.issues[0]?.code)
    const now = less.value.setups.find(({ id }) => id === setup.id)
    expect(now && massOf(placeSetup(less.value, now, catalogue)).totalG).toBeLessThan(massOf(whole).totalG)
  }
})

const hung = cases.filter(([, rig, setup]) => {
  const whole = placeSetup(rig, setup, catalogue)
  return (
    hangOf(whole, massOf(whole)) && whole.placed.some((piece) => inHand(piece) && travelOf(piece) && slideWay(piece))
  )
})

test('some set-up hangs from a handle and has something that slides', () => expect(hung.length).toBeGreaterThan(1))

test.each(hung)('%s: the slide that is proposed brings it as near to level as promised', (_, rig, setup) => {
  const sliding = placeSetup(rig, setup, catalogue).placed.filter(
    (piece) => inHand(piece) && travelOf(piece) && slideWay(piece),
  )
  let cured = 0
  fc.assert(
    fc.property(fc.constantFrom(...sliding), fc.double({ min: 0, max: 1, noNaN: true }), (piece, share) => {
      const travel = travelOf(piece)
      if (!travel) throw new Error('it slides')
      const slideMm = travel.minMm + Math.round((share * (travel.maxMm - travel.minMm)) / travel.stepMm) * travel.stepMm
      const slid = (from: Rig, instance: string, to: number) => {
        const edited = edit(from, [{ do: 'set', setup: setup.id, instance, slideMm: to }], catalogue)
        const own = edited.ok ? edited.value.setups.find(({ id }) => id === setup.id) : undefined
        if (!edited.ok || !own) throw new Error('a slide can be done')
        const assembly = placeSetup(edited.value, own, catalogue)
        return { rig: edited.value, assembly, mass: massOf(assembly), hang: hangOf(assembly, massOf(assembly)) }
      }
      const before = slid(rig, piece.instance.id, slideMm)
      const cure = before.hang && hangCure(before.assembly, before.mass, before.hang)
      if (!cure) return
      cured++
      expect(slid(before.rig, cure.piece.instance.id, cure.slideMm).hang?.tiltDeg).toBeCloseTo(cure.tiltDeg, 6)
    }),
    { numRuns: 40 },
  )
  expect(cured).toBeGreaterThan(0)
})

// What a rig is does not hang on the order in which it was put together, nor on what its pieces are called.

const reordered = (
  rig: Rig,
  setup: Setup,
  keys: readonly number[],
): { readonly rig: Rig; readonly setup: Setup; readonly back: Map<string, string> } => {
  let next = 0
  const key = () => keys[next++ % keys.length] ?? 0
  const shuffled = <T>(list: readonly T[]): T[] =>
    list
      .map((item) => ({ item, at: key() }))
      .sort((a, b) => a.at - b.at)
      .map(({ item }) => item)
  const names = new Map(rig.kit.map(({ id }, i) => [id, `p${(i * 37 + key()) % 9973}-${i}`]))
  const name = (id: string): string => names.get(id) ?? id
  const joint = (one: Setup['joints'][number]) => ({ ...one, guest: name(one.guest), host: name(one.host) })
  const end = (one: Setup['links'][number]['from']) => ({ ...one, instance: name(one.instance) })
  const moved: Setup = {
    ...setup,
    root: name(setup.root),
    joints: shuffled(setup.joints.map(joint)),
    braces: shuffled(setup.braces.map(joint)),
    poses: shuffled(setup.poses.map((pose) => ({ ...pose, instance: name(pose.instance) }))),
    links: shuffled(
      setup.links.map((link) => ({
        cable: name(link.cable),
        from: end(link.from),
        to: end(link.to),
        through: link.through.map(name),
      })),
    ),
  }
  const kit = shuffled(rig.kit.map((piece) => ({ ...piece, id: name(piece.id) })))
  return {
    rig: { ...rig, kit, setups: [moved] },
    setup: moved,
    back: new Map([...names].map(([old, now]) => [now, old])),
  }
}
/** Two pieces of one part are the same to everyone but their ids. */
const byPart = (rig: Rig, back: ReadonlyMap<string, string>) => (id: string) =>
  rig.kit.find((piece) => piece.id === (back.get(id) ?? id))?.partId ?? id

const figuresOf = (numbers: Finding['numbers']) =>
  Object.entries(numbers).map(([key, value]) => [key, value.toPrecision(6)])
/** Where a rule speaks several times of one pair of pieces, `room` keeps its findings apart by ids. */
const wordsOf = ({ room: _, ...names }: Finding['names']) => names

test.each(cases)(
  '%s: in another order and with other names it has the same findings and figures',
  (_, whole, setup) => {
    const rig: Rig = { ...whole, setups: [setup] }
    const said = (of: Rig, held: Setup, back: ReadonlyMap<string, string>) => {
      const facts = factsOf(placeSetup(of, held, catalogue), context)
      const name = byPart(rig, back)
      return {
        findings: findingsOf(facts)
          .map(({ check, message, level, parts, numbers, names }) =>
            JSON.stringify([check, message, level, parts.map(name).sort(), figuresOf(numbers), wordsOf(names)]),
          )
          .sort(),
        figures: [
          facts.mass.inHandG,
          ...facts.mass.centre,
          facts.cost.usual,
          facts.cost.high,
          facts.day.failsAtMin,
          facts.day.swaps,
          facts.chance.within ?? -1,
        ].map((value) => value.toPrecision(9)),
        loads: [...facts.loads]
          .map(([id, load]) => `${name(id)} ${load.massG.toPrecision(6)} ${load.twistNm.toFixed(6)}`)
          .sort(),
      }
    }
    const plain = said(rig, setup, new Map())
    fc.assert(
      fc.property(fc.array(fc.nat(9999), { minLength: 60, maxLength: 90 }), (keys) => {
        const other = reordered(rig, setup, keys)
        expect(said(other.rig, other.setup, other.back)).toEqual(plain)
      }),
      { numRuns: trialRuns(4), seed: trialSeed, endOnFailure: true, includeErrorInReport: true },
    )
  },
)
