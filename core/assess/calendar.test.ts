import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import ICAL from 'ical.js'
import { catalogueOf } from '../catalogue/index.ts'
import { writeCalendar } from '../formats/index.ts'
import { calendarOf, evaluate, moneyOf, packListOf } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const day = evaluate(secondMark, 'crossing', context)
const entries = calendarOf(day, packListOf([day]), moneyOf(secondMark, context, '2026-11'))

/** Read by another library than the one that wrote it. */
const read = async (made: string | Promise<string>) =>
  new ICAL.Component(ICAL.parse(await made) as string).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))

test('the day begins at its call and ends with its last part, by the clocks of its place', async () => {
  const shoot = (await read(writeCalendar('Ferry', entries, 0))).find(({ summary }) => summary.startsWith('Shoot'))
  // 11:45 in Berlin in November is 10:45 in UTC; 30 + 44 + 55 + 44 + 45 + 22 + 98 + 22 minutes are 6 h.
  expect(shoot?.startDate.toJSDate().toISOString()).toBe('2026-11-17T10:45:00.000Z')
  expect(shoot?.endDate.toJSDate().toISOString()).toBe('2026-11-17T16:45:00.000Z')
  expect(shoot?.location).toBe('ferry slip on the lower river')
  expect(shoot?.description.split('\n').slice(0, 2)).toEqual(['11:45 setting up on the slip', '12:15 crossing out'])
})

test('batteries go on in the evening before, for as long as the bag says', async () => {
  const charge = (await read(writeCalendar('Ferry', entries, 0))).find(({ summary }) => summary.startsWith('Charge'))
  expect(charge?.startDate.toJSDate().toISOString()).toBe('2026-11-16T17:00:00.000Z')
  const minutes = Math.max(
    ...packListOf([day]).lines.flatMap(({ notes }) =>
      notes.flatMap(({ code, numbers }) => (code === 'to-full' ? [Math.ceil(numbers['minutes'] ?? 0)] : [])),
    ),
  )
  expect(charge?.duration.toSeconds()).toBe(minutes * 60)
})

test('what is bought in a month stands on its first day; read twice, a calendar has each once', async () => {
  const text = await writeCalendar('Ferry', entries, 1_764_000_000_000)
  const buys = (await read(text)).filter(({ summary }) => summary.startsWith('Buy'))
  expect(buys.length).toBeGreaterThan(0)
  for (const one of buys) expect([one.startDate.isDate, one.startDate.day]).toEqual([true, 1])
  const ids = (await read(text)).map(({ uid }) => uid)
  expect(new Set(ids).size).toBe(ids.length)
  expect((await read(writeCalendar('Ferry', entries, 1_765_000_000_000))).map(({ uid }) => uid)).toEqual(ids)
})

test('commas, semicolons and lines in a name stay what they are', async () => {
  const [event] = await read(
    writeCalendar('x', [{ id: 'a', title: 'Slip, upper; lower\\', text: 'one\ntwo', when: { day: '2026-02-03' } }], 0),
  )
  expect([event?.summary, event?.description]).toEqual(['Slip, upper; lower\\', 'one\ntwo'])
  expect(event?.startDate.toString()).toBe('2026-02-03')
})
