import { flatMap } from '../../kernel/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { lensOf } from '../../optics/index.ts'
import { batteriesOf, batteryKind } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { byReadiness, spareOwned, withRings } from '../places.ts'

/** Something the job needs that is neither in the kit nor in the locker, and about what it costs. */
export interface Forgotten {
  readonly what: 'packs' | 'leads' | 'cards' | 'filters'
  readonly count: number
  readonly costMinor: number
}

const cheapestOf = (
  facts: Sees,
  role: Part['role'],
  wanted: (part: Part) => boolean = () => true,
): Part | undefined => {
  const order = byReadiness(facts)
  let best: Part | undefined
  for (const part of facts.context.catalogue.byRole.get(role) ?? [])
    if (wanted(part) && (!best || order(part, best) < 0)) best = part
  return best
}

const usualOf = (part: Part | undefined): number => part?.price.usual ?? 0

const toPay = (facts: Sees, part: Part | undefined): number => (!part || spareOwned(facts, part) ? 0 : usualOf(part))

/** Packs the day takes beyond those there are. */
const packs = (facts: Sees<'day'>): Forgotten => {
  const short = facts.day.kinds.filter(({ needed, have }) => Number.isFinite(needed) && needed > have)
  const costOf = (kind: string) =>
    usualOf(batteriesOf(facts.assembly).find(({ part }) => batteryKind(part) === kind)?.part)
  return {
    what: 'packs',
    count: short.reduce((sum, { needed, have }) => sum + needed - have, 0),
    costMinor: short.reduce((sum, { kind, needed, have }) => sum + (needed - have) * costOf(kind), 0),
  }
}

const LEADS = { picture: 'video-cable', sound: 'audio-cable', data: 'data-cable' } as const

/** Leads that devices on the rig wait for. */
const leads = (facts: Sees<'demands' | 'leads'>): Forgotten => {
  const open = flatMap(facts.demands, ({ what, own }) => {
    if (what !== 'picture' && what !== 'sound' && what !== 'data') return []
    const joined = facts.leads.some(
      (run) =>
        run.cable.carries.includes(what) &&
        [run.from, run.to].some((end) => own.some((one) => one.piece === end.piece && one.socket.id === end.socket.id)),
    )
    return joined ? [] : [what]
  })
  return {
    what: 'leads',
    count: open.length,
    costMinor: [...new Set(open)].reduce((sum, what) => {
      const each = toPay(facts, cheapestOf(facts, LEADS[what]))
      return sum + each * open.filter((one) => one === what).length
    }, 0),
  }
}

/** A card that takes less than this is none, minutes. */
const LEAST_CARD_MIN = 1

/** Cards for the hours that find no room. */
const cards = (facts: Sees<'recordings'>): Forgotten => {
  const short = facts.recordings.filter(
    ({ minutes, neededMin, media }) => media.some(({ part }) => part.role === 'card') && minutes < neededMin,
  )
  const counts = short.map(({ minutes, neededMin, media }) => {
    const each = minutes / Math.max(1, media.length)
    // A card that takes next to nothing is none to plan with: then one that is large enough is what is missing.
    return { part: media[0]?.part, count: each >= LEAST_CARD_MIN ? Math.ceil((neededMin - minutes) / each) : 1 }
  })
  return {
    what: 'cards',
    count: counts.reduce((sum, { count }) => sum + count, 0),
    costMinor: counts.reduce((sum, { part, count }) => sum + count * usualOf(part), 0),
  }
}

/** Neutral density for days that want it. */
const filters = (facts: Sees<'needs' | 'unmet'>): Forgotten => {
  const wanted =
    facts.needs.some(({ capability }) => capability === 'nd') &&
    facts.unmet.some(({ capability }) => capability === 'nd')
  if (!wanted) return { what: 'filters', count: 0, costMinor: 0 }
  const lens = lensOf(facts.assembly)?.lens.part
  // The cheapest that goes before this lens: into its thread, by rings, or into the tray of the box that is along.
  const known = (facts.context.catalogue.byRole.get('filter') ?? [])
    .filter(({ provides }) => provides.includes('nd'))
    .map((filter) => ({ filter, alone: toPay(facts, filter) }))
    .sort((a, b) => a.alone - b.alone)
  let least = Infinity
  for (const { filter, alone } of known) {
    if (alone >= least) break
    const parts = lens ? withRings(facts, lens, filter) : [filter]
    if (parts)
      least = Math.min(
        least,
        parts.reduce((sum, part) => sum + toPay(facts, part), 0),
      )
  }
  return { what: 'filters', count: 1, costMinor: Number.isFinite(least) ? least : 0 }
}

/** Everything the job needs and the plan does not have, with what it costs. */
export const forgottenOf = (
  facts: Sees<'day' | 'demands' | 'leads' | 'needs' | 'recordings' | 'unmet'>,
): readonly Forgotten[] => [packs(facts), leads(facts), cards(facts), filters(facts)].filter(({ count }) => count > 0)

const words: Readonly<Record<Forgotten['what'], readonly [one: string, many: string]>> = {
  packs: ['a pack', 'packs'],
  leads: ['a lead', 'leads'],
  cards: ['a card', 'cards'],
  filters: ['a filter', 'filters'],
}

type Read = 'day' | 'recordings' | 'leads' | 'needs' | 'demands' | 'unmet'

/** Money that is not in the plan yet and will be spent all the same. */
export const forgottenCost = defineCheck<Sees<Read>, object, Read>({
  id: 'forgotten-cost',
  family: 'money',
  title: 'Money nobody counted',
  why: 'Cage and monitor are in the budget; the packs, cards and leads that make them work are not.',
  level: 'hint',
  source:
    'Packs of the day, leads that devices wait for, cards for the hours, a filter for the light; at the cheapest that would do.',
  ...noOptions,
  needs: ['day', 'recordings', 'leads', 'needs', 'demands', 'unmet'],
  messages: {
    speaks: { forgotten: 'The bill is not whole. Not in it yet: {list}, about {costMinor:minor} more.' },
    silent: { whole: 'Nothing was forgotten.', free: 'What is missing lies in the locker.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.budgetMinor > 0 ? [facts] : []),
  judge: (facts) => {
    const found = forgottenOf(facts)
    const costMinor = found.reduce((sum, one) => sum + one.costMinor, 0)
    const list = found
      .map(({ what, count }) => (count === 1 ? words[what][0] : `${count} ${words[what][1]}`))
      .join(', ')
    if (found.length === 0) return { group: 'silent', message: 'whole', numbers: { costMinor } }
    return costMinor > 0
      ? {
          group: 'speaks',
          message: 'forgotten',
          numbers: { costMinor },
          names: { list },
        }
      : { group: 'silent', message: 'free', numbers: { costMinor } }
  },
})
