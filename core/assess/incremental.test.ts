import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import fc from 'fast-check'
import {
  type Command,
  edit,
  everywhere,
  offPlaceOf,
  offPlaces,
  placeSetup,
  type Rig,
  setupOf,
  travelOf,
} from '../assembly/index.ts'
import { shootKinds } from '../brief/index.ts'
import { capabilityIds, catalogueOf } from '../catalogue/index.ts'
import { checks } from '../checks/index.ts'
import { type Facts, factNames, momentOf, plainFactsOf } from '../facts/index.ts'
import { type Context, contextFor } from '../context/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, demoRigs, firstMark, secondMark } from '../../demo/scenario/index.ts'
import { namedWays } from '../remedies/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { type Assessment, evaluate, fitsHere, tryOut } from './index.ts'

const context: Context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const plain = (rig: Rig, setupId: string, around: Context): Facts => {
  const setup = setupOf(rig, setupId)
  if (!setup) throw new RangeError(setupId)
  const priced = contextFor(rig, around)
  return plainFactsOf(placeSetup(rig, setup, priced.catalogue), priced)
}
const said = (findings: readonly object[]): string[] => findings.map((finding) => JSON.stringify(finding)).sort()
const saidPlainly = (facts: Facts): string[] => said(checks.flatMap((check) => check.run(facts)))
const saidBy = (assessment: Assessment): string[] => said(assessment.findings)

const askedIn = (assessment: Assessment): string[] => {
  void assessment.findings
  return [...momentOf(assessment.strict).evaluator.counts.keys()]
}
const edited = (rig: Rig, commands: readonly Command[]): Rig => {
  const done = edit(rig, commands, context.catalogue)
  if (!done.ok) throw new Error(done.issues[0]?.code)
  return done.value
}
const [crossing] = secondMark.setups
const first = () => {
  const assessment = evaluate(secondMark, crossing?.id ?? '', context)
  void assessment.findings
  return assessment
}

test('a note, the name of the rig and a tier of a piece ask nothing anew, or only what reads them', () => {
  const before = first()
  const noted = edited(secondMark, [{ do: 'note', instance: 'handle', notes: 'by the door' }])
  expect(askedIn(evaluate(noted, before.setupId, context, before))).toEqual([])
  expect(askedIn(evaluate({ ...secondMark, name: 'another' }, before.setupId, context, before))).toEqual([])
})

test('the money of the brief asks only money anew', () => {
  const before = first()
  const richer = edited(secondMark, [{ do: 'brief', brief: { ...secondMark.brief, budgetMinor: 100_000 } }])
  const after = evaluate(richer, before.setupId, context, before)
  const { evaluator } = momentOf(after.strict)
  for (const name of askedIn(after))
    expect([name, evaluator.leavesOf(name).has('brief.budgetMinor')]).toEqual([name, true])
  expect(askedIn(after).length).toBeLessThanOrEqual(5)
})

test('a plate more asks nothing of the day, the light or the sound anew', () => {
  const before = first()
  const point = before.points.find(({ mount }) => mount.standard.startsWith('thread'))
  if (!point) throw new Error('there is a hole')
  const fit = fitsHere(secondMark, before.setupId, point, context, before).fits.find(
    ({ part }) => !part.power && !part.sockets && !part.optics,
  )
  if (!fit) throw new Error('something plain goes on it')
  const asked = askedIn(tryOut(edited(secondMark, fit.commands), before))
  for (const name of ['day', 'network', 'runDown', 'light', 'lensKit', 'sounds', 'pictures', 'recordings'])
    expect(asked).not.toContain(`fact ${name}`)
  // The leads of the rig's set-ups and how those are held stay, whatever is put on in one of them.
  for (const name of ['check socket-crowding', 'check port-wear', 'fact needs']) expect(asked).not.toContain(name)
  expect(asked).toContain('fact mass')
  expect(asked.length).toBeLessThan((factNames.length + checks.length) * 0.45)
})

test('a try leaves what it was tried on untouched', () => {
  const before = first()
  const asked = askedIn(before).length
  const kept = saidBy(before)
  void tryOut(edited(secondMark, [{ do: 'set', setup: before.setupId, instance: 'handle', slideMm: 3 }]), before)
    .findings
  expect([saidBy(before), askedIn(before).length]).toEqual([kept, asked])
})

