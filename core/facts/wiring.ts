import { dayOf, minutesOf } from '../brief/index.ts'
import { picturesOf, runsOf, soundsOf, touchesLeads } from '../cabling/index.ts'
import { marginsOf } from '../context/index.ts'
import { recordingsOf } from '../media/index.ts'
import { cablesOf } from '../power/index.ts'
import { demandsOf } from '../wiring/index.ts'
import { numberOf } from '../kernel/index.ts'
import { startingFrom } from './before.ts'
import { fact, type FactTable } from './define.ts'
import type { Sees } from './figures.ts'

type Names = 'cables' | 'leads' | 'demands' | 'pictures' | 'sounds' | 'recordings'

/** How leads lie, and where picture and sound go. */
export const wiringFacts: FactTable<Names> = {
  /** The parts of the leads that are plugged in, by instance. */
  cables: fact([], ({ assembly, context }) => cablesOf(assembly, (id) => context.catalogue.parts.get(id))),
  leads: fact(
    ['cables'],
    startingFrom({
      find: ({ assembly, cables }: Sees<'cables'>) => runsOf(assembly, cables),
      touches: (piece, { assembly }, was, among) => touchesLeads(piece, assembly.setup.links, was, among),
      about: ({ from, to }) => [from.piece, to.piece],
      key: ({ assembly, cables }) => [assembly.setup.links, assembly.off, cables].map(numberOf).join(),
    }),
  ),
  /** What would have to be joined if no lead were plugged in. */
  demands: fact([], ({ assembly }) => demandsOf(assembly, []), 'electric'),
  pictures: fact(['leads'], ({ assembly, leads }) => picturesOf(assembly, leads), 'electric'),
  sounds: fact(['leads'], ({ assembly, leads }) => soundsOf(assembly, leads), 'electric'),
  /** A recorder makes raw of a raw picture only: what does not arrive is not planned with. */
  recordings: fact(
    ['pictures'],
    ({ assembly, context, pictures }) =>
      recordingsOf(
        assembly,
        minutesOf(dayOf(assembly.rig.brief), 'roll'),
        assembly.rig.brief.codec,
        marginsOf(context).record,
        (piece, { id }) =>
          id !== 'raw' ||
          piece.part.role === 'camera' ||
          pictures.some(({ sink, format }) => sink === piece && format === 'raw'),
      ),
    'electric',
  ),
}
