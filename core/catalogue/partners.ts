import type { Catalogue } from './catalogue.ts'
import { standardOf, standards } from './interfaces/index.ts'
import { perKey, flatMap } from '../kernel/index.ts'
import { mate, matingKey } from './mating.ts'
import type { Mount, Part } from './part.ts'

/** The standards whose other half a mount is. */
export const standardsFor = ({ standard: id, side }: Mount): readonly string[] =>
  standards
    .filter((other) => (side === 'holds' ? standardOf(id).accepts.includes(other.id) : other.accepts.includes(id)))
    .map((other) => other.id)

/**
 * The parts of a catalogue that go together with one mount of a part, found by their standards; a second piece of the
 * part itself may be among them.
 */
export const partnersOf = (part: Part, mount: Mount, catalogue: Catalogue): readonly Part[] =>
  partners(catalogue, matingKey({ part, mount }), () => partnersIn(part, mount, catalogue))
const partners = perKey<Catalogue, readonly Part[]>('partners of a mount')

const partnersIn = (part: Part, mount: Mount, catalogue: Catalogue): readonly Part[] => {
  // Asking two ends whether they mate is dear when they do not; most do not for their half or their standard alone.
  const takes = new Set(standardsFor(mount))
  const near = new Set(flatMap([...takes], (id) => catalogue.byStandard.get(id) ?? []))
  return [...near].filter((other) =>
    other.mounts.some(
      (own) =>
        !own.carries &&
        own.side !== mount.side &&
        takes.has(own.standard) &&
        mate({ part, mount }, { part: other, mount: own }).ok,
    ),
  )
}
