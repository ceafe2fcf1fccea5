import { z } from 'zod'
import { rodRails } from '../../assembly/index.ts'
import { heavierBy, type Sag, sagsOf, STIFFNESS } from '../../balance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { lotOfParts } from '../../facts/index.ts'
import { defineCheck } from '../check.ts'

const withRods = lotOfParts(({ rod }) => rod !== undefined)

/** Long rods that bend under what rides on them. */
export const rodsSag = defineCheck<Sag, { mostMm: number }, 'loads'>({
  id: 'rods-sag',
  family: 'balance',
  title: 'The rods bend',
  why: 'The teeth of the drive climb out of the ring, and the box nods at every step.',
  level: 'hint',
  source:
    'A beam held at one end, F a^3 / 3 E I; aluminium 69, carbon tube 100, steel 200 kN/mm2. Teeth of 0.8 are 1.8 mm deep: a quarter of that, 0.45 mm, leaves them in mesh.',
  options: z.object({ mostMm: z.number().positive() }),
  defaults: { mostMm: 0.45 },
  units: { mostMm: 'mm' },
  needs: ['loads'],
  limit: { measured: 'sagMm', allowed: 'mostMm' },
  messages: {
    speaks: {
      bend: '{rods} bend by {sagMm:mm} under {by}. {carriedG:g} rides up to {outMm:mm} out; in steel, {heavierG:g} heavier, it would be {steelMm:mm}; {mostMm:mm} is let pass.',
    },
    silent: { stiff: '{rods} stay straight: {sagMm:mm} at {by}.' },
    cannotTell: {},
  },
  subjects: (facts) => (withRods(facts).length > 0 ? sagsOf(facts.assembly, facts.loads, withRods(facts)) : []),
  judge: ({ rods, by, outMm, carriedG, sagMm }, _, { mostMm }) => {
    const names = { rods: rods.part.name, by: by.part.name }
    const steelMm = (sagMm * STIFFNESS[rods.part.rod?.matter ?? 'steel']) / STIFFNESS.steel
    const [rail] = rodRails(rods.part)
    const heavierG = rods.part.rod ? heavierBy(rods.part.rod, rail?.lengthMm ?? 0, 'steel') : 0
    const numbers = { sagMm, mostMm, outMm, carriedG, steelMm, heavierG }
    return exceeds(sagMm, mostMm)
      ? { group: 'speaks', message: 'bend', names, numbers, parts: [rods.instance.id], at: rods.centre }
      : { group: 'silent', message: 'stiff', names, numbers }
  },
  aims: ({ rods, sagMm }, _, __, { mostMm }) => {
    const now = STIFFNESS[rods.part.rod?.matter ?? 'steel']
    const long = (part: typeof rods.part) => part.mounts.find(({ lengthMm }) => lengthMm !== undefined)?.lengthMm
    return [
      {
        do: 'swap',
        piece: rods,
        for: (part) =>
          part.rod !== undefined &&
          long(part) === long(rods.part) &&
          part.rod.wallMm === rods.part.rod?.wallMm &&
          (sagMm * now) / STIFFNESS[part.rod.matter] <= mostMm,
      },
    ]
  },
})
