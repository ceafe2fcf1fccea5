import fc from 'fast-check'
import { catalogueOf, mate, type Part } from '../catalogue/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoRigs } from '@zucchini/demo/scenario'
import { evaluate } from '../assess/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { adoptRig, placeholderFor } from './adopt.ts'
import type { Rig } from './rig.ts'
import { soundnessIssues } from './soundness.ts'

const catalogue = catalogueOf(demoParts)
const [first, second] = demoRigs
if (!first || !second) throw new Error('the demo has two rigs')
const catalogueWithout = (gone: (part: Part) => boolean) => catalogueOf(demoParts.filter((part) => !gone(part)))
const adopted = (rig: Rig, known = catalogue) => {
  const outcome = adoptRig(rig, known)
  if (!outcome.ok) throw new Error(outcome.issues.map(({ code, path }) => `${code} at ${path}`).join())
  return outcome.value
}

test('a sound rig comes back as the same object', () => {
  expect(adopted(first)).toEqual({ rig: first, catalogue, mended: [] })
  expect(adopted(first).rig).toBe(first)
})

test('a part nobody knows is stood in for, and everything on it stays where it was joined', () => {
  const partId = second.kit.find(({ id }) => id === 'handle')?.partId ?? ''
  const {
    rig,
    catalogue: known,
    mended,
  } = adopted(
    second,
    catalogueWithout(({ id }) => id === partId),
  )
  expect(rig).toBe(second)
  expect(known.gone.get(partId)).toBe('placeholder')
  expect(mended.map(({ code }) => code)).toContain('part-unknown')
  for (const { id } of rig.setups) {
    const { assembly, findings } = evaluate(rig, id, { catalogue: known, owned: new Map() })
    expect(assembly.placed.map(({ instance }) => instance.id)).toEqual(
      evaluate(second, id, { catalogue, owned: new Map() }).assembly.placed.map(({ instance }) => instance.id),
    )
    expect(findings.filter(({ check, parts }) => check === 'mount-mismatch' && parts.includes('handle'))).toEqual([])
    expect(findings.some(({ check }) => check === 'part-gone')).toBe(true)
  }
})

test('a part nobody knows holds nothing against what sits on it', () => {
  const block = placeholderFor(
    'handle-unknown',
    { ...second, kit: second.kit.map((one) => (one.id === 'handle' ? { ...one, partId: 'handle-unknown' } : one)) },
    catalogue,
  )
  const [mount] = block.mounts
  const host = demoParts.find(({ mounts }) => mounts.some(({ side }) => side !== mount?.side))
  const other = host?.mounts.find(({ side }) => side !== mount?.side)
  if (!mount || !host || !other) throw new Error('a mount of the other side')
  expect(mate({ part: host, mount: other }, { part: block, mount })).toMatchObject({ ok: true })
})

test('whatever parts are missing, a rig of the demo can be placed and judged', () => {
  const used = [
    ...new Set([first, second].flatMap(({ kit, brief }) => [...kit, ...brief.lenses].map(({ partId }) => partId))),
  ]
  fc.assert(
    fc.property(fc.constantFrom(first, second), fc.subarray(used, { minLength: 1 }), fc.nat(4), (rig, missing, n) => {
      const lost = new Set(missing)
      const taken = adopted(
        rig,
        catalogueWithout(({ id }) => lost.has(id)),
      )
      expect(soundnessIssues(taken.rig, taken.catalogue)).toEqual([])
      const setup = taken.rig.setups[n % taken.rig.setups.length]?.id ?? ''
      const { findings, failed } = evaluate(taken.rig, setup, { catalogue: taken.catalogue, owned: new Map() })
      expect([
        ...failed,
        ...findings
          .filter(({ message }) => message === 'fact-failed' || message === 'rule-failed')
          .map(({ names }) => names),
      ]).toEqual([])
    }),
    { numRuns: trialRuns(25), seed: trialSeed },
  )
})

test('what names something that is not there comes off; nothing else does', () => {
  const [setup, ...others] = second.setups
  if (!setup) throw new Error('a set-up')
  const broken: Rig = {
    ...second,
    setups: [
      {
        ...setup,
        joints: [
          ...setup.joints,
          { guest: 'nobody', guestMount: 'x', host: 'camera', hostMount: 'y', slideMm: 0, turnDeg: 0 },
        ],
        poses: [...setup.poses, { instance: 'camera', hinge: 'none', position: 'gone' }],
        links: [
          ...setup.links,
          {
            cable: 'camera',
            from: { instance: 'camera', socket: 'x' },
            to: { instance: 'camera', socket: 'y' },
            through: [],
          },
        ],
      },
      ...others,
    ],
    brief: { ...second.brief, lenses: [...second.brief.lenses, { partId: 'no-such-lens', share: 10 }] },
  }
  const { rig, mended } = adopted(broken)
  expect(rig.setups).toEqual(second.setups)
  expect(rig.brief).toEqual(second.brief)
  expect(new Set(mended.map(({ code }) => code))).toEqual(
    new Set(['instance-unknown', 'mount-unknown', 'pose-unknown', 'cable-unknown', 'socket-unknown', 'lens-unknown']),
  )
})

test('joints in a ring are opened', () => {
  const [setup] = second.setups
  const [one, two] = setup?.joints ?? []
  if (!setup || !one || !two) throw new Error('two joints')
  const ring = {
    ...second,
    setups: [
      {
        ...setup,
        joints: [
          { ...one, host: two.guest, hostMount: two.guestMount },
          { ...two, host: one.guest, hostMount: one.guestMount },
        ],
        braces: [],
        links: [],
        poses: [],
      },
    ],
  }
  expect(soundnessIssues(adopted(ring).rig, catalogue)).toEqual([])
})

test('a kit without a camera can not be taken up, and says why', () => {
  const outcome = adoptRig({ ...second, kit: second.kit.filter(({ id }) => id !== 'camera') }, catalogue)
  expect(outcome).toMatchObject({
    ok: false,
    issues: expect.arrayContaining([expect.objectContaining({ code: 'root-missing' })]),
  })
})
