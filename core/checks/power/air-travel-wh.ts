import type { Part } from '../../catalogue/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { AIR_ASK_SPARES, AIR_ASK_WH, AIR_FREE_WH, airBand, batteriesOf } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

interface Flown {
  readonly part: Part
  readonly ids: readonly string[]
}

/** Each kind of battery part once, the largest first. */
const flown = (facts: Sees): readonly Flown[] => {
  const found = new Map<string, Flown>()
  for (const { id, part } of batteriesOf(facts.assembly))
    found.set(part.id, { part, ids: [...(found.get(part.id)?.ids ?? []), id] })
  return [...found.values()].sort(
    (a, b) => (b.part.power?.store?.capacityWh ?? 0) - (a.part.power?.store?.capacityWh ?? 0),
  )
}

/** Lithium packs on a flight. */
export const airTravelWh = defineCheck<Flown, object>({
  id: 'air-travel-wh',
  family: 'power',
  title: 'Batteries on the flight',
  why: 'A pack too large stays at the airport. The airline and the regulator have the last word: ask before you book.',
  level: 'risk',
  source:
    'The usual bands: up to 100 Wh carried, to 160 Wh with the airline’s word and two spares at most, above not as baggage.',
  ...noOptions,
  about: 'electric',
  needs: [],
  limit: { measured: 'capacityWh', allowed: 'freeWh' },
  messages: {
    speaks: {
      never: 'Does not fly. {part} holds {capacityWh:Wh}; over {askWh:Wh} it is no baggage.',
      many: 'Too many for the flight. {count} of {part}, {capacityWh:Wh} each, are carried; over {freeWh:Wh} two spares at most, and only with the airline’s word.',
      ask: 'Ask the airline. {part} holds {capacityWh:Wh}; over {freeWh:Wh} it has to agree first. In the cabin, terminals covered.',
    },
    silent: {
      carry: '{part}, {capacityWh:Wh}: in the cabin, terminals covered. The airline has the last word.',
      ground: 'No flight in the brief.',
    },
    cannotTell: {},
  },
  subjects: flown,
  judge: ({ part, ids }, { assembly }) => {
    const capacityWh = part.power?.store?.capacityWh ?? 0
    const names = { part: part.name }
    const numbers = { capacityWh, freeWh: AIR_FREE_WH, askWh: AIR_ASK_WH, count: ids.length }
    if (!assembly.rig.brief.conditions.includes('flight')) return { group: 'silent', message: 'ground', names, numbers }
    const band = airBand(capacityWh)
    if (band === 'carry') return { group: 'silent', message: 'carry', names, numbers }
    if (band === 'never') return { group: 'speaks', message: 'never', level: 'stop', names, numbers, parts: ids }
    // One in the piece it feeds, and the spares.
    return exceeds(ids.length, AIR_ASK_SPARES + 1)
      ? { group: 'speaks', message: 'many', level: 'stop', names, numbers, parts: ids }
      : { group: 'speaks', message: 'ask', names, numbers, parts: ids }
  },
})
