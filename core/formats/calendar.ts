/** One thing in a calendar: a moment with an end, or a whole day. */
export interface CalendarEntry {
  /** The same for the same thing, so that a calendar that takes it twice has it once. */
  readonly id: string
  readonly title: string
  readonly text?: string
  readonly place?: string
  readonly when:
    | { readonly from: number; readonly until: number }
    /** `2026-11-17` */
    | { readonly day: string }
}

const SECOND_MS = 1000

/**
 * Writes entries as iCalendar (RFC 5545). Moments are ms since 1970 and stand in UTC; days stand alone.
 * @param stamp when it is written, ms since 1970: a calendar takes the newer of two
 */
export const writeCalendar = async (
  name: string,
  entries: readonly CalendarEntry[],
  stamp: number,
): Promise<string> => {
  // It is large, and few need it: it comes when it is asked for.
  const { default: ical, ICalCalendarMethod } = await import('ical-generator')
  const calendar = ical({
    name,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Zucchini', product: 'rig planner', language: 'EN' },
  })
  for (const { id, title, text, place, when } of entries) {
    const event = calendar.createEvent({
      id: `${id}@zucchini`,
      stamp: new Date(stamp),
      sequence: Math.floor(stamp / SECOND_MS) % 2 ** 31,
      summary: title,
      start: 'day' in when ? `${when.day}T00:00:00` : new Date(when.from),
      ...('day' in when ? { allDay: true } : { end: new Date(when.until) }),
    })
    if (text) event.description(text)
    if (place) event.location(place)
  }
  return calendar.toString()
}
