import { cheapestFirst, type Part, type Catalogue } from '../../catalogue/index.ts'
import { z } from 'zod'
import { type PlacedPart, rodRails, rodUse } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { type Facts, lotOf } from '../../facts/index.ts'

const rodsOnSomething = lotOf(({ part, host }) => part.role === 'rods' && host !== undefined)

/** Rods much longer than what rides on them. */
export const rodsOverlong = defineCheck<PlacedPart, { spareMm: number }>({
  id: 'rods-overlong',
  family: 'fit',
  title: 'Rods longer than they need be',
  why: 'They catch, they show in wide shots, and every centimetre is carried all day.',
  level: 'hint',
  source: 'Workshop practice: 60 mm beyond the last clamp leaves room for another lens.',
  options: z.object({ spareMm: z.number().positive() }),
  defaults: { spareMm: 60 },
  units: { spareMm: 'mm' },
  needs: [],
  limit: { measured: 'overMm', allowed: 'spareMm' },
  messages: {
    speaks: {
      long: '{rods} stand {overMm:mm} beyond the last clamp. {usedMm:mm} of {longMm:mm} is used; {spareMm:mm} to spare is plenty.',
    },
    silent: { right: '{rods} end {overMm:mm} beyond the last clamp.' },
    cannotTell: {},
  },
  subjects: (facts) => rodsOnSomething(facts).filter((piece) => rodUse(facts.assembly, piece)),
  judge: (rods, facts, { spareMm }) => {
    const { longMm, usedMm } = rodUse(facts.assembly, rods) ?? { longMm: 0, usedMm: 0 }
    const names = { rods: rods.part.name }
    const numbers = { overMm: longMm - usedMm, usedMm, longMm, spareMm }
    return exceeds(longMm - usedMm, spareMm)
      ? { group: 'speaks', message: 'long', names, numbers, parts: [rods.instance.id], at: rods.centre }
      : { group: 'silent', message: 'right', names, numbers }
  },
  aims: (rods, { assembly, context }, _, { spareMm }) => {
    const now = rodUse(assembly, rods)
    return now
      ? [
          {
            do: 'swap',
            piece: rods,
            for: shorter(context.catalogue, now),
            riders: 'stay',
            until: endsNear(rods, spareMm),
          },
        ]
      : []
  },
})

type Use = NonNullable<ReturnType<typeof rodUse>>

/** Pairs that are long enough for what is used and shorter than these, the shortest first. */
const shorter = ({ byRole }: Catalogue, { longMm, usedMm }: Use): readonly Part[] => {
  const lengthOf = (part: Part): number => rodRails(part)[0]?.lengthMm ?? Infinity
  return (byRole.get('rods') ?? [])
    .filter((part) => lengthOf(part) < longMm && lengthOf(part) >= usedMm)
    .sort((a, b) => lengthOf(a) - lengthOf(b) || cheapestFirst(a, b))
}

/** Does everything still sit on the rods, and end near their end? */
const endsNear =
  ({ instance }: PlacedPart, spareMm: number) =>
  ({ assembly }: Facts): boolean => {
    const rods = assembly.byInstance.get(instance.id)
    const left = rods && rodUse(assembly, rods)
    return (
      left !== undefined &&
      left.longMm - left.usedMm <= spareMm &&
      assembly.placed.every((piece) => piece.host !== rods || piece.mate?.ok === true)
    )
  }
