import { dayOf, temperatureOf } from '../brief/index.ts'
import { marginsOf } from '../context/index.ts'
import { batteriesOf, baysOf, drawIn, networkOf, planDay, runDown, sparesOf } from '../power/index.ts'
import { fact, type FactTable } from './define.ts'

type Names = 'network' | 'spares' | 'bays' | 'runDown' | 'day'

/** What feeds what, and for how long. */
export const powerFacts: FactTable<Names> = {
  network: fact(
    ['cables'],
    ({ assembly, context, cables }) =>
      networkOf(assembly, cables, temperatureOf(assembly.rig.brief), marginsOf(context).power),
    'electric',
  ),
  spares: fact(
    [],
    ({ assembly, context }) => sparesOf(assembly, temperatureOf(assembly.rig.brief), marginsOf(context).power),
    'electric',
  ),
  bays: fact(
    [],
    ({ assembly, context }) =>
      baysOf(
        assembly,
        batteriesOf(assembly).map(({ part }) => part),
        (id) => context.catalogue.parts.get(id),
      ),
    'electric',
  ),
  /** Everything on and recording without a break: what is empty when, and what goes dark. */
  runDown: fact(['network'], ({ network }) => runDown(network, drawIn('roll')), 'electric'),
  day: fact(
    ['network', 'spares', 'bays'],
    ({ assembly, network, spares, bays }) => planDay(network, dayOf(assembly.rig.brief), spares, bays),
    'electric',
  ),
}
