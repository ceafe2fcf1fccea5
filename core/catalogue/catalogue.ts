import type { Role } from './roles.ts'
import type { Mount, Part } from './part.ts'

/** All known parts, by id and by role. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, Part>
  readonly byRole: ReadonlyMap<Role, readonly Part[]>
  /** The parts that have a mount of this standard. */
  readonly byStandard: ReadonlyMap<string, readonly Part[]>
  /**
   * Parts that are still known because rigs use them, and are no longer offered; those nobody knows anything of are
   * placeholders.
   */
  readonly gone: ReadonlyMap<string, 'taken-out' | 'placeholder'>
}

const groupBy = <K>(parts: readonly Part[], keysOf: (part: Part) => readonly K[]): Map<K, Part[]> => {
  const groups = new Map<K, Part[]>()
  for (const part of parts)
    for (const key of new Set(keysOf(part))) {
      const group = groups.get(key)
      if (group) group.push(part)
      else groups.set(key, [part])
    }
  return groups
}

/**
 * Indexes parts for look-up. A later part with the same id takes the place of an earlier one.
 * @param takenOut parts that left the catalogue: rigs that use them find them by id, nobody is offered them
 */
export const catalogueOf = (list: readonly Part[], takenOut: readonly Part[] = []): Catalogue => {
  const offered = new Map(list.map((part) => [part.id, part]))
  const all = [...offered.values()]
  const left = takenOut.filter(({ id }) => !offered.has(id))
  return {
    parts: new Map([...offered, ...left.map((part) => [part.id, part] as const)]),
    byRole: groupBy(all, (part) => [part.role]),
    byStandard: groupBy(all, (part) => part.mounts.map((m) => m.standard)),
    gone: new Map(left.map(({ id }) => [id, 'taken-out'] as const)),
  }
}

/** The same catalogue that also knows some placeholders by their id. */
export const withPlaceholders = (catalogue: Catalogue, placeholders: readonly Part[]): Catalogue =>
  placeholders.length === 0
    ? catalogue
    : {
        ...catalogue,
        parts: new Map([...catalogue.parts, ...placeholders.map((part) => [part.id, part] as const)]),
        gone: new Map([...catalogue.gone, ...placeholders.map(({ id }) => [id, 'placeholder'] as const)]),
      }

/** The parts that are offered: all that are known but those that are gone. */
export const offeredParts = ({ parts, gone }: Catalogue): Part[] =>
  [...parts.values()].filter(({ id }) => !gone.has(id))

export const mountOf = (part: Part, id: string): Mount | undefined => part.mounts.find((mount) => mount.id === id)
