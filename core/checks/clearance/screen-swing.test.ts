import type { Room } from '../../catalogue/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { screenSwing } from './screen-swing.ts'
import { testCheck } from '../tester.ts'

/** A camera whose 40 mm screen, hinged at its left rear edge, swings out in steps of 30 degrees. */
const swing: Room = {
  kind: 'swing',
  shape: { kind: 'box', centre: [-30, 0, 32], size: [40, 40, 4] },
  hinge: { at: [-50, 0, 32], axis: [0, -1, 0], fromDeg: 30, toDeg: 180, stepDeg: 30 },
  lost: 'the screen can not swing out',
}

/** The hinge that carries the screen out. */
const hinge = {
  id: 'screen',
  label: 'screen',
  at: [-50, 0, 32] as const,
  axis: [0, -1, 0] as const,
  positions: [
    { id: 'in', label: 'in', deg: 0 },
    { id: 'out', label: 'out', deg: 180 },
  ],
  solids: [],
  mounts: [],
}

const withScreen = (
  parts: Parameters<typeof tinyRig>[0],
  joints: Parameters<typeof tinyRig>[1],
  position: 'in' | 'out' = 'in',
) => {
  const poses = [{ instance: 'camera', hinge: 'screen', position }]
  const tiny = tinyRig(parts, joints, { extra: [], setup: { poses } })
  const camera = {
    ...tinyCamera,
    rooms: [swing],
    hinges: [hinge],
    mounts: [
      ...tinyCamera.mounts,
      socket('back', 'nato', [-50, 0, 23], [-1, 0, 0], {
        lengthMm: 60,
        travel: { along: [0, 1, 0], minMm: -60, maxMm: 60, stepMm: 5 },
      }),
    ],
  }
  const catalogue = tiny.context.catalogue
  return {
    ...tiny,
    context: {
      ...tiny.context,
      catalogue: { ...catalogue, parts: new Map([...catalogue.parts, [camera.id, camera]]) },
    },
  }
}

const brick = tinyPart({
  id: 'brick',
  centre: [0, 30, 0],
  solids: [{ kind: 'box', centre: [0, 30, 0], size: [20, 20, 40], matter: 'body' }],
  mounts: [plug('foot', 'nato', { lengthMm: 20 })],
})

const cushion = tinyPart({
  ...brick,
  id: 'cushion',
  solids: [{ kind: 'box', centre: [0, 30, 0], size: [20, 20, 40], matter: 'soft' }],
})

testCheck(screenSwing, {
  speaks: [
    {
      name: 'a block beside the hinge stops the last part of the way; sliding it clears it',
      message: 'stopped',
      level: 'risk',
      numbers: { freeDeg: 150, fullDeg: 180, shortDeg: 30 },
      parts: ['brick', 'camera'],
      ...withScreen([brick], [on('brick', 'foot', 'camera', 'back')]),
    },
  ],
  silent: [
    { name: 'nothing there', message: 'opens', numbers: { shortDeg: 0 }, ...withScreen([], []) },
    {
      name: 'the block is there, and the screen was opened before it went on',
      message: 'open',
      ...withScreen([brick], [on('brick', 'foot', 'camera', 'back')], 'out'),
    },
    {
      name: 'only something soft there',
      message: 'opens',
      ...withScreen([cushion], [on('cushion', 'foot', 'camera', 'back')]),
    },
    {
      name: 'the block slid down past the screen',
      message: 'opens',
      ...withScreen([brick], [on('brick', 'foot', 'camera', 'back', { slideMm: 55 })]),
    },
  ],
})
