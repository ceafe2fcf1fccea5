import { z } from 'zod'
import { exceeds, flatMap } from '../../kernel/index.ts'
import { chargesPart, type KindUse } from '../../power/index.ts'
import { defineCheck } from '../check.ts'
import { byReadiness } from '../places.ts'
import { batteryOf } from '../wires.ts'
import type { Facts } from '../../facts/index.ts'

const options = z.object({ nightMin: z.number().positive() })

/** Batteries that the night is too short to fill again. */
export const chargerShort = defineCheck<KindUse, z.infer<typeof options>, 'day' | 'bays'>({
  id: 'charger-short',
  family: 'power',
  title: 'Not charged again by morning',
  why: 'The second day starts with half-empty packs. Never charge unattended, and follow the maker’s advice.',
  level: 'hint',
  source:
    'What the day takes, over what all bays put in; a night of 8 h. A camera, a plate or a pack with a charging socket fills one pack by night: nobody changes packs then.',
  options,
  defaults: { nightMin: 480 },
  units: { nightMin: 'min' },
  about: 'electric',
  needs: ['day', 'bays'],
  limit: { measured: 'chargeMin', allowed: 'nightMin' },
  messages: {
    speaks: {
      long: 'Not full by morning. Filling the {part} again takes {chargeMin:min} with the bays in the kit; a night has {nightMin:min}.',
      few: 'Not all full by morning. A {part} is filled where it sits, one by night; nothing in the kit charges the others.',
      none: 'No charger. Nothing in the kit charges the {part}.',
    },
    silent: { enough: 'The {part} are full again in {chargeMin:min}.' },
    cannotTell: {},
  },
  subjects: ({ day }) => day.kinds.filter(({ usedWh }) => usedWh > 0),
  judge: ({ kind, chargeMin }, facts, { nightMin }) => {
    const key = kind
    const names = { part: batteryOf(facts, kind)?.part.name ?? kind }
    if (chargeMin === Infinity)
      return {
        group: 'speaks',
        message: facts.bays.some((bay) => bay.kind === kind && bay.once) ? 'few' : 'none',
        names,
        key,
        parts: [batteryOf(facts, kind)?.id ?? ''],
      }
    const numbers = { chargeMin, nightMin }
    return exceeds(chargeMin, nightMin)
      ? { group: 'speaks', message: 'long', names, key, numbers, parts: [batteryOf(facts, kind)?.id ?? ''] }
      : { group: 'silent', message: 'enough', names, key, numbers }
  },
  aims: ({ kind }, facts, _, { nightMin }) => {
    const battery = batteryOf(facts, kind)?.part
    if (!battery) return []
    const chargers = (facts.context.catalogue.byRole.get('charger') ?? [])
      .filter((part) => chargesPart(part, battery))
      .sort(byReadiness(facts))
      .slice(0, MOST_TRIED)
    // One more charger fills one more pack at a time; it does not hurry a single one. So each is tried.
    const choices = flatMap([1, 2], (count) => chargers.map((part) => ({ part, count })))
    const isFull = ({ day }: Facts): boolean =>
      (day.kinds.find((use) => use.kind === kind)?.chargeMin ?? Infinity) <= nightMin
    return [{ do: 'pack', choices, until: isFull }]
  },
})

/** Chargers are tried from the readiest on; so many are enough. */
const MOST_TRIED = 6
