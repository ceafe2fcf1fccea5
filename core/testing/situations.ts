import { type Command, type Rig, swapCommands } from '../assembly/index.ts'
import type { Catalogue } from '../catalogue/index.ts'
import type { WayKind } from '../checks/index.ts'

/** What happens to a rig that was good, what is said then, and what a practitioner at the bench would do about it. */
export interface Situation {
  readonly name: string
  readonly rig: string
  readonly setup: string
  readonly happens: (rig: Rig, catalogue: Catalogue) => readonly Command[]
  /** The rule that has to speak. */
  readonly says: string
  /** The kinds of move by which it is put right, any of them. */
  readonly way: readonly WayKind[]
  /** A piece or part that such a way has to be about: an instance, a part or a role's name in its words. */
  readonly about?: string
}

const swapped =
  (instance: string, partId: string) =>
  (rig: Rig, catalogue: Catalogue): readonly Command[] => {
    const part = catalogue.parts.get(partId)
    if (!part) throw new RangeError(partId)
    return swapCommands(rig, instance, part, catalogue)
  }
/** Another lead in the same sockets. */
const otherLead =
  (cable: string, partId: string) =>
  ({ setups }: Rig): readonly Command[] => [
    { do: 'swap', instance: cable, partId },
    ...setups.flatMap(({ id, links }) =>
      links.filter((link) => link.cable === cable).map((link): Command => ({ do: 'link', setup: id, link })),
    ),
  ]
const leftAtHome = (instance: string) => (): readonly Command[] => [{ do: 'discard', instance }]
const slid = (setup: string, instance: string, slideMm: number) => (): readonly Command[] => [
  { do: 'set', setup, instance, slideMm },
]
const turned = (setup: string, instance: string, turnDeg: number) => (): readonly Command[] => [
  { do: 'set', setup, instance, turnDeg },
]
const takenOff = (setup: string, instance: string) => (): readonly Command[] => [{ do: 'take-off', setup, instance }]
const asked =
  (more: Partial<Rig['brief']>) =>
  (rig: Rig): readonly Command[] => [{ do: 'brief', brief: { ...rig.brief, ...more } }]
const posed = (setup: string, instance: string, hinge: string, position: string) => (): readonly Command[] => [
  { do: 'pose', setup, instance, hinge, position },
]
const plugged = (setup: string, cable: string, from: string, to: string) => (): readonly Command[] => {
  const end = (name: string) => {
    const [instance = '', socket = ''] = name.split('/')
    return { instance, socket }
  }
  return [{ do: 'link', setup, link: { cable, from: end(from), to: end(to), through: [] } }]
}

