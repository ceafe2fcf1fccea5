import { type Brief } from '@zucchini/core/brief'
import {
  emptySetup,
  type Instance,
  type Joint,
  type Link,
  type Rig,
  RIG_FORMAT,
  RIG_VERSION,
  type Setup,
} from '@zucchini/core/assembly'

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
  'calabash-pack': 2,
  'calabash-charger': 1,
  'luffa-slab-17': 2,
  'luffa-slab-charger': 1,
  'luffa-card-128': 2,
  'luffa-trs-150': 1,
  'luffa-trs-300': 1,
  'phragma-nd-82': 1,
  'papyr-usb-500': 1,
  'bulrush-hdmi-2000': 1,
  'gourdwell-shoulder-bag': 1,
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
  monthlyMinor: 15_000,
  inHandG: 2600,
  tallMm: 340,
  wideMm: 0,
  phases: [
    { name: 'setting up on the slip', kind: 'setup', minutes: 30, mains: false, scene: 'sun' },
    { name: 'crossing out', kind: 'roll', minutes: 44, mains: false, scene: 'water-in-sun' },
    { name: 'waiting at the slip', kind: 'standby', minutes: 55, mains: false },
    { name: 'interviews on the slip', kind: 'roll', minutes: 44, mains: false, scene: 'sun' },
    { name: 'lunch in the ferry office', kind: 'off', minutes: 45, mains: true },
    { name: 'wheelhouse', kind: 'roll', minutes: 22, mains: false, scene: 'indoor' },
    { name: 'waiting for the dark', kind: 'standby', minutes: 98, mains: false },
    { name: 'night crossing', kind: 'roll', minutes: 22, mains: false, scene: 'night' },
  ],
  codec: 'uhd',
  light: {
    fps: 25,
    shutterDeg: 180,
    stop: 2.8,
    iso: 0,
    aspect: '16:9',
    also: ['9:16'],
    startMin: 705,
    date: '2026-11-17',
    place: { name: 'ferry slip on the lower river', latitudeDeg: 53.5, longitudeDeg: 9.5, zone: 'Europe/Berlin' },
  },
  lenses: [
    { partId: 'kabocha-24-70', share: 35 },
    { partId: 'calabash-20', share: 50 },
    { partId: 'chayote-16-50', share: 15 },
  ],
  fieldsMm: [21, 28, 35, 70],
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

/** A lead of the kit from one socket to another, `piece/socket`, laid through what holds it. */
const lead = (cable: string, from: string, to: string, ...through: string[]): Link => {
  const end = (at: string) => ({ instance: at.slice(0, at.indexOf('/')), socket: at.slice(at.indexOf('/') + 1) })
  return { cable, from: end(from), to: end(to), through }
}

type Extra = Partial<Pick<Setup, 'support' | 'orientation' | 'capG' | 'poses' | 'links'>>
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
const only = (joints: readonly Joint[], ...guests: string[]): Joint[] =>
  joints.filter(({ guest }) => guests.includes(guest))
const except = (joints: readonly Joint[], ...guests: string[]): Joint[] =>
  joints.filter(({ guest }) => !guests.includes(guest))

const firstJoints = [
  on('zoom', 'bayonet', 'camera', 'lens'),
  on('guard', 'rear', 'zoom', 'thread'),
  on('nd', 'rear', 'guard', 'front'),
  on('mist', 'rear', 'nd', 'front'),
  on('cage', 'seat', 'camera', 'seat'),
  on('handle', 'foot', 'cage', 'top-front'),
  on('arm', 'foot', 'handle', 'shoe'),
  on('monitor', 'bottom', 'arm', 'stud'),
  on('mic', 'foot', 'cage', 'shoe'),
  on('receiver', 'foot', 'cage', 'shoe'),
  on('side', 'foot', 'cage', 'left-low'),
  on('plate', 'screw', 'cage', 'base'),
  on('pack', 'contacts', 'camera', 'bay'),
  on('slab', 'back', 'monitor', 'slab'),
]

/** A lead too short for the tall arm, and a mic in the headphone jack because the other one was taken. */
const firstLinks = [
  lead('hdmi', 'camera/hdmi-a-4', 'monitor/hdmi-in'),
  lead('trs', 'receiver/out', 'camera/35-trs-1'),
  lead('trs-2', 'mic/out', 'camera/35-trs-2'),
]

/** The plan as it came out of memory and shop pages. Every trouble in it is one that really happens. */
export const firstMark = rig(
  'winter-ferry-1',
  'The Winter Ferry, first mark',
  [
    piece('camera', 'calabash-h1'),
    piece('zoom', 'kabocha-24-70'),
    piece('prime', 'calabash-20'),
    piece('guard', 'phragma-uv-82'),
    piece('nd', 'phragma-nd-82'),
    piece('mist', 'rushlight-mist-82'),
    piece('gun', 'papyr-long'),
    piece('reach', 'pattypan-arm-180'),
    piece('shoes', 'typha-double-shoe'),
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
    piece('pack', 'calabash-pack'),
    piece('slab', 'luffa-slab-48'),
    piece('dummy', 'luffa-dummy-cal'),
    piece('brick-plate', 'typha-v-plate-14'),
    piece('brick', 'gourdwell-v-98'),
    piece('tap', 'typha-tap-dummy'),
    piece('hdmi', 'papyr-hdmi-300'),
    piece('trs', 'luffa-trs-150'),
    piece('trs-2', 'luffa-trs-300'),
    piece('card', 'luffa-card-64'),
  ],
  [
    setup('crossing', firstJoints, { links: firstLinks }),
    setup(
      'slip',
      [
        ...except(firstJoints, 'pack'),
        on('dummy', 'contacts', 'camera', 'bay'),
        on('brick-plate', 'screw', 'cage', 'top-right', 0, 90),
        on('brick', 'back', 'brick-plate', 'plate'),
        on('head', 'clamp', 'plate', 'foot'),
        on('legs', 'top', 'head', 'legs'),
      ],
      { support: 'tripod', links: [...firstLinks, lead('tap', 'brick-plate/d-tap', 'dummy/lead')] },
    ),
    setup(
      'wheelhouse',
      [
        on('prime', 'bayonet', 'camera', 'lens'),
        ...except(firstJoints, 'zoom', 'guard', 'nd', 'mist', 'mic', 'arm', 'monitor', 'slab'),
        on('reach', 'foot', 'handle', 'front'),
        on('shoes', 'end', 'reach', 'stud', 0, -90),
        on('gun', 'foot', 'shoes', 'shoe-left'),
      ],
      {
        support: 'two-hand',
        poses: [{ instance: 'camera', hinge: 'screen', position: 'out' }],
      },
    ),
    setup('upright', firstJoints, { support: 'two-hand', orientation: 'upright', links: firstLinks }),
    setup(
      'gimbal walk',
      [...except(firstJoints, 'side', 'arm', 'monitor', 'slab'), on('gimbal', 'clamp', 'plate', 'foot')],
      {
        support: 'gimbal',
        capG: 2000,
      },
    ),
  ],
)

