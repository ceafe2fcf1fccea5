import { flatMap } from '../kernel/index.ts'
import type { PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Finding } from '../checks/index.ts'
import type { Assessment } from './evaluate.ts'

/** So many of a part are on one rig and not on the other. */
export interface Difference {
  readonly part: Part
  readonly count: number
}

/** How two rigs, or two marks of one, differ in a set-up of each. */
export interface Beside {
  /** Parts the second has more of, and those the first has more of. */
  readonly came: readonly Difference[]
  readonly went: readonly Difference[]
  /** On both, and joined or set otherwise. */
  readonly moved: readonly Part[]
  readonly gained: readonly Finding[]
  readonly lost: readonly Finding[]
}

const countIn = ({ assembly, facts }: Assessment): ReadonlyMap<string, Difference> => {
  const all = new Map<string, Difference>()
  const parts = [...assembly.placed.map(({ part }) => part), ...assembly.off.map(({ piece }) => piece.part)]
  for (const part of [...parts, ...facts.leads.map((lead) => lead.part)])
    all.set(part.id, { part, count: (all.get(part.id)?.count ?? 0) + 1 })
  return all
}

const moreIn = (a: Assessment, b: Assessment): readonly Difference[] => {
  const there = countIn(a)
  return flatMap([...countIn(b).values()], ({ part, count }) => {
    const more = count - (there.get(part.id)?.count ?? 0)
    return more > 0 ? [{ part, count: more }] : []
  })
}

/** A trouble by its rule and the parts it is about: pieces of two rigs have no names in common. */
const troubles = ({ assembly, findings }: Assessment): ReadonlyMap<string, Finding> => {
  const partOf = (id: string) => assembly.byInstance.get(id)?.part.id ?? ''
  return new Map(
    findings.map((finding) => [
      [finding.level, finding.check, finding.message, ...finding.parts.map(partOf).sort()].join(' '),
      finding,
    ]),
  )
}

const without = (a: ReadonlyMap<string, Finding>, b: ReadonlyMap<string, Finding>): readonly Finding[] =>
  flatMap([...a], ([key, finding]) => (b.has(key) ? [] : [finding]))

const seatOf = ({ joint, host }: PlacedPart): string =>
  joint && host
    ? [joint.guestMount, host.part.id, joint.hostMount, joint.slideMm.toFixed(1), joint.turnDeg.toFixed(1)].join(' ')
    : ''

/** Lays the second beside the first. */
export const besideOf = (a: Assessment, b: Assessment): Beside => {
  const seats = (side: Assessment) => {
    const all = new Map<string, string[]>()
    for (const piece of side.assembly.placed)
      all.set(piece.part.id, [...(all.get(piece.part.id) ?? []), seatOf(piece)].sort())
    return all
  }
  const [before, after] = [seats(a), seats(b)]
  const [was, is] = [troubles(a), troubles(b)]
  const parts = new Map(b.assembly.placed.map(({ part }) => [part.id, part]))
  return {
    came: moreIn(a, b),
    went: moreIn(b, a),
    moved: [...parts.values()].filter(({ id }) => {
      const [one, other] = [before.get(id), after.get(id)]
      return one && other && one.length === other.length && one.join('|') !== other.join('|')
    }),
    gained: without(is, was),
    lost: without(was, is),
  }
}
