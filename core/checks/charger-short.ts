import { z } from 'zod'
import { exceeds } from '../kernel/index.ts'
import { batteriesOf, batteryKind, chargesPart, type KindUse } from '../power/index.ts'
import { defineCheck, type Remedy } from './check.ts'
import type { Facts } from './facts.ts'
import { byReadiness } from './places.ts'
import { packRemedy } from './wires.ts'

const options = z.object({ nightMin: z.number().positive() })

const partOf = (facts: Facts, kind: string) => batteriesOf(facts.assembly).find(({ part }) => batteryKind(part) === kind)?.part

/** Batteries that the night is too short to fill again. */
export const chargerShort = defineCheck<KindUse, z.infer<typeof options>>({
  id: 'charger-short',
  title: 'Not charged again by morning',
  why: 'The second day starts with half-empty packs. Never charge unattended, and follow the maker’s advice.',
  level: 'hint',
  source: 'What the day takes, over what all bays put in; a night of 8 h.',
  options,
  defaults: { nightMin: 480 },
  needs: ['day'],
  limit: { measured: 'chargeMin', allowed: 'nightMin' },
  messages: {
    speaks: {
      long: 'Filling the {part} again takes {chargeMin} with the bays in the kit; a night has {nightMin}.',
      none: 'Nothing in the kit charges the {part}.',
    },
    silent: { enough: 'The {part} are full again in {chargeMin}.' },
    cannotTell: {},
  },
  subjects: ({ day }) => day.kinds.filter(({ usedWh }) => usedWh > 0),
  judge: ({ kind, chargeMin }, facts, { nightMin }) => {
    const names = { part: partOf(facts, kind)?.name ?? kind, room: kind }
    if (chargeMin === Infinity) return { group: 'speaks', message: 'none', names }
    const numbers = { chargeMin, nightMin }
    return exceeds(chargeMin, nightMin)
      ? { group: 'speaks', message: 'long', names, numbers }
      : { group: 'silent', message: 'enough', names, numbers }
  },
  remedies: ({ kind, chargeMin }, facts, _, { nightMin }): readonly Remedy[] => {
    const battery = partOf(facts, kind)
    if (!battery) return []
    const [charger] = [...(facts.shelf.catalogue.byRole.get('charger') ?? [])]
      .filter((part) => chargesPart(part, battery))
      .sort(byReadiness(facts))
    if (!charger) return []
    return [packRemedy(facts, charger.id, charger.name, chargeMin === Infinity ? 1 : Math.max(1, Math.ceil(chargeMin / nightMin) - 1))]
  },
})
