import { type Joint, placeSetup, setupOf } from '../assembly/index.ts'
import { catalogueOf, type Part } from '../catalogue/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { soundRigs } from '@zucchini/demo/sound'
import type { Vec3 } from '../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import { suitsRole } from './suits.ts'

const catalogue = catalogueOf(demoParts)

test('on every sound rig each piece sits where its role works', () => {
  const wrong = soundRigs.flatMap((rig) =>
    rig.setups.flatMap((setup) => {
      const assembly = placeSetup(rig, setup, catalogue)
      return assembly.placed.flatMap((piece) =>
        suitsRole(assembly, piece) ? [] : [`${rig.id} ${setup.id} ${piece.instance.id}`],
      )
    }),
  )
  expect(wrong).toEqual([])
})

const hole = (id: string, at: Vec3, out: Vec3, up: Vec3) => socket(id, 'thread-1/4', at, out, { up })
/** The camera with a hole in its top, its base, its left and its front. */
const camera: Part = {
  ...tinyCamera,
  mounts: [
    hole('top', [0, 40, 0], [0, 1, 0], [0, 0, -1]),
    hole('base', [0, -40, 0], [0, -1, 0], [0, 0, -1]),
    hole('left', [-50, 0, 0], [-1, 0, 0], [0, 1, 0]),
    hole('front', [0, 0, -30], [0, 0, -1], [0, 1, 0]),
  ],
}
const suits = (part: Part, hostMount: string, more: Partial<Joint> = {}): boolean => {
  const { rig } = tinyRig([part], [on(part.id, 'foot', 'camera', hostMount, more)])
  const setup = setupOf(rig, 'main')
  if (!setup) throw new Error('main')
  const assembly = placeSetup(rig, setup, catalogueOf([camera, part]))
  const piece = assembly.byInstance.get(part.id)
  if (!piece) throw new Error(part.id)
  return suitsRole(assembly, piece)
}

const foot = plug('foot', 'thread-1/4')
const handle = tinyPart({
  id: 'handle',
  role: 'top-handle',
  mounts: [foot],
  grips: [{ kind: 'top', at: [0, 40, 0], axis: [0, 0, -1] }],
})
const grip = tinyPart({
  id: 'grip',
  role: 'side-handle',
  mounts: [foot],
  grips: [{ kind: 'side', at: [0, 10, 0], axis: [1, 0, 0] }],
})

test('a top handle works above the camera, along it or across; under it or beside it, it does not', () => {
  expect(suits(handle, 'top')).toBe(true)
  expect(suits(handle, 'top', { turnDeg: 90 })).toBe(true)
  expect(suits(handle, 'base')).toBe(false)
  expect(suits(handle, 'left')).toBe(false)
  expect(suits(handle, 'front')).toBe(false)
})

test('a side grip never points along the lens', () => {
  // On the left face its own up is the camera's left, and its bar lies across: up or along, as it is turned.
  const ways = [0, 90, 180, -90].map((turnDeg) => suits(grip, 'left', { turnDeg }))
  expect(ways.filter(Boolean)).toHaveLength(2)
})

test('a plate goes under, nowhere else', () => {
  const plate = tinyPart({ id: 'plate', role: 'plate', mounts: [foot] })
  expect(suits(plate, 'base')).toBe(true)
  expect(suits(plate, 'top')).toBe(false)
  expect(suits(plate, 'left')).toBe(false)
})

test('a screen is where it can be read, a microphone looks at what is filmed', () => {
  const screen = tinyPart({
    id: 'screen',
    role: 'monitor',
    mounts: [foot],
    optics: { kind: 'screen', at: [0, 10, 10], out: [0, 0, 1], up: [0, 1, 0], wideMm: 100, tallMm: 60, nits: 500 },
  })
  expect(suits(screen, 'top')).toBe(true)
  expect(suits(screen, 'top', { turnDeg: 180 })).toBe(false)
  const mic = tinyPart({ id: 'mic', role: 'mic', mounts: [foot] })
  expect(suits(mic, 'top')).toBe(true)
  expect(suits(mic, 'top', { turnDeg: 180 })).toBe(false)
  expect(suits(mic, 'top', { turnDeg: 90 })).toBe(false)
})

test('what has no place of its own works wherever it fits', () => {
  const box = tinyPart({ id: 'box', role: 'receiver', mounts: [foot] })
  expect(['top', 'base', 'left', 'front'].every((mount) => suits(box, mount))).toBe(true)
})
