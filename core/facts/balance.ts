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
import { fact, type FactTable } from './define.ts'
import { isFirm } from './figures.ts'

type Names =
  | 'mass'
  | 'leadWeights'
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

/** What weighs, hangs, stands and tips. */
export const balanceFacts: FactTable<Names> = {
  mass: fact(['leads'], ({ assembly, leads }) =>
    massOf(
      assembly,
      leads.map(({ link, part, middle }) => ({ massG: part.massG, at: middle, instance: link.cable, part })),
    ),
  ),
  leadWeights: fact(['leads'], ({ leads }) =>
    leads.map(({ part, middle, from, to }) => ({ massG: part.massG, at: middle, ends: [from.piece, to.piece] })),
  ),
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
  grips: fact([], ({ assembly }) => gripsOf(assembly)),
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