/** Throws away what nobody holds any more; what was only looked at is held until the next turn. */
const sweep = async (): Promise<void> => {
  await new Promise((resolve) => setTimeout(resolve, 0))
  setFlagsFromString('--expose-gc')
  ;(runInNewContext('gc') as () => void)()
}

test('a try that is dropped is forgotten, with all that was worked out in it', async () => {
  const before = first()
  void before.findings
  const open = before.points.filter(({ open: free, mount }) => free && mount.side === 'holds')
  const tried = open
    .flatMap((point) => fitsHere(secondMark, before.setupId, point, context, before).fits.slice(0, 3))
    .map(({ commands }) => {
      const after = tryOut(edited(secondMark, commands), before)
      void after.findings
      return new WeakRef(momentOf(after.strict).evaluator)
    })
  expect(tried.length).toBeGreaterThan(10)
  await sweep()
  expect(tried.filter((one) => one.deref() !== undefined)).toHaveLength(0)
})

test('ways out are those of the rig as it is, also where the finding stands from before', () => {
  const before = evaluate(firstMark, firstMark.setups[0]?.id ?? '', context)
  void before.findings
  const richer = edited(firstMark, [{ do: 'brief', brief: { ...firstMark.brief, budgetMinor: 90_001 } }])
  const after = evaluate(richer, before.setupId, context, before)
  const scratch = evaluate(richer, before.setupId, context)
  const waysOf = ({ findings }: Assessment) => findings.map((finding) => [...namedWays(finding)])
  expect(waysOf(after)).toEqual(waysOf(scratch))
  expect(waysOf(after).flat().length).toBeGreaterThan(0)
})

test('a rule that tries out an edit while it judges tries it on the whole rig', () => {
  // Without the first pieces of the locker, one that lies there stands in for one to buy.
  const around = { ...context, owned: new Map([...context.owned].slice(3)) }
  const before = evaluate(secondMark, 'crossing', context)
  void before.findings
  const after = evaluate(secondMark, 'crossing', around, before)
  expect(after.findings.filter(({ check }) => check === 'duplicate-owned').map(({ message }) => message)).toEqual([
    'owned',
  ])
  expect(saidBy(after)).toEqual(saidPlainly(plain(secondMark, 'crossing', around)))
  // Nothing of it hangs on a note.
  const noted = edited(secondMark, [{ do: 'note', instance: 'handle', notes: 'by the door' }])
  expect(askedIn(evaluate(noted, 'crossing', around, after))).toEqual([])
})

const step = fc.record({
  what: fc.constantFrom(
    'slide',
    'note',
    'budget',
    'cold',
    'status',
    'take-off',
    'stow',
    'hours',
    'kind',
    'wish',
    'undo',
    'try',
    'owned',
    'limits',
    'place',
    'support',
  ) as fc.Arbitrary<string>,
  which: fc.nat(999),
  value: fc.nat(99),
})
type Step = ReturnType<typeof step.generate>['value']

