import { cheapestFirst } from '../../catalogue/index.ts'
import { z } from 'zod'
import { type Assembly, type Command, type PlacedPart, ridesOn, slideWay, travelOf } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, type Remedy } from '../check.ts'
import { factsAfter } from '../cures.ts'
import type { Facts } from '../../facts/index.ts'
import { takeOffRemedy } from '../places.ts'

/** How far the glass reaches ahead of the sensor, mm, with what is screwed on it. */
const glassAhead = (assembly: Assembly, box: PlacedPart): number => {
  const lens = assembly.placed.find(({ part }) => part.role === 'lens')
  if (!lens) return -Infinity
  const onLens = assembly.placed.filter((piece) => ridesOn(piece, lens) && !ridesOn(piece, box))
  return Math.max(...onLens.map(({ bounds }) => -bounds.min[2]))
}

const onRods = (piece: PlacedPart): boolean =>
  piece.part.role === 'matte-box' && piece.mate?.ok === true && piece.mate.value.standard.kind === 'rods'

/** The glass may stand this far into the back of a matte box. mm */
const RECESS_MM = 16

const shortBy = (assembly: Assembly, box: PlacedPart): number =>
  glassAhead(assembly, box) - (-box.bounds.max[2] + RECESS_MM)

/** Rods that end before the front of the lens does. */
export const rodsShort = defineCheck<PlacedPart, { recessMm: number }>({
  id: 'rods-short',
  family: 'fit',
  title: 'Rods too short for the lens',
  why: 'The matte box meets the lens half way, and the filters stay in the bag.',
  level: 'stop',
  source: 'The front of the glass against the back of the matte box; it may stand 16 mm into it.',
  options: z.object({ recessMm: z.number() }),
  defaults: { recessMm: RECESS_MM },
  units: { recessMm: 'mm' },
  needs: [],
  limit: { measured: 'shortMm', allowed: 'allowedMm' },
  messages: {
    speaks: { short: '{box} stands {shortMm:mm} too far back. The glass reaches {glassMm:mm} ahead of the sensor.' },
    silent: { ahead: '{box} stands clear ahead of the glass.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.placed.filter((piece) => onRods(piece) && Number.isFinite(glassAhead(assembly, piece))),
  judge: (box, { assembly }) => {
    const shortMm = shortBy(assembly, box)
    const names = { box: box.part.name }
    const numbers = { shortMm, allowedMm: 0, glassMm: glassAhead(assembly, box) }
    return exceeds(shortMm, 0)
      ? { group: 'speaks', message: 'short', names, numbers, parts: [box.instance.id], at: box.centre }
      : { group: 'silent', message: 'ahead', names, numbers }
  },
  remedies: (box, facts) => [...slideAhead(box, facts), ...longerRods(box, facts), takeOffRemedy(facts, box)],
})

const clears = (facts: Facts, box: PlacedPart, commands: readonly Command[]): boolean => {
  const after = factsAfter(facts, commands)
  const moved = after?.assembly.byInstance.get(box.instance.id)
  return after !== undefined && moved?.mate?.ok === true && !exceeds(shortBy(after.assembly, moved), 0)
}

const slideAhead = (box: PlacedPart, facts: Facts): Remedy[] => {
  const travel = travelOf(box)
  const way = slideWay(box)
  if (!travel || !way || !box.joint) return []
  const steps = Math.ceil(shortBy(facts.assembly, box) / travel.stepMm) * travel.stepMm
  const slideMm = box.joint.slideMm + steps * (way[2] < 0 ? 1 : -1)
  const commands: Command[] = [{ do: 'set', setup: facts.assembly.setup.id, instance: box.instance.id, slideMm }]
  if (slideMm > travel.maxMm || slideMm < travel.minMm || !clears(facts, box, commands)) return []
  return [
    {
      text: 'slide {part} {byMm:mm} {way}',
      numbers: { byMm: steps },
      names: { part: box.part.name, way: 'forward' },
      commands,
    },
  ]
}

const longerRods = (box: PlacedPart, facts: Facts): Remedy[] => {
  const rods = box.host
  const mount = rods?.part.mounts.find(({ id }) => id === box.joint?.hostMount)
  if (!rods || !mount?.lengthMm || !box.joint) return []
  const setup = facts.assembly.setup.id
  const longer = (facts.context.catalogue.byRole.get(rods.part.role) ?? []).flatMap((part) => {
    const same = part.mounts.find(({ id, standard }) => id === mount.id && standard === mount.standard)
    return same?.lengthMm && same.lengthMm > (mount.lengthMm ?? 0) && same.travel ? [{ part, travel: same.travel }] : []
  })
  for (const { part, travel } of longer.sort((a, b) => cheapestFirst(a.part, b.part))) {
    const commands: Command[] = [
      { do: 'swap', instance: rods.instance.id, partId: part.id },
      { do: 'set', setup, instance: box.instance.id, slideMm: travel.maxMm },
    ]
    if (clears(facts, box, commands))
      return [{ text: 'swap the {role} for {part}', numbers: {}, names: { role: 'rods', part: part.name }, commands }]
  }
  return []
}
