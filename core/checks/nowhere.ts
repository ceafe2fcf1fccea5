import { freshId, type PlacedPart, type Point, seatingsAt } from '../assembly/index.ts'
import { endName, mate, type Part } from '../catalogue/index.ts'
import { clashWith } from '../clearance/index.ts'
import type { Sees } from '../facts/index.ts'
import { pointName } from './places.ts'

/** Why a part has no place on a rig: the nearest thing to one, and what is wrong with it. */
export interface NoPlace {
  readonly why: 'taken' | 'blocked' | 'foreign'
  /** The point that comes nearest; for a foot that nothing takes, the foot. */
  readonly point: string
  /** What sits there, or what it would run into. */
  readonly by: string
  readonly depthMm: number
}

/** Does a part go on a point by one of its own mounts? */
export const goesOn = ({ piece, mount }: Point, part: Part): boolean =>
  part.mounts.some((own) => !own.carries && mate({ part: piece.part, mount }, { part, mount: own }).ok)

/** The piece that a seated one runs into deepest. */
const deepest = (seated: PlacedPart, placed: readonly PlacedPart[]) =>
  placed.map((other) => ({ other, depthMm: clashWith(seated, [other]) })).sort((a, b) => b.depthMm - a.depthMm)[0]

/**
 * Why a part has no place: a point that it would go on is blocked by something, or taken, or there is none.
 * @returns undefined when it has a place where it touches nothing
 */
export const noPlaceFor = ({ assembly, points }: Sees<'points'>, part: Part): NoPlace | undefined => {
  const instance = { id: freshId(assembly.rig, part.id), partId: part.id, status: 'in' as const }
  const fitting = points.filter((point) => goesOn(point, part))
  let least: { readonly point: Point; readonly by: PlacedPart; readonly depthMm: number } | undefined
  for (const point of fitting)
    for (const { piece } of point.open ? seatingsAt(point, instance, part) : []) {
      const met = deepest(piece, assembly.placed)
      if (!met || met.depthMm === 0) return undefined
      if (!least || met.depthMm < least.depthMm) least = { point, by: met.other, depthMm: met.depthMm }
    }
  if (least) return { why: 'blocked', point: pointName(least.point), by: least.by.part.name, depthMm: least.depthMm }
  const [taken] = fitting
  if (taken) {
    const holder = taken.taken.map((id) => assembly.byInstance.get(id)?.part.name ?? id)
    return { why: 'taken', point: pointName(taken), by: holder.join(' and ') || 'what shares its metal', depthMm: 0 }
  }
  const foot = part.mounts.find(({ side, carries }) => side === 'sits' && !carries)
  return foot ? { why: 'foreign', point: endName({ part, mount: foot }), by: '', depthMm: 0 } : undefined
}
