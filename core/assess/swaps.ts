import { flatMap } from '../kernel/index.ts'
import { type Command, type PlacedPart, type Rig, swapCommands } from '../assembly/index.ts'
import { type MountEnd, mountOf, partnersOf } from '../catalogue/index.ts'
import { spareOwned } from '../checks/index.ts'
import { type Context } from '../context/index.ts'
import { effectOf } from './effect.ts'
import { evaluate } from './evaluate.ts'
import { byHarm, type Fit } from './fits-here.ts'

const hostPoint = ({ host, joint }: PlacedPart): MountEnd | undefined => {
  const mount = host && joint && mountOf(host.part, joint.hostMount)
  return host && mount && { part: host.part, mount }
}

/**
 * Parts of the same role that could take a piece's place, each with what it would change; what loses a neighbour is
 * left out.
 */
export const swapsFor = (rig: Rig, setupId: string, instance: string, given: Context): readonly Fit[] => {
  const before = evaluate(rig, setupId, given)
  const { context } = before.facts
  const piece = before.assembly.byInstance.get(instance)
  if (!piece) return []
  // Of a part nobody knows any more not even the role is known: then whatever goes on its point is a choice.
  const point = context.catalogue.gone.get(piece.part.id) === 'placeholder' ? hostPoint(piece) : undefined
  const sameKind = point
    ? partnersOf(point.part, point.mount, context.catalogue)
    : (context.catalogue.byRole.get(piece.part.role) ?? [])
  const others = sameKind.filter((part) => part.id !== piece.part.id)
  const fits = flatMap(others, (part): Fit[] => {
    const commands: readonly Command[] = swapCommands(rig, instance, part, context.catalogue)
    if (commands.some((command) => command.do === 'take-off')) return []
    const effect = effectOf(rig, commands, before)
    return 'issues' in effect
      ? []
      : [{ part, from: spareOwned(before.facts, part) ? 'owned' : 'catalogue', commands, effect }]
  })
  return fits.sort(byHarm)
}
