import type { Cases } from '../checks/tester.ts'
import { type Assembly, placeSetup } from '../assembly/index.ts'
import type { Part, Room } from '../catalogue/index.ts'
import type { Vec3 } from '../kernel/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig, type TinyRig } from './index.ts'

export const placed = ({ rig, context }: TinyRig): Assembly => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, context.catalogue)
}

export const foot = plug('foot', 'thread-1/4')

export const block = (id: string, centre: Vec3, size: Vec3 = [20, 20, 20], matter: 'body' | 'soft' = 'body'): Part =>
  tinyPart({ id, centre, solids: [{ kind: 'box', centre, size, matter }], mounts: [foot] })

/**
 * A cube on the middle hole with a 20 mm room over it, and a block beside whose near side stands `gapMm` from that
 * room.
 */
export const beside = (kind: Room['kind'], gapMm: number, cold: boolean, matter: 'body' | 'soft' = 'body') => {
  const room: Room = { kind, shape: { kind: 'box', centre: [0, 30, 0], size: [20, 20, 20] }, lost: 'it stays shut' }
  const deck = tinyPart({ id: 'deck', rooms: [room], mounts: [foot] })
  return tinyRig(
    [deck, block('brick', [gapMm - 5, 30, 0], [20, 20, 20], matter)],
    [on('deck', 'foot', 'camera', 'hole'), on('brick', 'foot', 'camera', 'pinned')],
    { brief: { conditions: cold ? ['cold'] : [] } },
  )
}

/** A 20 mm cube with a picture on its back, facing `out`. */
export const screen = (
  wideMm: number,
  tallMm: number,
  out: Vec3 = [0, 0, 1],
  at: Vec3 = [0, 30, 10],
  up: Vec3 = [0, 1, 0],
) =>
  tinyPart({
    id: 'screen',
    role: 'monitor',
    mounts: [foot],
    optics: { kind: 'screen', at, out, up, wideMm, tallMm, nits: 1000 },
  })

export const watching = (part: Part, more: Part[] = [], setup: object = { support: 'two-hand' }) =>
  tinyRig(
    [part, ...more],
    [on('screen', 'foot', 'camera', 'hole'), ...more.map(({ id }) => on(id, 'foot', 'camera', 'pinned'))],
    { setup },
  )

export const turned = (byDeg: number): Vec3 => {
  const angle = Math.atan2(20, 410) - (byDeg * Math.PI) / 180
  return [0, Math.sin(angle), Math.cos(angle)]
}

export const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'nato', { lengthMm: 20 })] })

export const wide = (wideMm: number) => tinyRig([cube], [on('cube', 'foot', 'camera', 'rail')], { brief: { wideMm } })

// The upper side of the view leans by 24 : 36; the cube reaches 10 down and 10 ahead.
export const intoMm = (upMm: number) => (-upMm + (70 * 2) / 3 + 10 + (10 * 2) / 3) / Math.sqrt(1 + 4 / 9)

// The camera is 100 x 80 x 60 mm; a bag loses 24 mm to its lining.
export const bag = (longMm: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'bag',
        role: 'case',
        solids: [{ kind: 'box', centre: [0, 50, 0], size: [longMm, 150, 110], matter: 'soft' }],
      }),
    ],
    [],
  )

/** A camera with an HDMI socket low on its back, and a block `gapMm` behind it. */
export const ported = {
  ...tinyCamera,
  sockets: [
    {
      id: 'hdmi',
      connector: 'hdmi-a' as const,
      direction: 'out' as const,
      at: [0, -20, 30] as const,
      out: [0, 0, 1] as const,
    },
  ],
}

export const behind = (gapMm: number) =>
  tinyRig([block('brick', [0, -60, 40 + gapMm])], [on('brick', 'foot', 'camera', 'hole')], { extra: [ported] })

/** The cases of a rule about one kind of room: 3 mm inside, touching, and something soft inside. */
export const roomCases = (kind: Parameters<typeof beside>[0]): Cases => ({
  speaks: [
    {
      name: '3 mm inside',
      message: 'blocked',
      numbers: { intoMm: 3 },
      parts: ['brick', 'deck'],
      ...beside(kind, -3, false),
    },
  ],
  silent: [
    { name: 'touching', message: 'free', numbers: { intoMm: 0 }, ...beside(kind, 0, false) },
    { name: 'something soft inside', message: 'free', ...beside(kind, -3, false, 'soft') },
  ],
})
