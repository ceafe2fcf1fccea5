import {
  beyondGimbal,
  gripsOf,
  groundOf,
  hangsOf,
  inHand,
  isPosture,
  jointLoadsOf,
  massOf,
  onPlateOf,
  palmsOf,
  shoulderOf,
  standOf,
  steadinessOf,
  tipOf,
  twoHandsOf,
} from '../balance/index.ts'
import { add, scale, type Vec3, zero } from '../kernel/index.ts'
import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { type Run, saversOf, wornOf } from '../cabling/index.ts'
import { fact, type FactTable } from './define.ts'
import { lotOfParts } from './lots.ts'
import { isFirm } from './figures.ts'

type Names =
  | 'mass'
  | 'leadWeights'
  | 'worn'
  | 'ground'
  | 'loads'
  | 'hangs'
  | 'hang'
  | 'stand'
  | 'hands'
  | 'grips'
  | 'palms'
  | 'onPlate'
  | 'gimbal'
  | 'shoulder'
  | 'tip'
  | 'steadiness'

/** The leads that weigh on the rig, all of them or one half. */
const hanging = (leads: readonly Run[]): readonly Run[] => leads.filter(({ onRig }) => onRig > 0)
/** Both halves of what a lead to somewhere off the rig weighs hang on its one end here. */
const endsOn = ({ off }: Assembly, [a, b]: readonly [PlacedPart, PlacedPart]) => {
  const here = off.some(({ piece }) => piece === a) ? b : a
  return [here, here] as const
}

const withGrips = lotOfParts(({ grips }) => grips.length > 0)

/** What weighs, hangs, stands and tips. */
export const balanceFacts: FactTable<Names> = {
  mass: fact(['leads'], ({ assembly, leads }) =>
    massOf(assembly, [
      ...hanging(leads).map(({ link, part, middle, onRig }) => ({
        massG: part.massG * onRig,
        at: middle,
        instance: link.cable,
        part,
      })),
      ...saversOf(leads).map(({ id, part, at }) => ({ massG: part.massG, at, instance: id, part })),
    ]),
  ),
  leadWeights: fact(['leads'], ({ assembly, leads }) => [
    ...hanging(leads).map(({ part, middle, onRig, from, to }) => ({
      massG: part.massG * onRig,
      at: middle,
      ends: onRig === 1 ? ([from.piece, to.piece] as const) : endsOn(assembly, [from.piece, to.piece]),
    })),
    ...saversOf(leads).map(({ part, at, piece }) => ({ massG: part.massG, at, ends: [piece, piece] as const })),
  ]),
  /** What goes along off the rig, by place. */
  worn: fact(['leads'], ({ assembly, leads }) => wornOf(assembly, leads)),
  /** What bears this set-up: palms, pad, stand or knees, each with its part. */
  ground: fact(['mass', 'leadWeights'], ({ assembly, mass, leadWeights }) => groundOf(assembly, mass, leadWeights)),
  /** What each joint has to carry, by the piece that sits by it. */
  loads: fact(['ground', 'leadWeights'], ({ assembly, ground, leadWeights }) =>
    jointLoadsOf(assembly, ground, leadWeights, assembly.braces.filter(isFirm)),
  ),
  /** How it hangs from each top handle, the best first; and from that one. */
  hangs: fact(['mass'], ({ assembly, mass }) => hangsOf(assembly, mass)),
  hang: fact(['hangs'], ({ hangs }) => hangs[0]),
  stand: fact(['mass'], ({ assembly, mass }) => standOf(assembly, mass)),
  hands: fact([], ({ assembly }) => twoHandsOf(assembly)),
  grips: fact([], (facts) => gripsOf({ placed: withGrips(facts) })),
  /** Hands where they hold it. */
  palms: fact([], ({ assembly }) => palmsOf(assembly)),
  onPlate: fact(['mass'], ({ assembly, mass }) => onPlateOf(assembly, mass)),
  gimbal: fact(['mass'], ({ assembly, mass }) => beyondGimbal(assembly, mass)),
  shoulder: fact(['mass'], ({ assembly, mass }) => shoulderOf(assembly, mass)),
  tip: fact(['leadWeights'], ({ assembly, leadWeights }) => tipOf(assembly, leadWeights)),
  /** Shake against the bare camera, both about the hand that holds them; none on a stand. */
  steadiness: fact(['ground', 'mass', 'leadWeights'], ({ assembly, ground, mass, leadWeights }) => {
    const [camera] = assembly.placed
    if (!camera || !isPosture(assembly.setup.support)) return undefined
    const { bearings } = ground
    const palm = bearings.reduce<Vec3>((sum, { at, share }) => add(sum, scale(at, share)), zero)
    return steadinessOf(assembly.placed.filter(inHand), bearings.length > 0 ? palm : mass.centre, camera, leadWeights)
  }),
}
