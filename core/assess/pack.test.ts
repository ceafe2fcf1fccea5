import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { catalogueOf } from '../catalogue/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { hdmiLead, link, screen, wiredRig } from '../testing/wired.ts'
import { evaluate, packListOf } from './index.ts'
import { stow } from './stow.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const day = (...ids: string[]) => packListOf(ids.map((id) => evaluate(secondMark, id, context)))
const lineOf = (list: ReturnType<typeof day>, key: string) => list.lines.find((line) => line.key === key)

test('the first set-up goes in built; what the others want is told with their names; nothing is packed twice', () => {
  const list = day('crossing', 'slip')
  expect(list.lines[0]).toMatchObject({ key: 'rig crossing', name: 'Rig, built: crossing' })
  expect(lineOf(list, 'part gourdwell-head-4')?.notes).toEqual([
    { code: 'used-in', numbers: {}, names: { setups: 'slip' } },
  ])
  // The gimbal is for another day.
  expect(list.home).toContain('Marrow small gimbal')
  const keys = list.lines.map(({ key }) => key)
  expect(new Set(keys).size).toBe(keys.length)
  // Built, it weighs what it weighs in the hand.
  const { mass } = evaluate(secondMark, 'crossing', context)
  expect(list.lines[0]?.grams).toBeCloseTo(mass.inHandG, 0)
})

test('the sum is that of its lines; the tools are those of building and of every change of the day', () => {
  const list = day('crossing', 'wheelhouse', 'gimbal-walk')
  expect(list.grams).toBeCloseTo(
    list.lines.reduce((sum, { grams }) => sum + grams, 0),
    6,
  )
  expect(list.lines.filter(({ group }) => group === 'tools').map(({ name }) => name)).toEqual(['4 mm key', 'coin'])
  expect(list.lines.filter(({ group }) => group === 'weather').map(({ name }) => name)).toContain('rain cover')
})

test('packs say how long until all of their kind are full, and that their ends are covered', () => {
  const list = day('crossing')
  const { facts } = evaluate(secondMark, 'crossing', context)
  const own = facts.day.kinds.find(({ kind }) => kind.includes('cal-16'))
  const notes = lineOf(list, 'part calabash-pack')?.notes ?? []
  expect(notes.map(({ code }) => code)).toEqual(['to-full', 'day-takes', 'ends'])
  expect(notes[1]?.numbers).toEqual({ needed: own?.needed, spare: (own?.have ?? 0) - (own?.needed ?? 0) })
  expect(notes[0]?.numbers['minutes']).toBe(own?.chargeMin)
})

test('cards are counted in gigabytes, lenses of the day that are no piece of the kit are not forgotten', () => {
  const list = day('crossing')
  expect(lineOf(list, 'part luffa-card-128')).toMatchObject({
    count: 2,
    notes: [{ code: 'holds', numbers: { gb: 256 } }],
  })
  expect(lineOf(list, 'part kabocha-24-70')?.notes).toMatchObject([{ code: 'day-lens' }])
})

