import { cheapestFirst, type Catalogue } from '../../catalogue/index.ts'
import { z } from 'zod'
import { type Assembly, type PlacedPart, ridesOn, slideWay, travelOf } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Facts } from '../../facts/index.ts'
import type { Aim } from '../aim.ts'

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
  aims: (box, { assembly, context }) => [
    ...slideAhead(box, assembly),
    ...longerRods(box, context.catalogue),
    { do: 'take-off', piece: box },
  ],
})

const clears =
  ({ instance }: PlacedPart) =>
  ({ assembly }: Facts): boolean => {
    const moved = assembly.byInstance.get(instance.id)
    return moved?.mate?.ok === true && !exceeds(shortBy(assembly, moved), 0)
  }

const slideAhead = (box: PlacedPart, assembly: Assembly): readonly Aim[] => {
  const travel = travelOf(box)
  const way = slideWay(box)
  if (!travel || !way || !box.joint) return []
  const steps = Math.ceil(shortBy(assembly, box) / travel.stepMm) * travel.stepMm
  const slideMm = box.joint.slideMm + steps * (way[2] < 0 ? 1 : -1)
  return slideMm > travel.maxMm || slideMm < travel.minMm
    ? []
    : [{ do: 'slide', piece: box, slideMm, until: clears(box) }]
}

const longerRods = (box: PlacedPart, { byRole }: Catalogue): readonly Aim[] => {
  const rods = box.host
  const mount = rods?.part.mounts.find(({ id }) => id === box.joint?.hostMount)
  if (!rods || !mount?.lengthMm) return []
  const longer = (byRole.get(rods.part.role) ?? []).filter((part) => {
    const same = part.mounts.find(({ id, standard }) => id === mount.id && standard === mount.standard)
    return same?.travel && same.lengthMm !== undefined && same.lengthMm > (mount.lengthMm ?? 0)
  })
  return [{ do: 'swap', piece: rods, for: longer.sort(cheapestFirst), riders: { ahead: box }, until: clears(box) }]
}
