import { flatMap } from '../kernel/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Assessment } from './evaluate.ts'

/** Where a tool is when the rig is worked on: nobody should learn at the kerb that the key lies at home. */
export type ToolAt = 'rig' | 'bag' | 'locker' | 'pocket' | 'missing'

export interface ToolPlace {
  readonly tool: string
  readonly at: ToolAt
  /** The part that is the tool, or holds it; of a missing one the lightest that would be it. */
  readonly part?: { readonly id: string; readonly name: string }
}

/** What everybody has in a pocket. */
const IN_POCKET: ReadonlySet<string> = new Set(['coin'])

const serving = (parts: Iterable<Part>, tool: string): Part | undefined =>
  [...parts]
    .filter(({ serves }) => serves?.includes(tool))
    .sort((a, b) => a.massG - b.massG || (a.id < b.id ? -1 : 1))[0]

/**
 * Where each tool is on a day with these set-ups: held by something that sits on the rig in all of them, in the bag with
 * the kit, a coin in a pocket, owned and lying elsewhere, or nowhere.
 */
export const toolPlacesOf = (day: readonly Assessment[], tools: readonly string[]): readonly ToolPlace[] => {
  const [first] = day
  if (!first) return []
  const { catalogue, owned } = first.facts.context
  const onAll = first.assembly.placed
    .map(({ part }) => part)
    .filter((part) => day.every(({ assembly }) => assembly.placed.some((piece) => piece.part.id === part.id)))
  const kit = flatMap(first.rig.kit, ({ partId, status }) =>
    status === 'in' ? (catalogue.parts.get(partId) ?? []) : [],
  )
  const own = [...catalogue.parts.values()].filter(({ id }) => (owned.get(id) ?? 0) > 0)
  return tools.map((tool): ToolPlace => {
    const found = (at: ToolAt, parts: Iterable<Part>): ToolPlace | undefined => {
      const part = serving(parts, tool)
      return part && { tool, at, part: { id: part.id, name: part.name } }
    }
    return (
      found('rig', onAll) ??
      found('bag', kit) ??
      (IN_POCKET.has(tool) ? { tool, at: 'pocket' } : undefined) ??
      found('locker', own) ??
      found('missing', catalogue.parts.values()) ?? { tool, at: 'missing' }
    )
  })
}
