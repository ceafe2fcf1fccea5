import type { Part } from '../catalogue/index.ts'
import { lengthOf, subtract, type Vec3 } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { type Command, edit, hingeDegrees, placeSetup, posedPart, soundnessIssues } from './index.ts'

const positions = [
  { id: 'rest', label: 'straight', deg: 0 },
  { id: 'quarter', label: 'a quarter', deg: 90 },
]
/** Two 20 mm links on end, hinged at the foot and between them about the operator's right. */
const arm: Part = tinyPart({
  id: 'arm',
  role: 'arm',
  solids: [
    { kind: 'box', centre: [0, 10, 0], size: [10, 20, 10], matter: 'body' },
    { kind: 'box', centre: [0, 30, 0], size: [10, 20, 10], matter: 'body' },
  ],
  mounts: [plug('foot', 'thread-1/4'), socket('tip', 'thread-1/4', [0, 40, 0])],
  hinges: [
    { id: 'low', label: 'foot joint', at: [0, 0, 0], axis: [1, 0, 0], solids: [0, 1], mounts: ['tip'], positions },
    { id: 'high', label: 'middle joint', at: [0, 20, 0], axis: [1, 0, 0], solids: [1], mounts: ['tip'], positions },
  ],
})
const light = tinyPart({ id: 'light', mounts: [plug('foot', 'thread-1/4')] })
const tiny = tinyRig([arm, light], [on('arm', 'foot', 'camera', 'hole'), on('light', 'foot', 'arm', 'tip')])
const near = (a: Vec3 | undefined, b: Vec3) => expect(lengthOf(subtract(a ?? [9e9, 0, 0], b))).toBeLessThan(1e-9)
const posedAs = (...commands: Command[]) => {
  const edited = edit(tiny.rig, commands, tiny.context.catalogue)
  if (!edited.ok) throw new Error(edited.issues[0]?.code)
  const [setup] = edited.value.setups
  if (!setup) throw new Error('a set-up')
  return { rig: edited.value, setup, placed: placeSetup(edited.value, setup, tiny.context.catalogue) }
}
const pose = (hinge: string, position: string): Command => ({
  do: 'pose',
  setup: 'main',
  instance: 'arm',
  hinge,
  position,
})

test('the mass goes along: both halves of a straight arm turned by its foot, one of them by its middle', () => {
  // Its centre half way up at 20 mm, each link half of it. The foot turns all to the front and back; the middle only
  // the upper half.
  const straight = { ...arm, centre: [0, 20, 0] as const }
  near(posedPart(straight, [90, 0]).centre, [0, 0, 20])
  near(posedPart(straight, [0, 90]).centre, [0, 15, 5])
})

test('a part at rest is the part itself, and a pose is worked out once', () => {
  expect(posedPart(arm, [0, 0])).toBe(arm)
  expect(posedPart(arm, [90, 0])).toBe(posedPart(arm, [90, 0]))
})

test('the upper joint takes the tip along: 20 mm up, 20 mm back', () => {
  const { placed } = posedAs(pose('high', 'quarter'))
  // A right-handed quarter turn about the operator's right brings up to back.
  near(placed.byInstance.get('light')?.frame.at, [0, 40 + 20, 20])
  near(placed.byInstance.get('arm')?.solids[0]?.shape.centre, [0, 50, 0])
  near(placed.byInstance.get('arm')?.solids[1]?.shape.centre, [0, 60, 10])
})

test('a socket that the hinge names goes along', () => {
  const socket = {
    id: 'port',
    connector: 'usb-c' as const,
    direction: 'in' as const,
    at: [0, 40, 0] as const,
    out: [0, 1, 0] as const,
  }
  const hinges = (arm.hinges ?? []).map((hinge) => ({ ...hinge, mounts: [...hinge.mounts, 'port'] }))
  const [moved] = posedPart({ ...arm, sockets: [socket], hinges }, [0, 90]).sockets ?? []
  near(moved?.at, [0, 20, 20])
  near(moved?.out, [0, 0, 1])
})

test('joints ride on each other: foot back, middle down again', () => {
  const { placed } = posedAs(pose('low', 'quarter'), pose('high', 'quarter'))
  near(placed.byInstance.get('light')?.frame.at, [0, 40 - 20, 20])
})

test('a pose is forgotten when the part is swapped, and one that is not there is refused', () => {
  const { rig, setup } = posedAs(pose('low', 'quarter'))
  expect(hingeDegrees(arm, 'arm', setup)).toEqual([90, 0])
  const swapped = edit(
    rig,
    [
      { do: 'take-off', setup: 'main', instance: 'light' },
      { do: 'swap', instance: 'arm', partId: 'light' },
    ],
    tiny.context.catalogue,
  )
  expect(swapped.ok && swapped.value.setups[0]?.poses).toEqual([])
  expect(edit(tiny.rig, [pose('low', 'upside-down')], tiny.context.catalogue)).toMatchObject({
    ok: false,
    issues: [{ code: 'pose-unknown' }],
  })
})

test('upright the camera lies on its left side: what was right is up, and all it carries turns with it', () => {
  const { placed } = posedAs({ do: 'change-setup', setup: 'main', orientation: 'upright' })
  expect(placed.placed[0]?.bounds).toEqual({ min: [-40, -50, -30], max: [40, 50, 30] })
  near(placed.byInstance.get('arm')?.frame.at, [-40, 0, 0])
})

test('a brace goes with the pieces it holds, and names pieces that are on the rig', () => {
  const stay = tinyPart({
    id: 'stay',
    mounts: [plug('foot', 'thread-1/4'), plug('hand', 'thread-1/4', { at: [25, 0, 0] })],
  })
  const { rig, context } = tinyRig([stay], [on('stay', 'foot', 'camera', 'hole')])
  const brace: Command = { do: 'brace', setup: 'main', joint: on('stay', 'hand', 'camera', 'pinned') }
  const braced = edit(rig, [brace, brace], context.catalogue)
  if (!braced.ok) throw new Error('braced')
  const [setup] = braced.value.setups
  expect(setup?.braces).toHaveLength(1)
  const [made] = setup ? placeSetup(braced.value, setup, context.catalogue).braces : []
  expect([made?.gapMm, made?.mate.ok]).toEqual([0, true])
  const off = edit(braced.value, [{ do: 'take-off', setup: 'main', instance: 'stay' }], context.catalogue)
  expect(off.ok && off.value.setups[0]?.braces).toEqual([])
  const undone = edit(
    braced.value,
    [{ do: 'unbrace', setup: 'main', guest: 'stay', host: 'camera' }],
    context.catalogue,
  )
  expect(undone.ok && undone.value).toEqual(rig)
  const loose = edit(rig, [{ do: 'take-off', setup: 'main', instance: 'stay' }, brace], context.catalogue)
  expect(loose).toMatchObject({ ok: false, issues: [{ code: 'brace-loose' }] })
  expect(
    soundnessIssues(
      { ...rig, setups: [{ ...(setup ?? rig.setups[0]), braces: [on('stay', 'nose', 'camera', 'pinned')] } as never] },
      context.catalogue,
    ),
  ).toMatchObject([{ code: 'mount-unknown' }])
})
