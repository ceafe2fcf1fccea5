import { type Command, type Rig, swapCommands } from '../assembly/index.ts'
import { type Shelf, spareOwned } from '../checks/index.ts'
import { effectOf } from './effect.ts'
import { evaluate } from './evaluate.ts'
import { byHarm, type Fit } from './fits-here.ts'

/** Parts of the same role that could take a piece's place, each with what it would change; what loses a neighbour is left out. */
export const swapsFor = (rig: Rig, setupId: string, instance: string, shelf: Shelf): readonly Fit[] => {
  const before = evaluate(rig, setupId, shelf, false)
  const piece = before.assembly.byInstance.get(instance)
  if (!piece) return []
  const others = (shelf.catalogue.byRole.get(piece.part.role) ?? []).filter((part) => part.id !== piece.part.id)
  const fits = others.flatMap((part): Fit[] => {
    const commands: readonly Command[] = swapCommands(rig, instance, part, shelf.catalogue)
    if (commands.some((command) => command.do === 'take-off')) return []
    const effect = effectOf(rig, setupId, commands, shelf, before)
    return 'issues' in effect ? [] : [{ part, from: spareOwned(before.facts, part) ? 'owned' : 'catalogue', commands, effect }]
  })
  return fits.sort(byHarm)
}
