import type { Role } from './roles.ts'
import type { Mount, Part } from './part.ts'

/** All known parts, by id and by role. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, Part>
  readonly byRole: ReadonlyMap<Role, readonly Part[]>
  /** The parts that have a mount of this standard. */
  readonly byStandard: ReadonlyMap<string, readonly Part[]>
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

/** Indexes parts for look-up. A later part with the same id takes the place of an earlier one. */
export const catalogueOf = (list: readonly Part[]): Catalogue => {
  const parts = new Map(list.map((part) => [part.id, part]))
  const all = [...parts.values()]
  return { parts, byRole: groupBy(all, (part) => [part.role]), byStandard: groupBy(all, (part) => part.mounts.map((m) => m.standard)) }
}

export const mountOf = (part: Part, id: string): Mount | undefined => part.mounts.find((mount) => mount.id === id)
