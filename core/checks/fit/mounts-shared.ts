import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { defineCheck } from '../check.ts'
import type { Facts } from '../facts.ts'
import { pointName, takeOffRemedy } from '../places.ts'

interface Pair {
  readonly first: PlacedPart
  readonly second: PlacedPart
}

const pairs = ({ assembly }: Facts): Pair[] =>
  assembly.placed.flatMap((second, i) =>
    assembly.placed
      .slice(0, i)
      .flatMap((first): Pair[] =>
        first.host !== undefined && first.host === second.host && first.joint?.hostMount !== second.joint?.hostMount
          ? [{ first, second }]
          : [],
      ),
  )

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
  needs: ['points'],
  messages: {
    speaks: { blocked: '{second} has no place. {first} sits on {point}, which shares its metal.' },
    silent: { free: '{second} and {first} use mounts that do not disturb each other.' },
    cannotTell: {},
  },
  subjects: pairs,
  judge: ({ first, second }, facts) => {
    const mount = second.host?.part.mounts.find(({ id }) => id === second.joint?.hostMount)
    const point = facts.points.find((candidate) => candidate.piece === first.host && candidate.mount.id === first.joint?.hostMount)
    const names = { first: first.part.name, second: second.part.name, point: point ? pointName(point) : '' }
    // One of the two mounts need only name the other: metal is shared both ways.
    const other = first.host?.part.mounts.find(({ id }) => id === first.joint?.hostMount)
    const blocked = (other && mount?.shares?.includes(other.id)) || (mount && other?.shares?.includes(mount.id)) || false
    return blocked
      ? { group: 'speaks', message: 'blocked', names, parts: [second.instance.id, first.instance.id], at: second.centre }
      : { group: 'silent', message: 'free', names }
  },
  remedies: ({ first, second }, facts) => [takeOffRemedy(facts, second), takeOffRemedy(facts, first)],
})
