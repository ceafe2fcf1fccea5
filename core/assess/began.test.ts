import { edit, type Joint, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { type Context, contextFor } from '../context/index.ts'
import { type FactName, plainFactsOf } from '../facts/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, demoRigs, firstMark } from '../../demo/scenario/index.ts'
import { tinyRig } from '../testing/index.ts'
import { cheekJoints, cheeks, clamp, onClamp } from '../testing/fit-rigs.ts'
import { type Assessment, evaluate, fitsHere, tryOut } from './index.ts'

const context: Context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }

/** Figures that begin with what they were before a piece came or went; what locks is held to this beside its own. */
const begun = [
  'clashes',
  'invasions',
  'gloved',
  'screens',
  'ownScreen',
  'leadIntrusions',
  'plugs',
  'entries',
  'inShot',
  'leads',
] as const satisfies readonly FactName[]
type Begun = (typeof begun)[number]

/** So many of what goes on a point are put on, the first of the list. */
const OFFERS = 1

/** Pieces of the rig would lead a comparison round and round: what is found is told by names and numbers. */
const told = (value: unknown): string =>
  JSON.stringify(value, (key, one: unknown) => {
    if (typeof one === 'object' && one !== null && 'instance' in one && 'frame' in one)
      return (one as { readonly instance: { readonly id: string } }).instance.id
    return typeof one === 'number' ? Number(one.toFixed(9)) : key === 'part' ? undefined : one
  })

const plainly = (rig: Rig, setupId: string, given: Context) => {
  const setup = setupOf(rig, setupId)
  if (!setup) throw new RangeError(setupId)
  const around = contextFor(rig, given)
  return plainFactsOf(placeSetup(rig, setup, around.catalogue), around)
}

/** A rig with a piece of one set-up taken off; undefined where something rides on it or a lead goes into it. */
const without = (rig: Rig, setupId: string, { guest }: Joint): Rig | undefined => {
  const setup = setupOf(rig, setupId)
  const isFree =
    setup?.joints.every(({ host }) => host !== guest) &&
    setup.links.every(({ from, to }) => from.instance !== guest && to.instance !== guest)
  const done = isFree ? edit(rig, [{ do: 'take-off', setup: setupId, instance: guest }], context.catalogue) : undefined
  return done?.ok ? done.value : undefined
}

test('each piece taken off and put on again: what begins with what it was is what is found anew', () => {
  const changed = new Map<Begun, number>()
  const same = new Map<Begun, number>()
  const hold = (before: Assessment, rig: Rig, around = context): void => {
    const after = tryOut(rig, before)
    const plain = plainly(rig, before.setupId, around)
    for (const name of begun) {
      const now = told(after.strict[name])
      expect([name, now]).toEqual([name, told(plain[name])])
      const tally = now === told(before.strict[name]) ? same : changed
      tally.set(name, (tally.get(name) ?? 0) + 1)
    }
  }
  const judged = (rig: Rig, setupId: string, around = context): Assessment => {
    const assessment = evaluate(rig, setupId, around)
    void assessment.findings
    return assessment
  }
  for (const rig of demoRigs)
    for (const { id, joints } of rig.setups) {
      const whole = judged(rig, id)
      for (const joint of joints) {
        const less = without(rig, id, joint)
        if (!less) continue
        hold(whole, less)
        hold(judged(less, id), rig)
      }
    }
  // What could be put on as well stands before screens.
  for (const setupId of ['crossing', 'slip']) {
    const rig = firstMark
    const whole = judged(rig, setupId)
    for (const point of whole.points.filter(({ open }) => open))
      for (const { commands } of fitsHere(rig, whole.setupId, point, context, whole).fits.slice(0, OFFERS)) {
        const more = edit(rig, [...commands], context.catalogue)
        if (!more.ok) throw new Error('what fits goes on')
        hold(whole, more.value)
      }
  }
  // A rail whose second end is shut, and opened again.
  const [open, shut] = [cheekJoints.slice(0, 1), cheekJoints].map((stops) =>
    tinyRig([clamp(20, { slidesOn: true }), ...cheeks], [onClamp, ...stops]),
  )
  if (!open || !shut) throw new Error('two rails')
  for (const [one, other] of [
    [open, shut],
    [shut, open],
  ] as const)
    hold(judged(one.rig, one.rig.setups[0]?.id ?? '', one.context), other.rig, one.context)
  // Each of them was met changed and unchanged.
  expect(begun.filter((name) => !same.has(name))).toEqual([])
  expect(begun.filter((name) => !changed.has(name))).toEqual([])
})
