import { z } from 'zod'
import { guestsOf, type PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { pointName } from '../places.ts'

interface Pair {
  readonly first: PlacedPart
  readonly second: PlacedPart
  readonly mountId: string
}

const pairsOn = ({ assembly }: Sees): Pair[] => {
  const pairs: Pair[] = []
  for (const beside of guestsOf(assembly.placed).values())
    for (const [i, second] of beside.entries())
      for (const first of beside.slice(0, i))
        if (first.joint && first.joint.hostMount === second.joint?.hostMount)
          pairs.push({ first, second, mountId: first.joint.hostMount })
  return pairs
}

/**
 * The stretch of a rail or plate that a guest takes up, mm along its travel; undefined when it takes the whole mount.
 */
const stretch = (piece: PlacedPart): { from: number; to: number } | undefined => {
  if (!piece.mate?.ok || !piece.joint) return undefined
  const takes = piece.mate.value.along?.takesMm
  return takes === undefined
    ? undefined
    : { from: piece.joint.slideMm - takes / 2, to: piece.joint.slideMm + takes / 2 }
}

/** Two pieces on one mounting point, or on the same stretch of a rail. */
export const mountTaken = defineCheck<Pair, object, 'points'>({
  id: 'mount-taken',
  family: 'fit',
  title: 'Two on one mounting point',
  why: 'Only one of them goes on, and the other has no place on the day.',
  level: 'stop',
  source: 'A screw hole holds one screw; clamps on a rail need its length side by side.',
  options: z.object({}),
  defaults: {},
  needs: ['points'],
  limit: { measured: 'sharedMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      taken: '{second} finds its place taken. {first} already sits on {point}.',
      overlapping: '{second} and {first} share {sharedMm:mm} of the rail {point}. Each clamp needs its own stretch.',
    },
    silent: { apart: '{second} and {first} sit side by side on {point}.' },
    cannotTell: {},
  },
  subjects: pairsOn,
  judge: ({ first, second, mountId }, facts) => {
    const point = facts.points.find((candidate) => candidate.piece === second.host && candidate.mount.id === mountId)
    const names = { first: first.part.name, second: second.part.name, point: point ? pointName(point) : mountId }
    const parts = [second.instance.id, first.instance.id]
    const [a, b] = [stretch(first), stretch(second)]
    const at = second.centre
    if (!a || !b) return { group: 'speaks', message: 'taken', names, parts, at }
    const sharedMm = Math.min(a.to, b.to) - Math.max(a.from, b.from)
    const numbers = { sharedMm, allowedMm: 0 }
    return exceeds(sharedMm, 0)
      ? { group: 'speaks', message: 'overlapping', names, numbers, parts, at }
      : { group: 'silent', message: 'apart', names, numbers }
  },
})
