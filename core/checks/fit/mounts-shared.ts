import { z } from 'zod'
import { guestsOf, type PlacedPart } from '../../assembly/index.ts'
import { perPair, perThing } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { pointName } from '../places.ts'

interface Pair {
  readonly first: PlacedPart
  readonly second: PlacedPart
}

const pairOf = perPair('pairs on one host', (first: PlacedPart, second: PlacedPart): Pair => ({ first, second }))

/** Has a part any mount whose metal another one shares? On all others nobody is in anybody's way. */
const sharesMetal = perThing('shares metal', ({ mounts }: Part): boolean => mounts.some(({ shares }) => shares?.length))

const pairs = ({ assembly: { placed } }: Sees): Pair[] => {
  const guests = guestsOf(placed)
  const all: Pair[] = []
  for (const second of placed) {
    const beside = second.host && sharesMetal(second.host.part) ? (guests.get(second.host) ?? []) : []
    for (const first of beside) {
      if (first === second) break
      if (first.joint?.hostMount !== second.joint?.hostMount) all.push(pairOf(first, second))
    }
  }
  return all
}

/** Two pieces on two mounts that can't be used together. */
export const mountsShared = defineCheck<Pair, object>({
  id: 'mounts-shared',
  family: 'fit',
  title: 'One mount blocks the other',
  why: 'Both points are drawn on the box, but they share the same metal.',
  level: 'stop',
  source: 'The part’s own list of mounts that share a place.',
  options: z.object({}),
  defaults: {},
  needs: [],
  messages: {
    speaks: { blocked: '{second} has no place. {first} sits on {point}, which shares its metal.' },
    silent: { free: '{second} and {first} use mounts that do not disturb each other.' },
    cannotTell: {},
  },
  subjects: pairs,
  judge: ({ first, second }) => {
    const mount = second.host?.part.mounts.find(({ id }) => id === second.joint?.hostMount)
    // One of the two mounts need only name the other: metal is shared both ways.
    const other = first.host?.part.mounts.find(({ id }) => id === first.joint?.hostMount)
    const point = first.host && other ? pointName({ piece: first.host, mount: other }) : ''
    const names = { first: first.part.name, second: second.part.name, point }
    const blocked =
      (other && mount?.shares?.includes(other.id)) || (mount && other?.shares?.includes(mount.id)) || false
    return blocked
      ? {
          group: 'speaks',
          message: 'blocked',
          names,
          parts: [second.instance.id, first.instance.id],
          at: second.centre,
        }
      : { group: 'silent', message: 'free', names }
  },
})
