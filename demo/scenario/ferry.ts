import { type Brief } from '@zucchini/core/brief'
import { emptySetup, type Instance, type Joint, type Rig, RIG_FORMAT, RIG_VERSION, type Setup } from '@zucchini/core/assembly'

/** What the operator already has. */
export const demoLocker: Readonly<Record<string, number>> = {
  'calabash-h1': 1,
  'kabocha-24-70': 1,
  'calabash-20': 1,
  'chayote-16-50': 1,
  'papyr-scratch': 1,
  'gourdwell-head-4': 1,
  'gourdwell-legs': 1,
  'marrow-gimbal': 1,
  'bulrush-top-plain': 1,
  'tromba-ball-shoe': 1,
  'typha-plate-38': 1,
  'typha-bushing-14': 2,
  'typha-double-shoe': 1,
  'typha-coin-driver': 1,
}

const brief: Brief = {
  kind: 'run-and-gun',
  about:
    'The Winter Ferry: two November days with a river-ferry crew. Low sun off the water, spray, a cramped wheelhouse, interviews on the slip, a night crossing. By train and one short flight.',
  conditions: ['sun', 'spray', 'cold', 'dark', 'wind', 'running', 'interviews', 'flight', 'overhead'],
  hoursOnLocation: 6,
  hoursRolling: 2.2,
  budgetMinor: 90_000,
  currency: 'EUR',
  inHandG: 2600,
  tallMm: 340,
  wideMm: 0,
  wishes: {},
}

const piece = (id: string, partId: string): Instance => ({ id, partId, status: 'in' })
const on = (guest: string, guestMount: string, host: string, hostMount: string, slideMm = 0, turnDeg = 0): Joint => ({
  guest,
  guestMount,
  host,
  hostMount,
  slideMm,
  turnDeg,
})

type Extra = Partial<Pick<Setup, 'support' | 'orientation' | 'capG' | 'poses'>>
const setup = (name: string, joints: Joint[], more: Extra = {}): Setup => ({
  ...emptySetup,
  id: name.replace(' ', '-'),
  name,
  joints,
  ...more,
})

const rig = (id: string, name: string, kit: Instance[], setups: Setup[]): Rig => ({
  format: RIG_FORMAT,
  version: RIG_VERSION,
  id,
  name,
  brief,
  kit,
  setups,
})

/** The joints of some pieces only; what sat on a piece that is left out is left out too by the caller. */
const only = (joints: readonly Joint[], ...guests: string[]): Joint[] => joints.filter(({ guest }) => guests.includes(guest))
const except = (joints: readonly Joint[], ...guests: string[]): Joint[] => joints.filter(({ guest }) => !guests.includes(guest))

const firstJoints = [
  on('zoom', 'bayonet', 'camera', 'lens'),
  on('cage', 'seat', 'camera', 'seat'),
  on('handle', 'foot', 'cage', 'top-front'),
  on('arm', 'foot', 'handle', 'shoe'),
  on('monitor', 'bottom', 'arm', 'stud'),
  on('mic', 'foot', 'cage', 'shoe'),
  on('receiver', 'foot', 'cage', 'shoe'),
  on('side', 'foot', 'cage', 'left-low'),
  on('plate', 'screw', 'cage', 'base'),
]

/** The plan as it came out of memory and shop pages. Every trouble in it is one that really happens. */
export const firstMark = rig(
  'winter-ferry-1',
  'The Winter Ferry, first mark',
  [
    piece('camera', 'calabash-h1'),
    piece('zoom', 'kabocha-24-70'),
    piece('cage', 'bulrush-basic-h1'),
    piece('handle', 'reedsmith-top-38'),
    piece('arm', 'tromba-riser-shoe'),
    piece('monitor', 'delicata-7'),
    piece('mic', 'papyr-scratch'),
    piece('receiver', 'rushlight-receiver'),
    piece('side', 'bulrush-side-14'),
    piece('plate', 'typha-plate-38'),
    piece('preamp', 'delicata-preamp'),
    piece('head', 'gourdwell-head-4'),
    piece('legs', 'gourdwell-legs'),
    piece('gimbal', 'marrow-gimbal'),
  ],
  [
    setup('crossing', firstJoints),
    setup('slip', [...firstJoints, on('head', 'clamp', 'plate', 'foot'), on('legs', 'top', 'head', 'legs')], { support: 'tripod' }),
    setup('wheelhouse', except(firstJoints, 'arm', 'monitor'), {
      support: 'two-hand',
      poses: [{ instance: 'camera', hinge: 'screen', position: 'out' }],
    }),
    setup('upright', firstJoints, { support: 'two-hand', orientation: 'upright' }),
    setup('gimbal walk', [...except(firstJoints, 'side', 'arm', 'monitor'), on('gimbal', 'clamp', 'plate', 'foot')], {
      support: 'gimbal',
      capG: 2000,
    }),
  ],
)

const secondJoints = [
  on('prime', 'bayonet', 'camera', 'lens'),
  on('nd', 'rear', 'prime', 'thread'),
  on('cage', 'seat', 'camera', 'seat'),
  on('handle', 'foot', 'cage', 'top-front', 10),
  on('tilt', 'foot', 'handle', 'shoe'),
  on('monitor', 'bottom', 'tilt', 'stud'),
  on('mic', 'foot', 'cage', 'shoe'),
  on('block', 'screw', 'handle', 'rear'),
  on('receiver', 'foot', 'block', 'shoe'),
  on('side', 'foot', 'cage', 'rail-left'),
  on('plate', 'screw', 'cage', 'base'),
  on('tether', 'foot', 'cage', 'top-left'),
]

/** The same job planned with the troubles solved. */
export const secondMark = rig(
  'winter-ferry-2',
  'The Winter Ferry, second mark',
  [
    piece('camera', 'calabash-h1'),
    piece('prime', 'calabash-20'),
    piece('nd', 'phragma-vnd-67'),
    piece('cage', 'sedgewick-half-h1'),
    piece('handle', 'sedgewick-top-14'),
    piece('tilt', 'crookneck-tilt-shoe'),
    piece('monitor', 'crookneck-m5'),
    piece('mic', 'rushlight-onboard'),
    piece('block', 'typha-shoe-block'),
    piece('receiver', 'luffa-receiver'),
    piece('side', 'typha-side-short'),
    piece('plate', 'cushaw-plate-long'),
    piece('tether', 'typha-tether-14'),
    piece('head', 'gourdwell-head-4'),
    piece('legs', 'gourdwell-legs'),
    piece('gimbal', 'marrow-gimbal'),
  ],
  [
    setup('crossing', secondJoints),
    setup('slip', [...except(secondJoints, 'side'), on('head', 'clamp', 'plate', 'foot', 25), on('legs', 'top', 'head', 'legs')], {
      support: 'tripod',
    }),
    setup('wheelhouse', except(secondJoints, 'receiver', 'block'), { support: 'two-hand' }),
    setup('upright', except(secondJoints, 'receiver', 'block'), { support: 'two-hand', orientation: 'upright' }),
    setup('gimbal walk', [...only(secondJoints, 'prime', 'nd', 'cage', 'mic', 'plate', 'tether'), on('gimbal', 'clamp', 'plate', 'foot')], {
      support: 'gimbal',
      capG: 2000,
      poses: [{ instance: 'camera', hinge: 'screen', position: 'out' }],
    }),
  ],
)

export const demoRigs: readonly Rig[] = [firstMark, secondMark]
