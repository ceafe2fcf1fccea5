import { dayOf, instantOf } from '../brief/index.ts'
import type { CalendarEntry } from '../formats/index.ts'
import { addDays, flatMap } from '../kernel/index.ts'
import type { Assessment } from './evaluate.ts'
import type { MoneyPicture } from './money.ts'
import type { PackList } from './pack.ts'

/** Batteries go on the chargers in the evening before. Minutes of the day */
const EVENING_MIN = 18 * 60

/**
 * What of a rig belongs in a calendar: the shoot day with its call and its parts, the charging on the evening before,
 * and the months in which something is bought.
 * @param list the bag of the day: it knows how long its batteries take @param money its plan of what to buy when
 */
export const calendarOf = (
  assessment: Assessment,
  list: PackList,
  money: Pick<MoneyPicture, 'plan' | 'cost'>,
): readonly CalendarEntry[] => {
  const { rig } = assessment
  const { brief } = rig
  const { date, startMin, place } = brief.light
  const { zone } = place
  const at = (day: string, minute: number) => instantOf(day, minute, zone)
  const parts = dayOf(brief)
  const minutes = parts.reduce((sum, phase) => sum + phase.minutes, 0)
  let minute = startMin
  const lines = parts.map((phase) => {
    const clock = `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
    minute += phase.minutes
    return `${clock} ${phase.name}`
  })
  const chargeMin = Math.max(
    0,
    ...flatMap(list.lines, ({ notes }) =>
      flatMap(notes, ({ code, numbers }) => (code === 'to-full' ? [numbers['minutes'] ?? 0] : [])),
    ),
  )
  const eve = addDays(date, -1)
  const shoot: readonly CalendarEntry[] =
    minutes > 0
      ? [
          {
            id: `${rig.id}-shoot-${date}`,
            title: `Shoot: ${rig.name}`,
            text: lines.join('\n'),
            place: place.name,
            when: { from: at(date, startMin), until: at(date, startMin + minutes) },
          },
        ]
      : []
  const charge: readonly CalendarEntry[] =
    chargeMin > 0
      ? [
          {
            id: `${rig.id}-charge-${eve}`,
            title: `Charge for ${rig.name}`,
            text: 'Every battery of the bag, by the chargers of the kit.',
            when: { from: at(eve, EVENING_MIN), until: at(eve, EVENING_MIN + Math.ceil(chargeMin)) },
          },
        ]
      : []
  const names = new Map(money.cost.lines.map(({ instance, part }) => [instance, part.name]))
  const buys = money.plan.months
    .filter(({ buys: ids }) => ids.length > 0)
    .map(({ month, buys: ids }): CalendarEntry => ({
      id: `${rig.id}-buy-${month}`,
      title: `Buy for ${rig.name}`,
      text: ids.map((id) => names.get(id) ?? id).join('\n'),
      when: { day: `${month}-01` },
    }))
  return [...charge, ...shoot, ...buys]
}
