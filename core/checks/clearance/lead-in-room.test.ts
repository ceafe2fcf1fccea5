import { placeSetup } from '../../assembly/index.ts'
import type { Part, Room } from '../../catalogue/index.ts'
import { contextFor } from '../../context/index.ts'
import { factsOf } from '../../facts/index.ts'
import type { Vec3 } from '../../kernel/index.ts'
import type { TinyRig } from '../../testing/index.ts'
import { shown } from '../../testing/lead-rigs.ts'
import { hdmiLead, wiredCamera } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { leadInRoom } from './lead-in-room.ts'

// The picture lead leaves the camera at (-50, -25, 20) to the left: 24 mm of plug, 20 mm of bend; then it goes straight
// from (-94, -25, 20) to (0, 45, 54) behind the screen.
const boxed = (kind: Room['kind'], centre: Vec3, side: number): Room => ({
  kind,
  shape: { kind: 'box', centre, size: [side, side, side] },
  lost: 'it stays shut',
})
const wanting = (room: Room): Part => ({ ...wiredCamera, rooms: [room] })
const rig = (room: Room, lead = hdmiLead(), extra: readonly Part[] = []) => shown(lead, extra, {}, wanting(room))

/** A screen of 60 mm on the back that swings out to the left about an edge 40 mm left of the middle, 30 degrees a step. */
const swing: Room = {
  kind: 'swing',
  shape: { kind: 'box', centre: [-10, -25, 28], size: [60, 30, 4] },
  hinge: { at: [-40, 0, 28], axis: [0, -1, 0], fromDeg: 30, toDeg: 180, stepDeg: 30 },
  lost: 'the screen can not swing out',
}
/** Halfway between the two ends, where the cable runs; and 8 mm beside it, where only a coil would be. */
const onTheWay: Vec3 = [-47, 10, 37]
const beside: Vec3 = [-51.8, 16.4, 37]

const found = ({ rig: tiny, context }: TinyRig) => {
  const [setup] = tiny.setups
  if (!setup) throw new Error('a set-up')
  const around = contextFor(tiny, context)
  return leadInRoom.run(factsOf(placeSetup(tiny, setup, around.catalogue), around))
}

testCheck(leadInRoom, {
  speaks: [
    {
      name: 'a plug where the screen would end',
      message: 'swing',
      level: 'risk',
      numbers: { freeDeg: 150, fullDeg: 180 },
      parts: ['hdmi', 'camera', 'screen'],
      ...rig(swing),
    },
    {
      // The plug is 11 mm tall, the room 10 mm high in its middle: 10.5 mm to either side.
      name: 'a plug before a door',
      message: 'plug',
      level: 'risk',
      numbers: { intoMm: 10.5 },
      ...rig(boxed('door', [-60, -25, 20], 10)),
    },
    { name: 'the cable where fingers go', message: 'cable', level: 'hint', ...rig(boxed('hand', onTheWay, 20)) },
    {
      name: 'what is coiled up of it; a shorter one has no coil',
      message: 'coil',
      level: 'hint',
      remedies: 1,
      ...rig(boxed('lever', beside, 4), hdmiLead('hdmi', { lengthMm: 600 }), [hdmiLead('short')]),
    },
  ],
  silent: [],
})

test.each([
  ['the door a plug’s height lower', rig(boxed('door', [-60, -36.5, 20], 10))],
  ['the hand beside the cable', rig(boxed('hand', [-47, 40, 37], 20))],
  ['no coil where the coil was', rig(boxed('lever', beside, 4))],
  [
    'a screen that ends before the plug',
    rig({ ...swing, hinge: { at: [-40, 0, 28], axis: [0, -1, 0], fromDeg: 30, toDeg: 150, stepDeg: 30 } }),
  ],
  ['an arm that the cable may lie along, for nothing swings there', rig({ ...swing, hinge: undefined } as Room)],
])('near misses stay silent: %s', (_, tiny) => {
  expect(found(tiny)).toEqual([])
})