const supports = ['hand-low', 'two-hand', 'shoulder', 'tripod'] as const
/** The commands of a step, as far as there is something to do. */
const commandsOf = ({ what, which, value }: Step, rig: Rig, now: Assessment): readonly Command[] => {
  const setup = now.setupId
  const { placed, loose } = now.assembly
  const pick = <T>(list: readonly T[]): T | undefined => list[which % Math.max(1, list.length)]
  if (what === 'slide' || what === 'try') {
    const piece = pick(placed.filter((one) => travelOf(one)))
    const travel = piece && travelOf(piece)
    return piece && travel
      ? [
          {
            do: 'set',
            setup,
            instance: piece.instance.id,
            slideMm: travel.minMm + (value % (travel.maxMm - travel.minMm + 1)),
          },
        ]
      : []
  }
  const any = pick(rig.kit)
  if (what === 'note' && any) return [{ do: 'note', instance: any.id, notes: `note ${value}` }]
  if (what === 'status') {
    const lying = pick(loose)
    return lying ? [{ do: 'status', instance: lying.instance.id, status: value % 2 ? 'in' : 'considered' }] : []
  }
  if (what === 'budget') return [{ do: 'brief', brief: { ...rig.brief, budgetMinor: value * 1000 } }]
  if (what === 'cold') return [{ do: 'brief', brief: { ...rig.brief, conditions: value % 2 ? ['cold'] : ['sun'] } }]
  if (what === 'kind')
    return [{ do: 'brief', brief: { ...rig.brief, kind: shootKinds[value % shootKinds.length] ?? 'desk' } }]
  if (what === 'wish') {
    const gift = capabilityIds[which % capabilityIds.length] ?? 'screen'
    return [{ do: 'brief', brief: { ...rig.brief, wishes: { [gift]: value % 2 ? 'want' : 'skip' } } }]
  }
  if (what === 'hours')
    return [{ do: 'brief', brief: { ...rig.brief, hoursRolling: (value % 5) + 1, hoursOnLocation: 8, phases: [] } }]
  if (what === 'take-off') {
    const piece = pick(placed.filter((one) => one.joint && !placed.some(({ host }) => host === one)))
    return piece ? [{ do: 'take-off', setup, instance: piece.instance.id }] : []
  }
  if (what === 'stow') {
    const piece = pick(everywhere(now.assembly).filter((one) => one.host ?? offPlaceOf(now.assembly, one)))
    const at = offPlaces[value % offPlaces.length] ?? 'belt'
    return piece ? [{ do: 'stow', setup, instance: piece.instance.id, at }] : []
  }
  if (what === 'support')
    return [{ do: 'change-setup', setup, support: supports[value % supports.length] ?? 'hand-low' }]
  if (what === 'place') {
    const point = pick(now.points)
    const fit = point && pick(fitsHere(rig, setup, point, context, now).fits.slice(0, 6))
    return fit?.commands ?? []
  }
  return []
}

test.each(demoRigs.flatMap((rig) => rig.setups.slice(0, 2).map(({ id }) => [`${rig.id} ${id}`, rig, id] as const)))(
  '%s: over edits, undos, tries and other surroundings all is what the plainest reckoning says',
  (_, rig, setupId) => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 2, maxLength: 6 }), (steps) => {
        let [now, around] = [rig, context]
        let assessment = evaluate(now, setupId, around)
        void assessment.findings
        const past: Rig[] = []
        for (const one of steps) {
          if (one.what === 'owned') around = { ...around, owned: new Map([...around.owned].slice(one.value % 7)) }
          if (one.what === 'limits') around = { ...around, limits: { 'hang-tilt': { goodDeg: 1 + (one.value % 4) } } }
          const commands = commandsOf(one, now, assessment)
          const done = edit(now, commands, around.catalogue)
          const next = one.what === 'undo' ? past.pop() : done.ok && commands.length > 0 ? done.value : undefined
          if (next && one.what === 'try') {
            expect(saidBy(tryOut(next, assessment))).toEqual(saidPlainly(plain(next, setupId, around)))
            continue
          }
          if (next) {
            if (one.what !== 'undo') past.push(now)
            now = next
          }
          assessment = evaluate(now, setupId, around, assessment)
          expect(saidBy(assessment)).toEqual(saidPlainly(plain(now, setupId, around)))
        }
      }),
      { numRuns: trialRuns(3), seed: trialSeed, endOnFailure: true },
    )
  },
)

test('a wish more is heeded by what weighs parts against the brief, on the same evaluator too', () => {
  // Of the money rules the one about equals reads what the brief asks; with nobody's parts in the locker there is much
  // to buy.
  const around = { ...context, owned: new Map<string, number>() }
  let [rig, before] = [secondMark, evaluate(secondMark, 'crossing', around)]
  for (const wishes of [{ 'wind-cover': 'skip' }, {}, { 'sun-view': 'skip', screen: 'skip' }, {}] as const) {
    rig = edited(rig, [{ do: 'brief', brief: { ...rig.brief, wishes } }])
    void before.findings
    const after = evaluate(rig, 'crossing', around, before)
    expect(saidBy(after)).toEqual(saidPlainly(plain(rig, 'crossing', around)))
    before = after
  }
})
