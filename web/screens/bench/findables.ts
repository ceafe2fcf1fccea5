import type { Assessment } from '@zucchini/core/assess'
import { canGoOff, offPlaceFor, offPlaceWords } from '@zucchini/core/assembly'
import { bagRoles, type Catalogue, mate, offeredParts, type Part, roles } from '@zucchini/core/catalogue'
import { pointName } from '@zucchini/core/checks'
import { reachable } from '../list.ts'
import { wordFilter } from '../../wording.ts'

/** Something the search can take one to. */
export interface Findable {
  readonly id: string
  readonly title: string
  readonly kind: 'piece' | 'open point' | 'part' | 'set-up' | 'screen'
  readonly note: string
  readonly target: string
}

const MOST = 12
/** Begins the target of a part that goes along off the rig. */
export const OFF = 'off '
/** And of one that something has to make a place for. */
export const BETWEEN = 'between '

/** What is bolted on, for which something else may make a place. */
const needsPlace = ({ mounts, role }: Part): boolean => mounts.length > 0 && role !== 'camera' && !bagRoles.has(role)

/**
 * Every piece, open point, set-up, screen and catalogue part, in that order. A part leads to the first open point it goes on.
 */
export const findablesOf = (assessment: Assessment, catalogue: Catalogue): readonly Findable[] => {
  const open = assessment.points.filter((point) => point.open)
  const pieces = assessment.assembly.placed.map(({ instance, part }): Findable => ({
    id: `piece ${instance.id}`,
    title: part.name,
    kind: 'piece',
    note: roles[part.role].title,
    target: instance.id,
  }))
  const points = open.map((point): Findable => {
    const key = `${point.piece.instance.id}/${point.mount.id}`
    return { id: `point ${key}`, title: pointName(point), kind: 'open point', note: point.piece.part.name, target: key }
  })
  const setups = assessment.assembly.rig.setups.map(({ id, name }): Findable => ({
    id: `set-up ${id}`,
    title: name,
    kind: 'set-up',
    note: '',
    target: id,
  }))
  const parts = offeredParts(catalogue).map((part): Findable => {
    const point = open.find(({ piece, mount }) =>
      part.mounts.some((own) => mate({ part: piece.part, mount }, { part, mount: own }).ok),
    )
    return {
      id: `part ${part.id}`,
      title: part.name,
      kind: 'part',
      note: point
        ? `goes on ${pointName(point)}`
        : canGoOff(part)
          ? `no open point takes it; it can go along ${offPlaceWords[offPlaceFor(part)]}`
          : needsPlace(part)
            ? 'no open point takes it; by way of something between, with what it needs'
            : 'no open point takes it',
      target: point
        ? `${point.piece.instance.id}/${point.mount.id}`
        : canGoOff(part)
          ? `${OFF}${part.id}`
          : needsPlace(part)
            ? `${BETWEEN}${part.id}`
            : '',
    }
  })
  const places = reachable.map(({ name, title, note }): Findable => ({
    id: `screen ${name}`,
    title,
    kind: 'screen',
    note,
    target: name,
  }))
  return [...pieces, ...points, ...setups, ...places, ...parts]
}

/** The findables that hold all words of a query; those whose title begins with it come first. */
export const search = (all: readonly Findable[], query: string): readonly Findable[] => {
  const wanted = wordFilter(query)
  const found = all.filter(({ title, note, kind }) => wanted(`${title} ${note} ${kind}`))
  const [first = ''] = query.toLowerCase().trim().split(/\s+/)
  const rank = ({ title }: Findable) => (first && title.toLowerCase().startsWith(first) ? 0 : 1)
  return found
    .map((entry, i) => ({ entry, i }))
    .sort((a, b) => rank(a.entry) - rank(b.entry) || a.i - b.i)
    .slice(0, MOST)
    .map(({ entry }) => entry)
}
