import { catalogueOf } from '../catalogue/index.ts'
import { wayKindOf } from '../checks/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark } from '../../demo/scenario/index.ts'
import { evaluate, knownBy, MOST_WAYS, waysOut } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const before = evaluate(firstMark, 'crossing', context)
const assessed: string[] = []
const known = knownBy(before, (id) => {
  assessed.push(id)
  return evaluate(firstMark, id, context)
})
const ways = before.findings.map((finding) => ({ finding, ways: waysOut(known, before, finding) }))
const away = (commands: Parameters<typeof wayKindOf>[0]) => ['take-off', 'leave-out'].includes(wayKindOf(commands))

test('few are offered, what takes something off comes last, and plain ones come before those at a price', () => {
  expect(ways.some(({ ways: all }) => all.length > 1)).toBe(true)
  for (const { ways: all } of ways) {
    expect(all.length).toBeLessThanOrEqual(MOST_WAYS)
    const kinds = all.map(({ remedy }) => Number(away(remedy.commands)))
    expect(kinds).toEqual([...kinds].sort((a, b) => a - b))
    const kept = all.filter(({ remedy }) => !away(remedy.commands)).map(({ as }) => as)
    expect(kept).toEqual(
      [...kept].sort((a, b) => ['plain', 'part', 'price'].indexOf(a) - ['plain', 'part', 'price'].indexOf(b)),
    )
  }
})

test('what brings a stop is offered by nobody; the first mark’s receiver is not turned off its lead', () => {
  const offered = ways.flatMap(({ finding, ways: all }) => all.map(({ remedy }) => ({ finding, remedy })))
  expect(offered.length).toBeLessThan(before.findings.flatMap(({ remedies }) => remedies).length)
  // Its own rule would turn the receiver round; then one of its leads no longer reaches.
  const isTurn = ({ commands }: { readonly commands: Parameters<typeof wayKindOf>[0] }) =>
    wayKindOf(commands) === 'turn'
  const crowded = ways.find(({ finding }) => finding.check === 'socket-crowding')
  expect(crowded?.finding.remedies.some(isTurn)).toBe(true)
  expect(crowded?.ways.some(({ remedy }) => isTurn(remedy))).toBe(false)
  for (const { ways: all } of ways) for (const { effect } of all) expect(effect.gained.stop).toBe(0)
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
