import { edit } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { checks, findingKey } from '../checks/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark, secondMark } from '../../demo/scenario/index.ts'
import { evaluate, leadsCsv, plugsFor, powerCsv, schoolLines, wiringFor } from './index.ts'

const catalogue = catalogueOf(demoParts)
const context = { catalogue, owned: new Map(Object.entries(demoLocker)) }

test.each(secondMark.setups.map(({ id }) => id))(
  'the second mark, %s: wired from nothing, nothing is left open and no stop comes of it',
  (setup) => {
    const proposal = wiringFor(secondMark, setup, context, true)
    expect(proposal).toMatchObject({ open: [], exact: true })
    const edited = edit(secondMark, proposal.commands, catalogue)
    if (!edited.ok) throw new Error(edited.issues[0]?.code)
    const { findings } = evaluate(edited.value, setup, context)
    expect(findings.filter(({ level, check }) => level !== 'hint' && check !== 'no-strain-relief')).toEqual([])
    expect(wiringFor(edited.value, setup, context).leads).toEqual([])
  },
)

test('as it stands it needs no lead more; the proposal is plain data', () => {
  const proposal = wiringFor(secondMark, 'crossing', context)
  expect(proposal).toMatchObject({ leads: [], open: [], commands: [], toBuyMinor: 0 })
  const anew = wiringFor(firstMark, 'crossing', context, true)
  expect(structuredClone(anew)).toEqual(anew)
  // The mic shares its shoe with the receiver: there is no room for a plug.
  expect(anew.open).toEqual([{ what: 'sound', piece: 'Papyr small scratch mic', why: 'no-room' }])
})

test('the schools side by side: the present one is named, the others say what they lack or change', () => {
  const [own, trickle, dummy] = schoolLines(secondMark, 'crossing', context)
  expect(own).toMatchObject({ school: 'own', now: true, massG: 0, toBuyMinor: 0, doorOpen: false })
  // 16 Wh at freezing, 12 W: 11.52 / 12 h.
  expect(own?.cameraMin).toBeCloseTo(57.6, 6)
  expect([trickle?.why, dummy?.why]).toEqual(['no-source', 'no-source'])
  const brick = schoolLines(firstMark, 'slip', context).find(({ school }) => school === 'dummy')
  expect(brick).toMatchObject({ school: 'dummy', doorOpen: true })
})

test('a way that is taken reads as it is afterwards, costs nothing more, and stands first', () => {
  const taken = schoolLines(firstMark, 'slip', context).find(({ school }) => school === 'dummy')
  const wired = edit(firstMark, taken?.commands ?? [], catalogue)
  if (!wired.ok) throw new Error('wired')
  const [now, ...others] = schoolLines(wired.value, 'slip', context)
  expect(now).toMatchObject({ school: 'dummy', now: true, commands: [], massG: 0, toBuyMinor: 0, brings: [] })
  expect(now?.cameraMin).toBeCloseTo(taken?.cameraMin ?? NaN, 9)
  expect(others.every((line) => !line.now)).toBe(true)
  // What a way would bring: the titles of the rules whose stops and risks are there afterwards, and not before.
  const grave = (rig: typeof firstMark) =>
    evaluate(rig, 'slip', context).findings.filter(({ level }) => level !== 'hint')
  const before = new Set(grave(wired.value).map(findingKey))
  for (const { brings, commands, why } of others.filter((line) => line.why === undefined)) {
    const after = edit(wired.value, commands, catalogue)
    if (!after.ok) throw new Error(why)
    const fresh = grave(after.value).filter((finding) => !before.has(findingKey(finding)))
    const titles = fresh.map((finding) => checks.find(({ id }) => id === finding.check)?.title)
    expect(new Set(brings)).toEqual(new Set(titles))
  }
  expect(others.some(({ brings }) => brings.length > 0)).toBe(true)
})

test('what goes into a free socket, the best first; a taken one takes nothing', () => {
  const lines = plugsFor(secondMark, 'wheelhouse', 'camera', 'usb-c-3', context)
  expect(lines.every(({ from, to }) => [from, to].some((end) => end.includes('USB-C')))).toBe(true)
  expect(plugsFor(secondMark, 'wheelhouse', 'camera', 'hdmi-a-4', context)).toEqual([])
  const unplugged = edit(secondMark, [{ do: 'unlink', setup: 'wheelhouse', cable: 'hdmi' }], catalogue)
  if (!unplugged.ok) throw new Error('unplug')
  const [best] = plugsFor(unplugged.value, 'wheelhouse', 'camera', 'hdmi-a-4', context)
  expect(best).toMatchObject({ what: 'picture', source: 'kit', partId: 'reedsmith-hdmi-swivel', priceMinor: 0 })
})

test('the lists of leads and power as tables with units', () => {
  const leads = leadsCsv(evaluate(secondMark, 'crossing', context)).split('\r\n')
  expect(leads[0]).toBe(
    'lead,from,from socket,to,to socket,carries,needed (mm),reaches (mm),over (mm),mass (g),held by',
  )
  expect(leads).toHaveLength(3 + 2)
  expect(leads[1]).toContain('"Reedsmith thin HDMI lead, 35 cm, swivel ends",Calabash H1 hybrid body,HDMI out,')
  const power = powerCsv(evaluate(secondMark, 'crossing', context)).split('\r\n')
  // 16 Wh at freezing: 16 x 0.9 x 0.8 = 11.52.
  expect(power).toContain('"Calabash camera pack, 16 Wh",battery,,,16,11.5,6,8.4,58')
  expect(power).toContain('Calabash H1 hybrid body,draws,12,5,,,,,58')
})
