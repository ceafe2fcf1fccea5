import { z } from 'zod'
import type { Command, PlacedPart } from '../assembly/index.ts'
import { mountOf, type Part, standardOf } from '../catalogue/index.ts'
import { dot, exceeds, point, subtract } from '../kernel/index.ts'
import { defineCheck, type Remedy } from './check.ts'
import { factsAfter } from './cures.ts'
import type { Facts } from './facts.ts'

const railsOf = (part: Part) =>
  part.mounts.filter(({ lengthMm, travel, standard }) => lengthMm !== undefined && travel && standardOf(standard).kind === 'rods')

/** How much of a pair of rods is used from its clamped end, and how long it is, mm. */
const use = (facts: Facts, rods: PlacedPart) => {
  const [rail] = railsOf(rods.part)
  const own = mountOf(rods.part, rods.joint?.guestMount ?? '')
  if (!rail?.lengthMm || !rail.travel || !own) return undefined
  const { along } = rail.travel
  const from = dot(own.at, along)
  const used = facts.assembly.placed.flatMap((piece) => {
    if (piece.host !== rods || !piece.mate?.ok) return []
    const mount = mountOf(piece.part, piece.joint?.guestMount ?? '')
    if (!mount) return []
    const at = subtract(point(piece.frame, mount.at), rods.frame.at)
    const local = [dot(at, rods.frame.x), dot(at, rods.frame.y), dot(at, rods.frame.z)] as const
    return [Math.abs(dot(local, along) - from) + (piece.mate.value.along?.takesMm ?? 0) / 2]
  })
  return { longMm: rail.lengthMm, usedMm: Math.max(0, ...used) }
}

/** Rods much longer than what rides on them. */
export const rodsOverlong = defineCheck<PlacedPart, { spareMm: number }>({
  id: 'rods-overlong',
  title: 'Rods longer than they need be',
  why: 'They catch, they show in wide shots, and every centimetre is carried all day.',
  level: 'hint',
  source: 'Workshop practice: 60 mm beyond the last clamp leaves room for another lens.',
  options: z.object({ spareMm: z.number().positive() }),
  defaults: { spareMm: 60 },
  needs: [],
  limit: { measured: 'overMm', allowed: 'spareMm' },
  messages: {
    speaks: { long: '{rods} stand {overMm} beyond the last clamp. {usedMm} of {longMm} is used; {spareMm} to spare is plenty.' },
    silent: { right: '{rods} end {overMm} beyond the last clamp.' },
    cannotTell: {},
  },
  subjects: (facts) => facts.assembly.placed.filter((piece) => piece.part.role === 'rods' && piece.host && use(facts, piece)),
  judge: (rods, facts, { spareMm }) => {
    const { longMm, usedMm } = use(facts, rods) ?? { longMm: 0, usedMm: 0 }
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
  const now = use(facts, rods)
  if (!now) return []
  const setup = facts.assembly.setup.id
  const pairs = (facts.shelf.catalogue.byRole.get('rods') ?? [])
    .flatMap((part) => {
      const lengthMm = railsOf(part)[0]?.lengthMm
      return lengthMm !== undefined && lengthMm < now.longMm && lengthMm >= now.usedMm ? [{ part, lengthMm }] : []
    })
    .sort((a, b) => a.lengthMm - b.lengthMm || a.part.price.usual - b.part.price.usual || (a.part.id < b.part.id ? -1 : 1))
  for (const { part, lengthMm } of pairs) {
    const commands: Command[] = [{ do: 'swap', instance: rods.instance.id, partId: part.id }]
    // The rail's zero is its middle: with shorter rods everything slides by half the difference to stay where it is.
    for (const piece of facts.assembly.placed)
      if (piece.host === rods && piece.joint)
        commands.push({ do: 'set', setup, instance: piece.instance.id, slideMm: piece.joint.slideMm + (now.longMm - lengthMm) / 2 })
    const after = factsAfter(facts, commands)
    const swapped = after?.assembly.byInstance.get(rods.instance.id)
    const left = after && swapped && use(after, swapped)
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
