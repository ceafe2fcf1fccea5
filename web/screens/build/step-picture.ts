import type { SheetStep } from '@zucchini/core/build-order'
import { type Assembly, type PlacedPart, ridesOn } from '@zucchini/core/assembly'
import { inHand } from '@zucchini/core/balance'
import { mountOf } from '@zucchini/core/catalogue'
import { type Extent, extentOfRig, type ViewId } from '@zucchini/core/drawing'
import { add, lengthOf, point, scale, subtract, type Vec3 } from '@zucchini/core/kernel'

/** What a step's picture shows: what stands, what comes and where from, its place, and from which side it is seen. */
export interface StepScene {
  readonly view: ViewId
  readonly soFar: readonly PlacedPart[]
  /** The piece where it is before it goes to its place; the same as its place where nothing moves. */
  readonly coming: readonly PlacedPart[]
  readonly place: readonly PlacedPart[]
  /** Where its foot is before and after, mm. */
  readonly from: Vec3 | undefined
  readonly to: Vec3 | undefined
  readonly extent: Extent
}

/** So far off a piece is drawn from its place: its own size and a bit, never so far that it leaves the page. mm */
const AWAY = { least: 55, most: 150, share: 0.6 } as const

const shifted = (piece: PlacedPart, by: Vec3): PlacedPart => ({
  ...piece,
  frame: { ...piece.frame, at: add(piece.frame.at, by) },
  centre: add(piece.centre, by),
  bounds: { min: add(piece.bounds.min, by), max: add(piece.bounds.max, by) },
  solids: piece.solids.map((one) => ({
    ...one,
    shape: { ...one.shape, centre: add(one.shape.centre, by) },
    bounds: { min: add(one.bounds.min, by), max: add(one.bounds.max, by) },
  })),
})

/** From where a piece comes, seen from its place, mm. */
const wayBack = (piece: PlacedPart, { first, last, lastMm }: NonNullable<SheetStep['comes']>): Vec3 => {
  const size = subtract(piece.bounds.max, piece.bounds.min)
  const along = Math.abs(size[0] * first[0]) + Math.abs(size[1] * first[1]) + Math.abs(size[2] * first[2])
  const far = Math.min(AWAY.most, Math.max(AWAY.least, along * AWAY.share + AWAY.least / 2))
  const straight = lengthOf(subtract(first, last)) < 0.01
  return straight ? scale(first, -far) : add(scale(last, -lastMm), scale(first, -far))
}

const empty: Extent = { left: -60, right: 60, bottom: -60, top: 60 }

/**
 * The scene of one step of a build sheet.
 * @param assembly the set-up as it will stand
 * @param steps all steps, in their order
 * @param turned another view than the one in which the piece is seen to come
 */
export const sceneOf = (
  assembly: Assembly,
  steps: readonly SheetStep[],
  at: number,
  turned?: ViewId,
): StepScene | undefined => {
  const step = steps[at]
  if (!step) return undefined
  const joined = steps.slice(0, at).filter((one) => one.do === 'join')
  const onRig = new Set(
    joined
      .filter(({ inHand }) => !inHand)
      .flatMap(({ instance, riders = [] }) => [instance, ...riders.map((one) => one.instance)]),
  )
  const piece = assembly.byInstance.get(step.instance)
  // In the hand there is what it goes on, and what else waits on that.
  const waits = new Set(joined.map(({ instance }) => instance))
  const isThere = (one: PlacedPart): boolean =>
    step.inHand === true && piece?.host
      ? one === piece.host || (ridesOn(one, piece.host) && waits.has(one.instance.id))
      : one === assembly.placed[0] || onRig.has(one.instance.id)
  const soFar = assembly.placed.filter(isThere)
  const comes = new Set([step.instance, ...(step.riders ?? []).map(({ instance }) => instance)])
  const own = step.do === 'join' ? assembly.placed.filter(({ instance }) => comes.has(instance.id)) : []
  const by = piece && own.length > 0 && step.comes ? wayBack(piece, step.comes) : undefined
  const coming = by ? own.map((one) => shifted(one, by)) : own
  const foot = piece?.joint && mountOf(piece.part, piece.joint.guestMount)
  const to = piece && foot && step.do === 'join' ? point(piece.frame, foot.at) : undefined
  const sideways = by !== undefined && Math.abs(by[0]) > Math.max(Math.abs(by[1]), Math.abs(by[2]))
  const view = turned ?? (sideways ? 'front' : 'side')
  const shown = [...soFar, ...own, ...coming].filter(inHand)
  const extent = shown.length > 0 ? extentOfRig(view, { ...assembly, placed: shown }) : empty
  return {
    view,
    soFar,
    coming,
    place: by ? own : [],
    from: to && by && add(to, by),
    to,
    extent: Number.isFinite(extent.left) ? extent : empty,
  }
}
