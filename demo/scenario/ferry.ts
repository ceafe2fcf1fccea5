import { type Brief } from '@zucchini/core/brief'
import { emptySetup, type Instance, type Joint, type Rig, RIG_FORMAT, RIG_VERSION } from '@zucchini/core/assembly'

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
  conditions: ['sun', 'spray', 'cold', 'dark', 'wind', 'running', 'interviews', 'flight'],
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

const rig = (id: string, name: string, kit: Instance[], joints: Joint[], tripod: Joint[]): Rig => ({
  format: RIG_FORMAT,
  version: RIG_VERSION,
  id,
  name,
  brief,
  kit,
  setups: [
    { ...emptySetup, id: 'crossing', name: 'crossing', joints },
    { ...emptySetup, id: 'slip', name: 'slip', support: 'tripod', joints: [...joints, ...tripod] },
  ],
})

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
  ],
  [
    on('zoom', 'bayonet', 'camera', 'lens'),
    on('cage', 'seat', 'camera', 'seat'),
    on('handle', 'foot', 'cage', 'top-front'),
    on('arm', 'foot', 'handle', 'shoe'),
    on('monitor', 'bottom', 'arm', 'stud'),
    on('mic', 'foot', 'cage', 'shoe'),
    on('receiver', 'foot', 'cage', 'shoe'),
    on('side', 'foot', 'cage', 'left-low'),
    on('plate', 'screw', 'cage', 'base'),
  ],
  [on('head', 'clamp', 'plate', 'foot')],
)

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
    piece('head', 'gourdwell-head-4'),
  ],
  [
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
  ],
  [on('head', 'clamp', 'plate', 'foot')],
)

export const demoRigs: readonly Rig[] = [firstMark, secondMark]
