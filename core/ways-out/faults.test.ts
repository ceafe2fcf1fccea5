import { type Assembly, type Command, edit, newRig, placeSetup, ridesOn, type Rig, setupOf } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { type Finding, findingsOf, kindOf, levels, type Remedy, troubleOf } from '../checks/index.ts'
import { contextFor } from '../context/index.ts'
import { evaluate, knownBy, MOST_WAYS, type Way, waysOut } from '../assess/index.ts'
import { type Facts, factsOf } from '../facts/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
import { type Fault, spoilt } from '../testing/faults.ts'
import { troubleBySockets as named } from '../testing/troubles.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { takesAway } from './index.ts'

// What is promised of ways out, measured over rigs that were sound before something was done wrong on them. Whoever
// judges here starts from nothing and shares no memory with what proposes.

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const MOST_RIGS = 200
const rigsTried = Math.min(MOST_RIGS, trialRuns(5))
/** A handful of rigs says little of shares: the long trials hold them to what is promised. */
const isLong = rigsTried === MOST_RIGS
const PROMISED = isLong ? { helped: 0.9, named: 0.9, priced: 0.1 } : { helped: 0.75, named: 0.75, priced: 0.25 }

const factsIn = (rig: Rig, id: string): Facts => {
  const setup = setupOf(rig, id)
  if (!setup) throw new RangeError(id)
  const around = contextFor(rig, context)
  return factsOf(placeSetup(rig, setup, around.catalogue), around)
}
const judged = (rig: Rig, id: string): readonly Finding[] => findingsOf(factsIn(rig, id))
const after = (rig: Rig, commands: readonly Command[]): Rig => {
  const edited = edit(rig, commands, context.catalogue)
  if (!edited.ok) throw new Error(JSON.stringify(edited.issues))
  return edited.value
}
const offersOf = (rig: Rig, setup: string): readonly (readonly [Finding, readonly Way[]])[] => {
  const before = evaluate(rig, setup, context)
  const known = knownBy(before, (id) => evaluate(rig, id, context))
  return before.findings.map((finding) => [finding, waysOut(known, before, finding)])
}

interface Case {
  readonly rig: Rig
  readonly setup: string
  readonly faults: readonly Fault[]
}
const marks: readonly Case[] = [firstMark, secondMark].flatMap((rig) =>
  rig.setups.slice(0, isLong ? 9 : 1).map(({ id }) => ({ rig, setup: id, faults: [] })),
)
const cases: readonly Case[] = [
  ...Array.from({ length: rigsTried }, (_, i) =>
    spoilt(soundRigs[i % soundRigs.length] ?? firstMark, context.catalogue, trialSeed + i),
  ),
  ...marks,
]

/** Whether what is plainly offered brings a stop, or a risk as grave as a stop or risk that it clears, anywhere. */
const harmOf = ({ rig, setup }: Case, finding: Finding, way: Way): string | undefined => {
  const now = after(rig, way.remedy.commands)
  for (const { id } of now.setups) {
    const had = new Map(judged(rig, id).map((one) => [named(rig, id, one, now), levels.indexOf(one.level)]))
    for (const one of judged(now, id)) {
      const before = had.get(named(now, id, one, rig)) ?? levels.length
      const isNew = before > levels.indexOf(one.level)
      const said = `${rig.id} ${setup} ${finding.check}: ${way.remedy.text}`
      if (isNew && one.level === 'stop') return `${said} brings the stop ${one.check} in ${id}`
      if (isNew && one.level === 'risk' && way.as === 'plain') return `${said} brings the risk ${one.check} in ${id}`
      if (id === setup && way.as === 'plain' && named(now, id, one, rig) === named(rig, id, finding, now))
        return `${said} does nothing`
    }
  }
  return undefined
}