const secondJoints = [
  on('prime', 'bayonet', 'camera', 'lens'),
  on('nd', 'rear', 'prime', 'thread'),
  on('cage', 'seat', 'camera', 'seat'),
  on('handle', 'foot', 'cage', 'top-front', 6),
  on('tilt', 'foot', 'handle', 'shoe'),
  on('monitor', 'bottom', 'tilt', 'stud'),
  on('mic', 'foot', 'cage', 'shoe'),
  on('block', 'screw', 'handle', 'rear'),
  on('receiver', 'foot', 'block', 'shoe'),
  on('side', 'foot', 'cage', 'rail-left'),
  on('plate', 'screw', 'cage', 'base'),
  on('tether', 'foot', 'cage', 'top-left'),
  on('pack', 'contacts', 'camera', 'bay'),
  on('slab', 'back', 'monitor', 'slab'),
  on('lock', 'foot', 'cage', 'left-low'),
]

const screenLinks = [lead('hdmi', 'camera/hdmi-a-4', 'monitor/hdmi-in', 'lock')]
/** The mic goes through the receiver, which mixes it in: the body has one input for two sources. */
const talkLinks = [
  ...screenLinks,
  lead('trs', 'receiver/out', 'camera/35-trs-1'),
  lead('trs-2', 'mic/out', 'receiver/mix'),
]
const quietLinks = [...screenLinks, lead('trs-short', 'mic/out', 'camera/35-trs-1')]

/** The same job planned with the troubles solved. */
export const secondMark = rig(
  'winter-ferry-2',
  'The Winter Ferry, second mark',
  [
    piece('camera', 'calabash-h1'),
    piece('prime', 'calabash-20'),
    piece('nd', 'phragma-vnd-67'),
    piece('nd-zoom', 'phragma-nd-82'),
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
    piece('pack', 'calabash-pack'),
    piece('pack-2', 'calabash-pack'),
    piece('pack-3', 'typha-pack-copy'),
    piece('pack-4', 'typha-pack-copy'),
    piece('slab', 'luffa-slab-17'),
    piece('slab-2', 'luffa-slab-17'),
    piece('slab-3', 'luffa-slab-17'),
    piece('charger', 'calabash-charger'),
    piece('slab-charger', 'luffa-slab-charger'),
    piece('card', 'luffa-card-128'),
    piece('card-2', 'luffa-card-128'),
    piece('hdmi', 'reedsmith-hdmi-swivel'),
    piece('lock', 'reedsmith-cable-hdmi'),
    piece('trs', 'luffa-trs-300'),
    piece('trs-2', 'luffa-trs-300'),
    piece('trs-short', 'luffa-trs-150'),
  ],
  [
    setup('crossing', secondJoints, { links: talkLinks }),
    setup(
      'slip',
      [...except(secondJoints, 'side'), on('head', 'clamp', 'plate', 'foot', 25), on('legs', 'top', 'head', 'legs')],
      {
        support: 'tripod',
        links: talkLinks,
      },
    ),
    setup('wheelhouse', except(secondJoints, 'receiver', 'block'), { support: 'two-hand', links: quietLinks }),
    setup('upright', except(secondJoints, 'receiver', 'block'), {
      support: 'two-hand',
      orientation: 'upright',
      links: quietLinks,
    }),
    setup(
      'gimbal walk',
      [
        ...only(secondJoints, 'prime', 'nd', 'cage', 'mic', 'plate', 'tether', 'pack'),
        on('gimbal', 'clamp', 'plate', 'foot'),
      ],
      {
        support: 'gimbal',
        capG: 2000,
        poses: [{ instance: 'camera', hinge: 'screen', position: 'out' }],
        links: [lead('trs-short', 'mic/out', 'camera/35-trs-1')],
      },
    ),
  ],
)

/** What the season taught, done: the shoe that turned loose at the handle's rear sits at its pinned front hole. */
export const thirdMark: Rig = {
  ...secondMark,
  id: 'winter-ferry-3',
  name: 'The Winter Ferry, third mark',
  kit: [...secondMark.kit, piece('bag', 'gourdwell-shoulder-bag')],
  setups: secondMark.setups.map((one) => ({
    ...one,
    joints: one.joints.map((joint) =>
      joint.guest === 'block' ? { ...joint, hostMount: 'front', turnDeg: 90 } : joint,
    ),
  })),
}

export const demoRigs: readonly Rig[] = [firstMark, secondMark, thirdMark]
