import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { gripsOf, inHand } from '../../balance/index.ts'
import { bagRoles } from '../../catalogue/index.ts'
import { perPair, perThing } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { givers, type Sees } from '../../facts/index.ts'
import { isLeaf } from '../places.ts'

interface Double {
  readonly spare: PlacedPart
  readonly other: PlacedPart | undefined
}

/** The same two are the same subject, so that what was said of them stands. */
const doubled = perPair('two that do the same', (spare: PlacedPart, other: PlacedPart): Double => ({ spare, other }))
const single = perThing('one that nobody repeats', (spare: PlacedPart): Double => ({ spare, other: undefined }))

/** Two hands want two grips: neither of them repeats the other. */
const forTheHands = ({ assembly }: Sees, { part }: PlacedPart): boolean =>
  part.grips.length > 0 &&
  assembly.setup.support !== 'hand-low' &&
  gripsOf(assembly).filter(({ kind }) => kind !== 'shoulder' && kind !== 'chest').length <= 2

/** Nobody who gives nothing repeats another. */
const candidates = (facts: Sees): PlacedPart[] =>
  givers(facts).filter(
    (piece) =>
      piece.host &&
      inHand(piece) &&
      piece.part.role !== 'lens' &&
      !bagRoles.has(piece.part.role) &&
      isLeaf(facts, piece),
  )

/** Another piece of the same role that gives all that this one gives. */
const doubleOf = (facts: Sees, piece: PlacedPart): PlacedPart | undefined => {
  let before = true
  for (const other of givers(facts)) {
    if (other === piece) before = false
    else if (
      other.part.role === piece.part.role &&
      piece.part.provides.every((gift) => other.part.provides.includes(gift)) &&
      (before || piece.part.provides.length !== other.part.provides.length)
    )
      return other
  }
  return undefined
}

/** Two parts that do the same for this job. */
export const needTwice = defineCheck<Double, object>({
  id: 'need-twice',
  family: 'need',
  title: 'Two that do the same',
  why: 'One of them is carried, charged and packed for nothing.',
  level: 'hint',
  source: 'What the parts give, against what the brief asks.',
  options: z.object({}),
  defaults: {},
  needs: [],
  messages: {
    speaks: { twice: '{spare} repeats {other}. Leaving it out saves {massG:g}.' },
    silent: { alone: '{spare} does what no other part of its kind does here.' },
    cannotTell: {},
  },
  subjects: (facts) =>
    candidates(facts).map((spare) => {
      const other = forTheHands(facts, spare) ? undefined : doubleOf(facts, spare)
      return other ? doubled(spare, other) : single(spare)
    }),
  judge: ({ spare, other }) => {
    if (!other) return { group: 'silent', message: 'alone', names: { spare: spare.part.name } }
    const names = { spare: spare.part.name, other: other.part.name }
    const parts = [spare.instance.id, other.instance.id]
    return { group: 'speaks', message: 'twice', names, numbers: { massG: spare.part.massG }, parts, at: spare.centre }
  },
  aims: ({ spare }) => [{ do: 'take-off', piece: spare }],
})
