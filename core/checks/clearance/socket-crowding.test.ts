import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { link } from '../../testing/wired.ts'
import { socketCrowding } from './socket-crowding.ts'
import { testCheck } from '../tester.ts'

/** Two HDMI sockets one above the other on the camera's back; their plugs are 11 mm tall. */
const twoPorts = (apartMm: number, used = true) => {
  const socketAt = (id: string, y: number) => ({
    id,
    connector: 'hdmi-a' as const,
    direction: 'out' as const,
    at: [0, y, 30] as const,
    out: [0, 0, 1] as const,
  })
  return tinyRig([], [], {
    extra: [{ ...tinyCamera, sockets: [socketAt('one', 0), socketAt('two', apartMm)] }],
    setup: { links: used ? [link('lead', 'camera/one', 'camera/two')] : [] },
  })
}

/**
 * A box on the camera's left rail. There its height points left, its front up and its right back: its socket stands 14
 * mm behind the camera's middle and 4 mm up, the camera's own 20 mm behind and level, so their 11 mm tall plugs share 7
 * mm of height.
 */
const besidePort = (slideMm: number) => {
  const port = {
    id: 'out',
    connector: 'hdmi-a' as const,
    direction: 'out' as const,
    at: [-50, 0, 20] as const,
    out: [-1, 0, 0] as const,
  }
  const box = tinyPart({
    id: 'box',
    mounts: [plug('foot', 'nato', { lengthMm: 12 })],
    sockets: [{ id: 'in', connector: 'hdmi-a', direction: 'in', at: [14, 8, -4], out: [0, 1, 0] }],
  })
  return tinyRig([box], [on('box', 'foot', 'camera', 'rail', { slideMm })], {
    extra: [{ ...tinyCamera, sockets: [port] }],
    setup: { links: [link('lead', 'camera/out', 'box/in')] },
  })
}

testCheck(socketCrowding, {
  speaks: [
    {
      name: '8 mm apart',
      message: 'crowded',
      level: 'hint',
      numbers: { overlapMm: 3 },
      parts: ['camera'],
      ...twoPorts(8),
    },
    {
      name: 'on two pieces, one of which slides out of the way',
      message: 'crowded',
      numbers: { overlapMm: 7 },
      parts: ['camera', 'box'],
      ...besidePort(0),
    },
  ],
  silent: [{ name: 'exactly a plug apart', message: 'apart', numbers: { overlapMm: 0 }, ...twoPorts(11) }],
})

test('sockets that stay empty crowd nobody', () => {
  const { rig, context } = twoPorts(8, false)
  const [setup] = rig.setups
  expect(setup && socketCrowding.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context))).toEqual([])
})
