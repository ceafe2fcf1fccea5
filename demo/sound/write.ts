import { type Brief, emptyBrief } from '@zucchini/core/brief'
import type { Capability } from '@zucchini/core/catalogue'
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

/** One set-up of a rig as it is written down here. */
export interface Written extends Partial<Pick<Setup, 'support' | 'orientation' | 'capG' | 'poses'>> {
  /** `name=part guestMount>host.mount`, then `@slide` in mm and `^turn` in degrees where they are not 0. */
  readonly on: readonly string[]
  /** `name=part from/socket>to/socket`, then `via name` for what it is laid through. */
  readonly leads?: readonly string[]
}

export interface WrittenRig {
  readonly id: string
  readonly name: string
  readonly brief: Partial<Brief>
  readonly camera: string
  readonly setups: Readonly<Record<string, Written>>
  /** What lies in the bag beside the cards and packs every camera goes out with: parts, a part twice for two of it. */
  readonly bag?: readonly string[]
  /** What a shoot of its kind usually asks for and this one does without. */
  readonly without?: readonly Capability[]
}

/** Half an hour of setting up, then waiting and recording by turns, under a roof. */
const morning = [
  { name: 'setting up', kind: 'setup', minutes: 30, mains: false },
  ...[1, 2, 3].flatMap((n) => [
    { name: `waiting ${n}`, kind: 'standby', minutes: 30, mains: false } as const,
    { name: `take ${n}`, kind: 'roll', minutes: 15, mains: false, scene: 'indoor' } as const,
  ]),
] satisfies Brief['phases']

/** The card and the second pack that nobody leaves at home, by camera. */
const alwaysAlong: Readonly<Record<string, readonly string[]>> = {
  'calabash-h1': ['luffa-card-128', 'calabash-pack'],
  'kabocha-s': ['luffa-card-128', 'kabocha-pack'],
  'kabocha-cube': ['papyr-card-325'],
  'cushaw-c6': ['papyr-card-325', 'papyr-card-325', 'cushaw-pack'],
  'chayote-m': ['luffa-card-128', 'chayote-pack', 'chayote-pack'],
}

const SEAT = /^([\w-]+)=([\w.-]+) ([\w-]+)>([\w-]+)\.([\w-]+)(?:@(-?[\d.]+))?(?:\^(-?[\d.]+))?$/
const LEAD = /^([\w-]+)=([\w.-]+) ([\w-]+)\/([\w-]+)>([\w-]+)\/([\w-]+)(?: via ([\w -]+))?$/

/** @throws {RangeError} for a line that is not written as it should be: a slip of ours */
const read = (line: string, shape: RegExp): readonly string[] => {
  const found = shape.exec(line)
  if (!found) throw new RangeError(`This line can't be read: "${line}"`)
  return found.slice(1).map((text) => text ?? '')
}

/** A rig from how it is written down: every piece named where it sits, once for all set-ups it sits in. */
export const rigFrom = ({ id, name, brief, camera, setups, bag = [], without = [] }: WrittenRig): Rig => {
  const kit = new Map<string, Instance>([['camera', { id: 'camera', partId: camera, status: 'in' }]])
  const take = (alias: string, partId: string) => {
    const known = kit.get(alias)
    if (known && known.partId !== partId) throw new RangeError(`"${alias}" is a ${known.partId} already, in ${id}`)
    kit.set(alias, { id: alias, partId, status: 'in' })
  }
  const jointOf = (line: string): Joint => {
    const [guest = '', part = '', guestMount = '', host = '', hostMount = '', slide, turn] = read(line, SEAT)
    take(guest, part)
    return { guest, guestMount, host, hostMount, slideMm: Number(slide ?? 0), turnDeg: Number(turn ?? 0) }
  }
  const linkOf = (line: string): Link => {
    const [cable = '', part = '', from = '', out = '', to = '', into = '', through = ''] = read(line, LEAD)
    take(cable, part)
    return {
      cable,
      from: { instance: from, socket: out },
      to: { instance: to, socket: into },
      through: through.split(' ').filter(Boolean),
    }
  }
  const made = Object.entries(setups).map(([title, { on, leads = [], ...more }]): Setup => ({
    ...emptySetup,
    id: title.replaceAll(' ', '-'),
    name: title,
    joints: on.map(jointOf),
    links: leads.map(linkOf),
    ...more,
  }))
  ;[...(alwaysAlong[camera] ?? []), ...bag].forEach((part, i) => take(`bag-${i + 1}`, part))
  return {
    format: RIG_FORMAT,
    version: RIG_VERSION,
    id,
    name,
    brief: {
      ...emptyBrief,
      budgetMinor: 3_000_000,
      inHandG: 0,
      tallMm: 0,
      hoursOnLocation: 3,
      hoursRolling: 1,
      phases: morning,
      wishes: Object.fromEntries(without.map((wish) => [wish, 'skip' as const])),
      ...brief,
    },
    kit: [...kit.values()],
    setups: made,
  }
}
