import { demoParts } from '@zucchini/demo/catalogue'
import fc from 'fast-check'
import { plug, socket, tinyPart } from '../testing/index.ts'
import { kindFields, mate, matingKey, type Mount, type MountEnd, type Part, standardOf, standards } from './index.ts'

const ends: readonly MountEnd[] = demoParts.flatMap((part) => part.mounts.map((mount) => ({ part, mount })))
const family = fc.constantFrom('a', 'b', '77', '82 mm')
const mm = fc.integer({ min: 0, max: 60 })
/** A mount of any standard with anything that a mount may say of itself, whether its kind has a use for it or not. */
const anyEnd: fc.Arbitrary<MountEnd> = fc
  .record({
    standard: fc.constantFrom(...standards.map(({ id }) => id)),
    side: fc.constantFrom('holds' as const, 'sits' as const),
    family,
    almost: fc.array(family, { maxLength: 2 }),
    lengthMm: mm,
    slidesOn: fc.boolean(),
    flangeMm: fc.constantFrom(18, 20, 44),
    odMm: mm,
    closesOn: fc.constant({ minMm: 10, maxMm: 40 }),
    spacingMm: mm,
    slotMm: fc.integer({ min: 0, max: 5 }),
    screws: fc.constantFrom(undefined, 1, 2),
    fits: fc.array(family, { maxLength: 2 }),
  })
  .map(({ side, standard, fits, ...more }) => {
    const mount: Mount =
      side === 'holds'
        ? socket('end', standard, [0, 0, 0], [0, 1, 0], more as Partial<Mount>)
        : plug('end', standard, more as Partial<Mount>)
    return { part: tinyPart({ id: 'any', fits, mounts: [mount] }), mount }
  })
/** The joint two ends make, or why they make none, without the parts themselves. */
const jointOf = (a: MountEnd, b: MountEnd): unknown => {
  const made = mate(a, b)
  if (!made.ok) return made.issues.map(({ code }) => code)
  const { socket: _, plug: __, standard, ...rest } = made.value
  return { ...rest, standard: standard.id }
}

test('ends with the same key make the same joints with everything', () => {
  fc.assert(
    fc.property(anyEnd, anyEnd, fc.constantFrom(...ends), (one, other, third) => {
      // All fields its kind has no use for are the other one's.
      const kept = new Set<string>([...standardOf(one.mount.standard).fields, 'standard', 'side', 'screws'])
      const strange = Object.fromEntries(kindFields.filter((f) => !kept.has(f)).map((f) => [f, other.mount[f]]))
      const twin: MountEnd = { part: one.part, mount: { ...one.mount, ...strange, label: 'another', at: [1, 2, 3] } }
      expect(matingKey(twin)).toBe(matingKey(one))
      for (const end of [other, third]) expect(jointOf(twin, end)).toEqual(jointOf(one, end))
    }),
  )
})

test('a standard reads of a mount what it says it does, and nothing else', () => {
  const read = new Set<string>()
  const noting = ({ part, mount }: MountEnd): MountEnd => ({
    part,
    mount: new Proxy(mount, { get: (target, name: string) => (read.add(name), target[name as keyof Mount]) }),
  })
  fc.assert(
    fc.property(fc.constantFrom(...standards), anyEnd, anyEnd, (standard, a, b) => {
      read.clear()
      const [holds, sits] = [noting(a), noting(b)]
      standard.objections(holds, sits)
      standard.fault?.(holds, sits)
      standard.along?.takesMm(standard.along.rail === 'holds' ? sits : holds)
      const known = new Set<string>(['id', 'side', 'standard', ...standard.fields])
      expect([...read].filter((name) => !known.has(name))).toEqual([])
    }),
    { numRuns: 400 },
  )
})

test('no part of the demo says of a mount what its kind has no use for', () => {
  const strange = ({ id, mounts }: Part) =>
    mounts.flatMap((mount) =>
      kindFields
        .filter((field) => mount[field] !== undefined && !standardOf(mount.standard).fields.includes(field))
        .map((field) => `${id}/${mount.id}: ${field}`),
    )
  expect(demoParts.flatMap(strange)).toEqual([])
})

test('a seat for certain bodies is another one for other bodies', () => {
  const seat = plug('seat', 'body')
  const [first, second] = ['one', 'two'].map((id) => ({ part: tinyPart({ id: 'cage', fits: [id] }), mount: seat }))
  expect(matingKey(first as MountEnd)).not.toBe(matingKey(second as MountEnd))
})