test('no offer harms or does nothing; nine in ten stops and risks have one that helps; few are had at a price', () => {
  const harm: string[] = []
  const counts = { offers: 0, priced: 0, troubles: 0, helped: 0, spoilt: 0, named: 0 }
  for (const one of cases) {
    const sound = soundRigs.find(({ id }) => id === one.rig.id)
    const had = new Set(sound ? judged(sound, one.setup).map(troubleOf) : [])
    const { assembly } = factsIn(one.rig, one.setup)
    let [isSpoilt, isNamed] = [false, false]
    for (const [finding, ways] of offersOf(one.rig, one.setup)) {
      for (const way of ways) harm.push(...[harmOf(one, finding, way) ?? []].flat())
      if (finding.level === 'hint') continue
      counts.troubles++
      counts.offers += ways.length
      counts.priced += ways.filter(({ as }) => as === 'price').length
      if (ways.some(({ kind }) => !takesAway(kind))) counts.helped++
      if (had.has(troubleOf(finding))) continue
      isSpoilt = true
      const top = ways.slice(0, MOST_WAYS).map(({ remedy }) => remedy)
      isNamed ||= one.faults.some((fault) => top.some((remedy) => isNamedBy(fault, remedy, assembly)))
    }
    if (one.faults.length > 0 && isSpoilt) {
      counts.spoilt++
      if (isNamed) counts.named++
    }
  }
  expect(harm).toEqual([])
  expect(counts.helped / counts.troubles).toBeGreaterThanOrEqual(PROMISED.helped)
  expect(counts.named / counts.spoilt).toBeGreaterThanOrEqual(PROMISED.named)
  expect(counts.priced / counts.offers).toBeLessThanOrEqual(PROMISED.priced)
  expect(counts.spoilt).toBeGreaterThan(rigsTried / 4)
})
/** What is gone can't be put back by its own name: then the kind of move tells. */
const isGone = ({ commands }: Fault): boolean => commands.some((command) => command.do === 'discard')
/** A way out that a practitioner would take: of the right kind, with the piece it was done to, what it rides on or carries. */
const isNamedBy = (fault: Fault, remedy: Remedy, { placed }: Assembly): boolean => {
  if (!fault.cures.includes(kindOf(remedy))) return false
  const said = JSON.stringify(remedy.commands)
  const moved = placed.filter(({ instance }) => said.includes(`"${instance.id}"`))
  const [piece] = placed.filter(({ instance }) => instance.id === fault.piece)
  return isGone(fault) || moved.some((one) => piece && (ridesOn(one, piece) || ridesOn(piece, one)))
}
const MOST_PRESSES = 30

/** Presses the first offer of the gravest finding that has one, again and again; tells how it ended. */
const pressed = (start: Rig, setup: string): { readonly presses: number; readonly rig: Rig } => {
  let rig = start
  const seen = new Set([JSON.stringify(rig)])
  for (let presses = 0; presses <= MOST_PRESSES; presses++) {
    const before = evaluate(rig, setup, context)
    const known = knownBy(before, (id) => evaluate(rig, id, context))
    let top: Way | undefined
    for (const finding of before.findings) {
      ;[top] = waysOut(known, before, finding)
      if (top) break
    }
    if (!top) return { presses, rig }
    rig = after(rig, top.remedy.commands)
    const key = JSON.stringify(rig)
    if (seen.has(key)) throw new Error(`${rig.id} ${setup}: round in a ring after ${presses + 1} presses`)
    seen.add(key)
  }
  throw new Error(`${start.id} ${setup}: more than ${MOST_PRESSES} presses`)
}

test('pressing the first offer again and again comes to an end, without a ring, with no more stops than there were', () => {
  const some = cases.slice(0, rigsTried)
  for (const { rig, setup } of [...some, ...marks]) {
    const { presses, rig: end } = pressed(rig, setup)
    expect(presses).toBeLessThanOrEqual(MOST_PRESSES)
    const count = (of: Rig) => judged(of, setup).filter(({ level }) => level === 'stop').length
    expect(count(end)).toBeLessThanOrEqual(count(rig))
  }
})

const carried = ['battery', 'lens', 'cage', 'top-handle'] as const
test.each([
  ['calabash-h1', [...carried, 'side-handle', 'mic'] as const],
  ['kabocha-s', [...carried, 'side-handle', 'mic'] as const],
  // With its lens it is too heavy for more in the hand.
  ['cushaw-c6', carried],
] as const)('from a bare %s the first offers alone make a rig that is carried', (camera, wanted) => {
  const bare = newRig('bare', 'bare', camera)
  const { rig } = pressed({ ...bare, brief: { ...bare.brief, budgetMinor: 1_500_000 } }, 'main')
  expect(judged(rig, 'main').filter(({ level }) => level === 'stop')).toEqual([])
  const [setup] = rig.setups
  if (!setup) throw new Error('main')
  const roles = new Set(placeSetup(rig, setup, context.catalogue).placed.map(({ part }) => part.role))
  for (const role of wanted) expect([role, roles.has(role)]).toEqual([role, true])
})
