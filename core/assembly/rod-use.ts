import { mountOf, type Part, standardOf } from '../catalogue/index.ts'
import { dot, perThing, point, subtract, flatMap } from '../kernel/index.ts'
import { type Assembly, guestsOf, type PlacedPart } from './place.ts'

/** The rails of a part that are rods with room to slide on. */
export const rodRails = perThing('rails of a part', (part: Part) =>
  part.mounts.filter(
    ({ lengthMm, travel, standard }) => lengthMm !== undefined && travel && standardOf(standard).kind === 'rods',
  ),
)

/**
 * How much of a pair of rods is used, from the outermost clamp to the outermost on the other side, what the rods hang on
 * themselves among them, and how long it is, mm; undefined for what are no rods.
 */
export const rodUse = (
  assembly: Assembly,
  rods: PlacedPart,
): { readonly longMm: number; readonly usedMm: number } | undefined => {
  const [rail] = rodRails(rods.part)
  const own = mountOf(rods.part, rods.joint?.guestMount ?? '')
  if (!rail?.lengthMm || !rail.travel || !own) return undefined
  const { along } = rail.travel
  // Held by its end it is used from there on; held along its length, over what the clamp takes there.
  const heldAt = dot(own.at, along) + (own.travel ? (rods.joint?.slideMm ?? 0) : 0)
  const half = own.travel && rods.mate?.ok ? (rods.mate.value.along?.takesMm ?? 0) / 2 : 0
  const ends = [heldAt - half, heldAt + half]
  const used = flatMap(guestsOf(assembly.placed).get(rods) ?? [], (piece) => {
    if (!piece.mate?.ok) return []
    const mount = mountOf(piece.part, piece.joint?.guestMount ?? '')
    if (!mount) return []
    const at = subtract(point(piece.frame, mount.at), rods.frame.at)
    const local = [dot(at, rods.frame.x), dot(at, rods.frame.y), dot(at, rods.frame.z)] as const
    const clamp = (piece.mate.value.along?.takesMm ?? 0) / 2
    return [dot(local, along) - clamp, dot(local, along) + clamp]
  })
  const all = [...ends, ...used]
  return { longMm: rail.lengthMm, usedMm: Math.max(...all) - Math.min(...all) }
}
