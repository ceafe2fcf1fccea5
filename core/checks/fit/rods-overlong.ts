import { cheapestFirst } from '../../catalogue/index.ts'
import { z } from 'zod'
import { type Command, type PlacedPart, rodRails, rodUse } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, type Remedy } from '../check.ts'
import { factsAfter } from '../cures.ts'
import type { Facts } from '../../facts/index.ts'

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
  subjects: (facts) =>
    facts.assembly.placed.filter((piece) => piece.part.role === 'rods' && piece.host && rodUse(facts.assembly, piece)),
  judge: (rods, facts, { spareMm }) => {
    const { longMm, usedMm } = rodUse(facts.assembly, rods) ?? { longMm: 0, usedMm: 0 }
    const names = { rods: rods.part.name }
    const numbers = { overMm: longMm - usedMm, usedMm, longMm, spareMm }
    return exceeds(longMm - usedMm, spareMm)
      ? { group: 'speaks', message: 'long', names, numbers, parts: [rods.instance.id], at: rods.centre }
      : { group: 'silent', message: 'right', names, numbers }
  },
  remedies: (rods, facts, _, { spareMm }) => shorter(rods, facts, spareMm),
})

/** The shortest pair that still carries everything where it stands now. */
const shorter = (rods: PlacedPart, facts: Facts, spareMm: number): Remedy[] => {
  const now = rodUse(facts.assembly, rods)
  if (!now) return []
  const setup = facts.assembly.setup.id
  const pairs = (facts.context.catalogue.byRole.get('rods') ?? [])
    .flatMap((part) => {
      const lengthMm = rodRails(part)[0]?.lengthMm
      return lengthMm !== undefined && lengthMm < now.longMm && lengthMm >= now.usedMm ? [{ part, lengthMm }] : []
    })
    .sort((a, b) => a.lengthMm - b.lengthMm || cheapestFirst(a.part, b.part))
  for (const { part, lengthMm } of pairs) {
    const commands: Command[] = [{ do: 'swap', instance: rods.instance.id, partId: part.id }]
    // The rail's zero is its middle: with shorter rods everything slides by half the difference to stay where it is.
    for (const piece of facts.assembly.placed)
      if (piece.host === rods && piece.joint)
        commands.push({
          do: 'set',
          setup,
          instance: piece.instance.id,
          slideMm: piece.joint.slideMm + (now.longMm - lengthMm) / 2,
        })
    const after = factsAfter(facts, commands)
    const swapped = after?.assembly.byInstance.get(rods.instance.id)
    const left = after && swapped && rodUse(after.assembly, swapped)
    if (
      after &&
      left &&
      left.longMm - left.usedMm <= spareMm &&
      after.assembly.placed.every((piece) => piece.host !== swapped || piece.mate?.ok)
    )
      return [{ text: 'swap the {role} for {part}', numbers: {}, names: { role: 'rods', part: part.name }, commands }]
  }
  return []
}
