import { flatMap } from '../kernel/index.ts'
import { edit, type Rig, type Setup } from '../assembly/index.ts'
import { inHand } from '../balance/index.ts'
import type { Context } from '../context/index.ts'
import { type Assessment, evaluate, tryOut } from './evaluate.ts'

/** One form the rig could have, as a point between light and steady. */
export interface Variant {
  readonly id: string
  readonly name: string
  /** now: the set-up in hand; setup: another of the rig's; without: one part left out; bare: the camera alone. */
  readonly kind: 'now' | 'setup' | 'without' | 'bare'
  readonly massG: number
  /** Yaw shake against the bare camera; lower is steadier. */
  readonly yawShake: number
  readonly holdMinutes: number | undefined
}

const point = (
  id: string,
  name: string,
  kind: Variant['kind'],
  { mass, steadiness, holdMinutes }: Assessment,
): Variant[] => (steadiness ? [{ id, name, kind, massG: mass.inHandG, yawShake: steadiness.yaw, holdMinutes }] : [])

/** The set-up with its camera alone, held the same way. */
const bared = (rig: Rig, setup: Setup): Rig => ({
  ...rig,
  setups: rig.setups.map((own) =>
    own.id === setup.id ? { ...own, joints: [], braces: [], poses: [], links: [] } : own,
  ),
})

/**
 * Light against steady over the rig's variants: the set-up in hand, the other set-ups that are carried, the one in hand
 * without each part that ends a branch, and the bare camera. Set-ups on a stand have no shake of the hand and are left
 * out.
 */
export const variantsOf = (rig: Rig, setupId: string, context: Context): readonly Variant[] => {
  const now = evaluate(rig, setupId, context)
  const { setup, placed } = now.assembly
  const hosts = new Set(placed.map(({ host }) => host))
  const ends = placed.filter((piece) => piece.joint && inHand(piece) && !hosts.has(piece) && piece.part.role !== 'lens')
  return [
    ...point(setup.id, setup.name, 'now', now),
    ...flatMap(
      rig.setups.filter((other) => other.id !== setup.id),
      (other) => point(other.id, other.name, 'setup', evaluate(rig, other.id, context)),
    ),
    ...flatMap(ends, (piece) => {
      const off = edit(rig, [{ do: 'take-off', setup: setup.id, instance: piece.instance.id }], context.catalogue)
      return off.ok
        ? point(`-${piece.instance.id}`, `without ${piece.part.name}`, 'without', tryOut(off.value, now))
        : []
    }),
    ...point('bare', 'bare camera', 'bare', tryOut(bared(rig, setup), now)),
  ]
}
