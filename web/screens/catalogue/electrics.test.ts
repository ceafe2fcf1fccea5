import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { electricFacts } from './electric-facts.ts'
import { asRole, checkDraft, emptyPart, newSocket } from './part-draft.ts'

const { parts } = catalogueOf(demoParts)
const draft = { ...emptyPart(), id: 'mine', name: 'Mine', maker: 'Me' }
const words = (part: Parameters<typeof checkDraft>[0]) =>
  checkDraft(part).issues.map(({ where, words: said }) => `${where} ${said}`)

test('a part that becomes a lead or a battery gets what that can not do without, and loses what is another’s', () => {
  const lead = asRole(draft, 'video-cable')
  expect(lead).toMatchObject({ mounts: [], cable: { lengthMm: 300 } })
  expect(checkDraft(lead).issues).toEqual([])
  const battery = asRole({ ...lead, mounts: draft.mounts, power: { drawW: 3 } }, 'battery')
  expect(battery.cable).toBeUndefined()
  expect(battery.power).toEqual({ store: { capacityWh: 16, volts: { min: 6, max: 8.4 }, maxW: 40, gauge: false } })
  expect(asRole(battery, 'monitor').power).toBeUndefined()
})

test.each([
  [
    'a battery that holds nothing',
    { power: { store: { capacityWh: 0, volts: { min: 6, max: 8.4 }, maxW: 40, gauge: true } } },
    'power, battery, charge must be more than 0',
  ],
  ['a draw below nothing', { power: { drawW: -3 } }, 'power, draw must be more than 0'],
  ['a draw of nothing', { power: { drawW: 0 } }, 'power, draw must be more than 0'],
  [
    'waiting harder than working',
    { power: { drawW: 3, standbyW: 5 } },
    'power, draw waiting waiting can not draw more than working',
  ],
  [
    'volts upside down',
    { sockets: [{ ...newSocket('in'), volts: { min: 9, max: 5 } }] },
    'socket 1, volts volts must run from a smaller to a larger figure',
  ],
  ['two sockets of one id', { sockets: [newSocket('in'), newSocket('in')] }, 'socket has the same id as another'],
] as const)('refused in words: %s', (_, more, said) => expect(words({ ...draft, ...more })).toContain(said))

test('a connector nobody knows is refused', () => {
  expect(words({ ...draft, sockets: [{ ...newSocket('in'), connector: 'hdmi-z' as 'hdmi-a' }] })[0]).toMatch(
    /^socket 1, connector /,
  )
})

test('what a part draws, holds, passes and records is said on its page', () => {
  const facts = (id: string) => Object.fromEntries(electricFacts(parts.get(id) ?? draft))
  expect(facts('gourdwell-tap-dummy-8')).toMatchObject({
    ends: 'D-tap – dummy pack lead, down',
    'gives out': '7.4 to 7.8 V, 30 W',
  })
  expect(facts('gourdwell-v-98')).toMatchObject({ holds: '98 Wh', volts: '11 to 16.8 V', gauge: 'yes' })
  expect(facts('calabash-h1')).toMatchObject({ draws: '12 W', waiting: '5 W' })
  expect(electricFacts(draft)).toEqual([])
})
