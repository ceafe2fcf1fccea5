import { edit, type Rig } from '../assembly/index.ts'
import { evaluate, knownBy, MOST_WAYS, type Way, waysOut } from '../assess/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { type Finding, findingsOf } from '../checks/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
import { type Situation, situations } from '../testing/situations.ts'

// What a practitioner would do in each of these, and whether it is among the first that are offered.

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const rigOf = (id: string): Rig => {
  const rig = [secondMark, ...soundRigs].find((one) => one.id === id)
  if (!rig) throw new RangeError(id)
  return rig
}

/** The way is of a kind that is wanted, and about the thing it is wanted for. */
const isWanted = ({ way, about }: Situation, { kind, remedy }: Way): boolean => {
  const said = JSON.stringify([remedy.text, remedy.names, remedy.commands]).toLowerCase()
  return way.includes(kind) && (about === undefined || said.includes(about.toLowerCase()))
}

test('of what goes wrong at the bench, nine in ten are put right as a practitioner would, among the first four', () => {
  const missed: string[] = []
  for (const one of situations) {
    const sound = rigOf(one.rig)
    const done = edit(sound, one.happens(sound, context.catalogue), context.catalogue)
    if (!done.ok) throw new Error(`${one.name}: ${JSON.stringify(done.issues)}`)
    const rig = done.value
    const before = evaluate(rig, one.setup, context)
    const said = before.findings.filter(({ check }) => check === one.says)
    expect([one.name, said.length > 0]).toEqual([one.name, true])
    // Before it happened that was not said, or was only a hint of it.
    const were = findingsOf(evaluate(sound, one.setup, context).strict).filter(({ check }) => check === one.says)
    const graver = (list: readonly Finding[]) => list.filter(({ level }) => level !== 'hint').length
    expect([one.name, were.length < said.length || graver(were) < graver(said)]).toEqual([one.name, true])
    const known = knownBy(before, (id) => evaluate(rig, id, context))
    const isMet = said.some((finding) =>
      waysOut(known, before, finding)
        .slice(0, MOST_WAYS)
        .some((way) => isWanted(one, way)),
    )
    if (!isMet) missed.push(one.name)
  }
  expect([missed, missed.length <= 0.1 * situations.length]).toEqual([missed, true])
  expect(situations.length).toBeGreaterThanOrEqual(25)
})
