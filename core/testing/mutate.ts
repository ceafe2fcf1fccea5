import fc from 'fast-check'
import { type Part, partIssues, partSchema } from '../catalogue/index.ts'

type Path = readonly (string | number)[]

/** Every number of a part: where it stands. */
const figuresOf = (value: unknown, path: Path = []): Path[] => {
  if (typeof value === 'number') return [path]
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, inner]) =>
    figuresOf(inner, [...path, Array.isArray(value) ? Number(key) : key]),
  )
}

const withFigure = (value: unknown, [key, ...rest]: Path, figure: number): unknown => {
  if (key === undefined) return figure
  if (Array.isArray(value)) return value.map((item: unknown, i) => (i === key ? withFigure(item, rest, figure) : item))
  const object = value as Record<string, unknown>
  return { ...object, [key]: withFigure(object[key], rest, figure) }
}

/** Figures that break formulas: nothing, so little that a division overflows, far too much. */
const nasty = [0, 5e-324, 1e-300, 1e-9, 1e-3, 0.2, 1, 7, 99, 2999, 60_000, 1e6, -1, -0.5]

/** One figure of one part changed to another. */
export interface Mutation {
  readonly part: string
  readonly at: string
  readonly to: number
}

/** Some figures of some parts, each changed to one that breaks formulas. */
export const mutations = (parts: readonly Part[], most: number): fc.Arbitrary<readonly Mutation[]> =>
  fc.array(
    fc.constantFrom(...parts).chain((part) =>
      fc.record({
        part: fc.constant(part.id),
        at: fc.constantFrom(...figuresOf(part).map((path) => path.join('.'))),
        to: fc.constantFrom(...nasty),
      }),
    ),
    { minLength: 1, maxLength: most },
  )

/** The parts with those changes that the schema and the rules for parts still let in. */
export const mutated = (parts: readonly Part[], changes: readonly Mutation[]): readonly Part[] => {
  const now = new Map(parts.map((part) => [part.id, part]))
  for (const { part, at, to } of changes) {
    const path = at.split('.').map((key) => (/^\d+$/.test(key) ? Number(key) : key))
    const parsed = partSchema.safeParse(withFigure(now.get(part), path, to))
    if (parsed.success && partIssues(parsed.data).length === 0) now.set(part, parsed.data)
  }
  return [...now.values()]
}
