import { catalogueOf } from '../catalogue/index.ts'
import { edit } from '../assembly/index.ts'
import { troubleOf, type WayKind, wayKindOf } from '../checks/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark } from '../../demo/scenario/index.ts'
import { evaluate, knownBy, MOST_WAYS, repairOf, waysOut } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const before = evaluate(firstMark, 'crossing', context)
const assessed: string[] = []
const known = knownBy(before, (id) => {
  assessed.push(id)
  return evaluate(firstMark, id, context)
})
const ways = before.findings.map((finding) => ({ finding, ways: waysOut(known, before, finding) }))
const away = (kind: WayKind) => kind === 'take-off' || kind === 'leave-out'

test('what takes something off comes last, and what has a price is offered only where nothing else helps', () => {
  expect(ways.some(({ ways: all }) => all.length > 1)).toBe(true)
  for (const { ways: all } of ways) {
    const gone = all.map(({ kind }) => Number(away(kind)))
    expect(gone).toEqual([...gone].sort((a, b) => a - b))
    const kept = all.filter(({ kind }) => !away(kind)).map(({ as }) => as)
    expect(kept.includes('price') && kept.some((as) => as !== 'price')).toBe(false)
  }
})

test('the first few are of different kinds', () => {
  for (const { ways: all } of ways) {
    const first = all.slice(0, MOST_WAYS).map(({ kind }) => kind)
    const kinds = new Set(all.map(({ kind }) => kind))
    expect(new Set(first).size).toBe(Math.min(kinds.size, MOST_WAYS))
  }
})

test('what brings a stop is offered by nobody, and every offer says how long it takes and with what', () => {
  for (const { ways: all } of ways)
    for (const { effect, remedy, seconds, tools } of all) {
      expect(effect.gained.stop).toBe(0)
      const bolts = remedy.commands.some((command) => command.do === 'place' || command.do === 'set')
      if (bolts && wayKindOf(remedy.commands) !== 'swap')
        expect([remedy.text, seconds > 0]).toEqual([remedy.text, true])
      expect(tools).not.toContain('fingers')
    }
})

test('a first list is made of a few tries, and nothing in it is worse than nothing', () => {
  for (const { finding } of ways.slice(0, 6)) {
    const quick = waysOut(known, before, finding, 10)
    expect(quick.length).toBeLessThanOrEqual(10)
    expect(quick.every(({ effect }) => effect.gained.stop === 0)).toBe(true)
  }
})

test('what is safe together is judged together: nothing comes off, no money is spent beyond the brief, less is left', () => {
  const offer = repairOf(
    known,
    before,
    ways.map(({ finding, ways: all }) => [finding, all]),
  )
  if (!offer) throw new Error('the first mark has some')
  expect(offer.steps.length).toBeGreaterThan(1)
  expect(offer.steps.flatMap(({ commands }) => commands)).toEqual(offer.remedy.commands)
  expect(offer.remedy.commands.some((command) => command.do === 'discard')).toBe(false)
  expect(offer.effect.toBuyMinor).toBeLessThanOrEqual(0)
  const edited = edit(firstMark, offer.remedy.commands, context.catalogue)
  if (!edited.ok) throw new Error('it can be done')
  for (const { id } of firstMark.setups) {
    const had = new Set(evaluate(firstMark, id, context).findings.map(troubleOf))
    const fresh = evaluate(edited.value, id, context).findings.filter((one) => !had.has(troubleOf(one)))
    expect(fresh.filter(({ level }) => level !== 'hint').map(({ check }) => `${id} ${check}`)).toEqual([])
  }
  const left = new Set(evaluate(edited.value, 'crossing', context).findings.map(troubleOf))
  expect(offer.cured.filter((finding) => left.has(troubleOf(finding)))).toEqual([])
  // One by itself is no repair: its own button does it.
  const [only] = ways.filter(({ ways: all }) => all.some(({ as, kind }) => as === 'plain' && !away(kind)))
  expect(only && repairOf(known, before, [[only.finding, only.ways]])).toBeUndefined()
})

test('the other set-ups are assessed once, and only when a way out reaches them', () => {
  expect(new Set(assessed).size).toBe(assessed.length)
  expect(assessed).not.toContain('crossing')
  const fresh: string[] = []
  const own = knownBy(before, (id) => {
    fresh.push(id)
    return evaluate(firstMark, id, context)
  })
  const turned = before.findings.find(({ check }) => check === 'glove-room')
  if (!turned) throw new Error('the first mark has one')
  waysOut(own, before, turned)
  expect(fresh).toEqual([])
})

test('hints that a way out brings are told with it: all that is then said and was not before', () => {
  const had = new Set(before.findings.map(troubleOf))
  const told: string[] = []
  for (const { ways: all } of ways)
    for (const { remedy, kind, hints } of all) {
      const edited = edit(firstMark, remedy.commands, context.catalogue)
      if (!edited.ok) throw new Error('it was tried')
      const after = evaluate(edited.value, 'crossing', context)
      const isNew = after.findings.filter((one) => one.level === 'hint' && !had.has(troubleOf(one))).map(troubleOf)
      const here = hints.filter(({ setup }) => setup === 'crossing').map(({ finding }) => troubleOf(finding))
      // Of what takes another's place the same is said as before, by another name.
      if (kind !== 'swap' && kind !== 'lead') expect(here).toEqual(expect.arrayContaining(isNew))
      for (const { finding } of hints) expect(finding.level).toBe('hint')
      told.push(...here)
    }
  // A second make of pack is one more thing to charge.
  expect(told.some((one) => one.includes('too-many-battery-kinds'))).toBe(true)
})