const wired = (spare: boolean) => {
  const tiny = wiredRig(
    [screen(), hdmiLead(), ...(spare ? [hdmiLead('second')] : [])],
    [on('screen', 'foot', 'camera', 'hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  return packListOf([evaluate(tiny.rig, 'main', tiny.context)]).lines
}
test('the picture lead at the camera wants a second one: said where there is none, named as its spare where there is', () => {
  expect(wired(false).find(({ notes }) => notes.some(({ code }) => code === 'no-spare'))?.name).toBe('A second hdmi')
  const lines = wired(true)
  expect(lines.some(({ notes }) => notes.some(({ code }) => code === 'no-spare'))).toBe(false)
  expect(lines.find(({ key }) => key === 'part second')?.notes).toMatchObject([{ code: 'spare-of' }])
})

test('a bag says what it holds inside: 300 by 200 by 150 mm with walls of 18 mm are 4.9 litres', () => {
  const bag = tinyPart({
    id: 'bag',
    role: 'case',
    massG: 900,
    solids: [{ kind: 'box', centre: [0, 75, 0], size: [300, 150, 200], matter: 'soft' }],
  })
  const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
  const tiny = tinyRig([cube, bag], [on('cube', 'foot', 'camera', 'hole')])
  const list = packListOf([evaluate(tiny.rig, 'main', tiny.context)])
  // 264 x 114 x 164 mm inside; the rig is 100 x 100 x 60 mm with its cube.
  expect(list.bags).toMatchObject([{ name: 'bag', ownG: 900, litres: expect.closeTo(4.936, 3) as number }])
  expect(list.bags[0]?.filled).toBeCloseTo(0.6, 3)
  expect(list.lines[0]?.bag).toBe('bag')
  expect(packListOf([])).toMatchObject({ lines: [], grams: 0 })
})

test('what the day takes beyond the kit is a line of its own: packs by their kind, cards by gigabytes', () => {
  const short = {
    ...secondMark,
    kit: secondMark.kit.filter(({ partId, id }) => !(partId === 'luffa-slab-17' && id !== 'slab')),
  }
  const longer = { ...short, brief: { ...short.brief, phases: [], hoursOnLocation: 12, hoursRolling: 8 } }
  const assessment = evaluate(longer, 'crossing', context)
  const list = packListOf([assessment])
  const lacking = assessment.facts.day.kinds.filter(({ needed, have }) => needed > have && Number.isFinite(needed))
  expect(lacking.length).toBeGreaterThan(0)
  for (const { kind, needed, have } of lacking)
    expect(lineOf(list, `short ${kind}`)).toMatchObject({
      count: needed - have,
      grams: 0,
      notes: [{ numbers: { needed, have } }],
    })
  // 8 h of rolling do not go on two cards of 128 GB.
  const cards = list.lines.find(({ key }) => key.startsWith('short cards'))?.notes[0]?.numbers
  expect(cards?.['gb']).toBe(256)
  expect(cards?.['neededGb']).toBeGreaterThan(256)
  expect(day('crossing').lines.some(({ key }) => key.startsWith('short'))).toBe(false)
  // A set-up later in the day counts as the first one does.
  const later = packListOf([evaluate(secondMark, 'crossing', context), assessment])
  expect(later.lines.find(({ key }) => key.startsWith('short cards'))?.notes[0]?.numbers).toEqual(cards)
})

const chest = (id: string, size: readonly [number, number, number]) => ({
  key: id,
  part: tinyPart({ id, role: 'case', massG: 500, solids: [{ kind: 'box', centre: [0, 0, 0], size, matter: 'soft' }] }),
})
const thing = (key: string, dims: readonly [number, number, number], more = {}) => ({
  key,
  count: 1,
  grams: 100,
  dims,
  byHand: false,
  ...more,
})

test('the largest bag is filled first, then the next; what is longer than a bag goes into none; packs to the traveller', () => {
  // Inside 36 mm less each way: 300 x 200 x 100 are 6 litres, 200 x 100 x 100 are 2.
  const cases = [chest('small', [236, 136, 136]), chest('large', [336, 236, 136])]
  const { bags, into } = stow(
    [
      thing('rig', [300, 200, 50]),
      thing('pack', [80, 60, 40], { byHand: true, count: 2 }),
      thing('second', [250, 200, 50]),
      thing('third', [190, 90, 90]),
      thing('tripod', [500, 80, 80]),
      thing('coin', [0, 0, 0]),
    ],
    cases,
  )
  expect(Object.fromEntries(into)).toEqual({
    rig: 'large',
    pack: 'small',
    second: 'large',
    third: 'small',
    coin: 'large',
  })
  expect(bags.map(({ key, litres, filled, grams, ownG }) => [key, litres, filled, grams, ownG])).toEqual([
    ['large', 6, 5.5, 300, 500],
    // Two packs of 0.192 and the third thing of 1.539 litres.
    ['small', 2, expect.closeTo(1.923, 6), 200, 500],
  ])
  // Too much for all of them goes where most room is left, and the bag is told as over-full.
  const over = stow([thing('a', [300, 200, 90]), thing('b', [300, 200, 90])], cases.slice(1))
  expect([over.bags[0]?.filled, over.bags[0]?.litres]).toEqual([expect.closeTo(10.8, 6), 6])
})