/** Written down before anything was tried, by what one would do with the rig in the hands. */
export const situations: readonly Situation[] = [
  {
    name: 'the lead from the drawer is too short',
    rig: 'documentary-low',
    setup: 'low',
    happens: otherLead('hdmi', 'papyr-hdmi-150'),
    says: 'cable-short',
    way: ['lead'],
  },
  {
    name: 'the mic is plugged into the headphone jack',
    rig: 'documentary-low',
    setup: 'low',
    happens: plugged('low', 'trs', 'mic/out', 'camera/35-trs-2'),
    says: 'wrong-ends',
    way: ['lead'],
    about: 'mic',
  },
  {
    name: 'the monitor has no battery on it',
    rig: 'documentary-low',
    setup: 'low',
    happens: takenOff('low', 'slab'),
    says: 'unpowered',
    way: ['add', 'lead'],
  },
  {
    name: 'the camera has no pack in it',
    rig: 'documentary-low',
    setup: 'low',
    happens: takenOff('low', 'pack'),
    says: 'unpowered',
    way: ['add'],
  },
  {
    name: 'the monitor is screwed on looking forward',
    rig: 'documentary-low',
    setup: 'low',
    happens: turned('low', 'monitor', 180),
    says: 'view-blocked',
    way: ['turn', 'pose'],
  },
  {
    name: 'the card was left in the reader',
    rig: 'documentary-low',
    setup: 'low',
    happens: leftAtHome('bag-1'),
    says: 'record-time-short',
    way: ['add'],
  },
  {
    name: 'the variable filter was left at home, on a day in the sun',
    rig: 'winter-ferry-2',
    setup: 'crossing',
    happens: leftAtHome('nd'),
    says: 'nd-short',
    way: ['add'],
    about: 'ND',
  },
  {
    name: 'it will be carried over people',
    rig: 'documentary-low',
    setup: 'low',
    happens: asked({ conditions: ['running', 'wind', 'overhead'] }),
    says: 'untethered-overhead',
    way: ['support', 'add'],
    about: 'tether',
  },
  {
    name: 'a cage on one screw instead of the pinned one',
    rig: 'recorder-cage',
    setup: 'hand',
    happens: swapped('cage', 'bulrush-basic-h1'),
    says: 'single-screw',
    way: ['swap', 'support', 'insert'],
    about: 'cage',
  },
  {
    name: 'a long shotgun in a bare shoe',
    rig: 'documentary-low',
    setup: 'low',
    happens: swapped('mic', 'papyr-shotgun'),
    says: 'shoe-slides',
    way: ['swap', 'insert', 'support', 'move'],
  },
  {
    name: 'less may be carried than it weighs',
    rig: 'documentary-low',
    setup: 'low',
    happens: asked({ inHandG: 1500 }),
    says: 'over-mass',
    way: ['swap', 'move'],
  },
  {
    name: 'the spare packs were left at home',
    rig: 'documentary-low',
    setup: 'low',
    happens: leftAtHome('bag-2'),
    says: 'runtime-short',
    way: ['add', 'swap'],
  },
  {
    name: 'the recorder lies flat on its mount',
    rig: 'recorder-cage',
    setup: 'hand',
    happens: posed('hand', 'mount', 'tilt', 'back-60'),
    says: 'view-blocked',
    way: ['pose', 'turn'],
    about: 'mount',
  },
  {
    name: 'the small slab instead of the large one',
    rig: 'recorder-cage',
    setup: 'hand',
    happens: swapped('slab', 'luffa-slab-17'),
    says: 'runtime-short',
    way: ['add', 'swap'],
  },
  {
    name: 'the recorder’s drive was left at home',
    rig: 'recorder-cage',
    setup: 'hand',
    happens: leftAtHome('bag-3'),
    says: 'record-time-short',
    way: ['add'],
  },
  {
    name: 'the picture lead was left at home',
    rig: 'recorder-cage',
    setup: 'hand',
    happens: leftAtHome('hdmi'),
    says: 'no-cable',
    way: ['lead', 'add'],
  },
  {
    name: 'rods too short to hold the box clear of the lens',
    rig: 'narrative-rods',
    setup: 'sticks',
    happens: swapped('rods', 'papyr-rods-100'),
    says: 'solid-clash',
    way: ['swap', 'slide'],
    about: 'rods',
  },
  {
    name: 'the pad sits too far back',
    rig: 'shoulder-brick',
    setup: 'shoulder',
    happens: slid('shoulder', 'pad', 100),
    says: 'shoulder-front-heavy',
    way: ['slide', 'move'],
  },
  {
    name: 'a lens with another front before a clamp-on box',
    rig: 'narrative-clamp',
    setup: 'sticks',
    happens: swapped('box', 'phragma-matte-95'),
    says: 'clamp-on-size',
    way: ['swap', 'insert'],
  },
  {
    name: 'the follow focus is slid off its ring',
    rig: 'narrative-rods',
    setup: 'sticks',
    happens: slid('sticks', 'follow', 60),
    says: 'motor-reach',
    way: ['slide', 'move'],
  },
  {
    name: 'the arm is folded down',
    rig: 'arm-monitor',
    setup: 'sticks',
    happens: posed('sticks', 'arm', 'tilt', 'back-60'),
    says: 'solid-clash',
    way: ['pose', 'turn'],
  },
  {
    name: 'the dummy’s lead hangs loose',
    rig: 'tap-dummy',
    setup: 'sticks',
    happens: leftAtHome('power'),
    says: 'unpowered',
    way: ['lead', 'add'],
  },
  {
    name: 'the heavy zoom on the bare mount',
    rig: 'desk-bare',
    setup: 'desk',
    happens: swapped('prime', 'kabocha-28-135'),
    says: 'mount-moment',
    way: ['swap', 'slide', 'support', 'add'],
  },
  {
    name: 'a handle with the wrong screw',
    rig: 'documentary-low',
    setup: 'low',
    happens: swapped('handle', 'reedsmith-top-38'),
    says: 'mount-mismatch',
    way: ['swap', 'insert'],
    about: 'handle',
  },
  {
    name: 'there is less money than the plan takes',
    rig: 'documentary-low',
    setup: 'low',
    happens: asked({ budgetMinor: 450_00 }),
    says: 'over-budget',
    way: ['swap', 'leave-out', 'brief'],
  },
  {
    name: 'the handle is slid to the rear',
    rig: 'documentary-low',
    setup: 'low',
    happens: slid('low', 'handle', 20),
    says: 'hang-tilt',
    way: ['slide'],
    about: 'handle',
  },
  {
    name: 'the plate sits off the gimbal’s middle',
    rig: 'gimbal-day',
    setup: 'walk',
    happens: slid('walk', 'plate', 40),
    says: 'plate-offset',
    way: ['slide'],
  },
  {
    name: 'the mixer’s output goes into nothing',
    rig: 'xlr-event',
    setup: 'sticks',
    happens: leftAtHome('trs'),
    says: 'no-cable',
    way: ['lead', 'add'],
  },
  {
    name: 'the brick was left at home, its plate is on',
    rig: 'tap-dummy',
    setup: 'sticks',
    happens: leftAtHome('brick'),
    says: 'unpowered',
    way: ['add'],
    about: 'brick',
  },
  {
    name: 'brick and lead were left at home',
    rig: 'tap-dummy',
    setup: 'sticks',
    happens: () => [...leftAtHome('brick')(), ...leftAtHome('power')()],
    says: 'unpowered',
    way: ['add', 'lead'],
    about: 'brick',
  },
  {
    name: 'a filter of another size than the tray',
    rig: 'narrative-clamp',
    setup: 'sticks',
    happens: swapped('nd', 'phragma-nd-06-44'),
    says: 'mount-mismatch',
    way: ['swap'],
    about: 'filter',
  },
]
