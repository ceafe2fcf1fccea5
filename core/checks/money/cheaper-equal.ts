import { z } from 'zod'
import type { PlacedPart, Rig } from '../../assembly/index.ts'
import { standRoles } from '../../balance/index.ts'
import type { Catalogue, Part } from '../../catalogue/index.ts'
import { numberOf, perPair, perPairKey, perThing, flatMap } from '../../kernel/index.ts'
import { type Cost, costOf, lineOf } from '../../money/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { cheaperEquals, takesAll } from '../equal.ts'

/** So many cheaper ones are tried, the cheapest first. */
const MOST_TRIED = 4

interface Equal {
  readonly part: Part
  /** What the whole bill falls by: what else comes in either box is in it. */
  readonly savesMinor: number
}

/** What a stand has to bear is for its own rules to judge. */
const canBeWeighed = ({ part }: PlacedPart): boolean => !standRoles.has(part.role)

const inBoxes = perThing('what comes in boxes', (lines: Cost['lines']): ReadonlySet<string> => {
  const all = new Set<string>()
  for (const { part } of lines) if (part.includes) for (const one of part.includes) all.add(one)
  return all
})
/** Neither part has to do with anything else in a box, nor lies in the locker: then the bill falls by their difference. */
const arePlain = ({ cost, context: { owned } }: Sees<'cost'>, ...parts: readonly Part[]): boolean =>
  parts.every(({ id, includes }) => !includes?.length && !owned.has(id) && !inBoxes(cost.lines).has(id))

const boxesIn = perPair('parts of a kit with boxes', (kit: Rig['kit'], { parts }: Catalogue): readonly Part[] =>
  flatMap(kit, ({ partId }) => {
    const part = parts.get(partId)
    return part?.includes?.length ? [part] : []
  }),
)

/** The parts whose price hangs on one of these by a box: what comes in its box, and in whose box it comes; of the kit the boxes are enough. */
const boxedWith = (seeds: readonly Part[], kit: readonly Part[]): ReadonlySet<string> => {
  const all = new Set(flatMap(seeds, ({ id, includes = [] }) => [id, ...includes]))
  for (let size = 0; size !== all.size;) {
    size = all.size
    for (const { id, includes = [] } of kit)
      if (all.has(id) || includes.some((one) => all.has(one))) for (const one of [id, ...includes]) all.add(one)
  }
  return all
}

/** What a bill falls by when one part stands for another: the same for all kits that have the same to do with either box. */
const saved = perPairKey<Part, Part, number>('what a swap saves')

/** What the whole bill falls by: all that has nothing to do with either box stays as it is, and is left out. */
const savesInAll = ({ assembly, context }: Sees, piece: PlacedPart, part: Part): number => {
  const { catalogue, owned } = context
  const whole = assembly.rig.kit
  const mine = boxedWith([piece.part, part], boxesIn(whole, catalogue))
  const kit = whole.filter(({ partId }) => mine.has(partId))
  const isMine = ({ id }: Rig['kit'][number]): boolean => id === piece.instance.id
  const said = kit.map((one) => `${one.partId} ${one.status} ${isMine(one) ? 'this' : ''}`)
  return saved(piece.part, part, [numberOf(catalogue), numberOf(owned), ...said].join(), () => {
    const swapped = kit.map((one) => (isMine(one) ? { ...one, partId: part.id } : one))
    return costOf({ kit }, catalogue, owned).usual - costOf({ kit: swapped }, catalogue, owned).usual
  })
}

interface Instead {
  readonly piece: PlacedPart
  readonly part: Part
}
const savesOf = (facts: Sees<'cost'>, { piece, part }: Instead): number =>
  arePlain(facts, piece.part, part) ? piece.part.price.usual - part.price.usual : savesInAll(facts, piece, part)

const isPaid = ({ cost }: Sees<'cost'>, { instance }: PlacedPart): boolean => {
  const line = lineOf(cost, instance.id)
  return line !== undefined && !line.owned && line.usual > 0
}

/** The cheapest equal that takes all that sits there, in every set-up, and makes the whole bill smaller. */
const bestOf = (facts: Sees<'cost' | 'asked'>, piece: PlacedPart): Equal | undefined => {
  const equals = cheaperEquals(facts, piece).slice(0, MOST_TRIED)
  if (equals.length === 0) return undefined
  const goesOn = takesAll(facts, piece)
  for (const part of equals) {
    if (!goesOn(part)) continue
    const savesMinor = takenFrom(facts, { piece, part }, savesOf)
    if (savesMinor > 0) return { part, savesMinor }
  }
  return undefined
}

/** Something dearer than it need be for this job. */
export const cheaperEqual = defineCheck<PlacedPart, { leastMinor: number }, 'cost' | 'asked'>({
  id: 'cheaper-equal',
  family: 'money',
  title: 'A cheaper one does the same',
  why: 'The money is missing elsewhere, and nobody sees the difference on this job.',
  level: 'hint',
  source:
    'What this rig uses of it: sockets with a lead, what the brief asks, charge, screen, stops, grams, size; all that sits on it in any set-up goes on, and it is weighed by the whole bill with what else is in either box. 20.00 at least are worth a word.',
  options: z.object({ leastMinor: z.int().positive() }),
  defaults: { leastMinor: 2000 },
  units: { leastMinor: 'minor' },
  needs: ['cost', 'asked'],
  limit: { measured: 'savesMinor', allowed: 'leastMinor' },
  messages: {
    speaks: {
      cheaper:
        '{other} does the same for this job. It costs {otherMinor:minor} where {part} costs {priceMinor:minor}; the bill falls by {savesMinor:minor}.',
    },
    silent: {
      paid: '{part} costs nothing more.',
      dear: 'Nothing cheaper does what {part} does.',
      little: '{other} would save {savesMinor:minor}: too little for a word.',
    },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.joint !== undefined && canBeWeighed(piece)),
  judge: (piece, facts, { leastMinor }) => {
    const paid = takenFrom(facts, piece, isPaid)
    if (!paid) return { group: 'silent', message: 'paid', names: { part: piece.part.name } }
    const found = bestOf(facts, piece)
    const names = { part: piece.part.name, other: found?.part.name ?? '' }
    if (!found) return { group: 'silent', message: 'dear', names }
    const { savesMinor } = found
    const numbers = { savesMinor, leastMinor, priceMinor: piece.part.price.usual, otherMinor: found.part.price.usual }
    return savesMinor > leastMinor
      ? { group: 'speaks', message: 'cheaper', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'little', names, numbers }
  },
  aims: (piece, facts) => {
    const found = bestOf(facts, piece)
    return found ? [{ do: 'swap', piece, for: [found.part] }] : []
  },
})
