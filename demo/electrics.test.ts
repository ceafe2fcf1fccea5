import { gives, takes } from '@zucchini/core/cabling'
import { catalogueOf, type Part, type Socket } from '@zucchini/core/catalogue'
import { distanceToSkin, SURFACE_MM } from '@zucchini/core/kernel'
import { chargesPart, suits } from '@zucchini/core/power'
import { unknownElectrics } from './catalogue/electrics.ts'
import { demoParts } from './catalogue/index.ts'

const { byRole } = catalogueOf(demoParts)
const sockets = demoParts.flatMap((part) => (part.sockets ?? []).map((socket) => ({ part, socket })))
const leads = demoParts.filter((part) => part.cable)
const of = (role: Part['role']) => byRole.get(role) ?? []

test('there are leads, batteries and the rest to choose from', () => {
  expect(leads.length).toBeGreaterThanOrEqual(45)
  expect(
    of('battery').length + of('battery-plate').length + of('dummy').length + of('charger').length,
  ).toBeGreaterThanOrEqual(20)
  expect(of('drive').length + of('drive-holder').length + of('card').length).toBeGreaterThanOrEqual(10)
  expect(of('transmitter').length + of('converter').length + of('light').length).toBeGreaterThanOrEqual(7)
})

test('what is told about is in the catalogue', () => {
  expect(unknownElectrics(new Set(demoParts.map(({ id }) => id)))).toEqual([])
})

test.each(sockets.map(({ part, socket }) => [`${part.id} ${socket.id}`, part, socket] as const))(
  'the socket %s lies on a solid and says what goes through it',
  (_, part, socket) => {
    expect(Math.min(...part.solids.map((solid) => distanceToSkin(solid, socket.at)))).toBeLessThanOrEqual(SURFACE_MM)
    expect(socket.carries?.length ?? 0).toBeGreaterThan(0)
  },
)

const joins = (lead: Part, from: Socket, to: Socket): boolean => {
  const { a, b, carries } = lead.cable ?? {}
  const ends = [a?.connector, b?.connector]
  const fit = (x: Socket, y: Socket) => ends[0] === x.connector && ends[1] === y.connector
  return (fit(from, to) || fit(to, from)) && (carries ?? []).some((what) => gives(from, what) && takes(to, what))
}

test.each(leads.map((lead) => [lead.id, lead] as const))('the lead %s joins two sockets that exist', (_, lead) => {
  const uses = sockets.some((from) =>
    sockets.some((to) => from.part !== to.part && joins(lead, from.socket, to.socket)),
  )
  expect(uses).toBe(true)
})

test('every battery is charged by something, or is a bank of its own', () => {
  for (const battery of of('battery').filter(({ id }) => !id.includes('bank') && !id.includes('stud')))
    expect([battery.id, of('charger').some((charger) => chargesPart(charger, battery))]).toEqual([battery.id, true])
})

test('every converting lead gives out something that one of its sockets bears', () => {
  for (const lead of leads) {
    const { converts, b } = lead.cable ?? {}
    if (!converts || !b) continue
    const bears = sockets.some(
      ({ socket }) =>
        socket.connector === b.connector &&
        socket.direction !== 'out' &&
        socket.volts &&
        suits(converts.volts, socket.volts, b.connector),
    )
    expect([lead.id, bears]).toEqual([lead.id, true])
  }
})

test('cameras record for as long as their makers state', () => {
  for (const camera of of('camera')) {
    const stated = /^(\d+) min$/.exec(String(camera.facts?.['internal pack']))
    const bay = camera.mounts.find(({ standard }) => standard === 'pack')
    const pack = of('battery').find(({ mounts }) =>
      mounts.some(({ family }) => family !== undefined && family === bay?.family),
    )
    if (!stated || !pack) continue
    const minutes = ((pack.power?.store?.capacityWh ?? 0) * 0.9 * 60) / (camera.power?.drawW ?? 1)
    expect([camera.id, Math.abs(minutes - Number(stated[1])) < 1.5]).toEqual([camera.id, true])
  }
})
