import {
  buildPlanOf,
  type Assessment,
  cardsIn,
  evaluate,
  FITS_AT_ONCE,
  fitsHere,
  fitsInSteps,
  knownBy,
  schoolLines,
  tryOut,
  waysOut,
  wiringFor,
} from '@zucchini/core/assess'
import { type Command, edit, placeSetup, type PlacedPart, type Rig } from '@zucchini/core/assembly'
import { catalogueOf } from '@zucchini/core/catalogue'
import { clashesOf } from '@zucchini/core/clearance'
import { CLASH_MM, penetration } from '@zucchini/core/kernel'
import { between, demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { syntheticParts, syntheticRig } from '@zucchini/demo/synthetic'
import { planWiring } from '@zucchini/core/wiring'
import { Bench } from 'tinybench'
import { wiringBench } from './bench-wiring.ts'

const SEED = 20
const owned = new Map(Object.entries(demoLocker))
const shelf = { catalogue: catalogueOf(demoParts), owned }
const setup = 'crossing'

/** The same rig in new objects, so that nothing remembered from before helps. */
const anew = (rig: Rig): Rig => structuredClone(rig)
const ms = (value: number | undefined) => `${(value ?? NaN).toFixed(2)} ms`.padStart(10)
const medians = new Map<string, number>()

/** The worker runs for hours: what is told is the pace of code that has been compiled. ms */
const WARM_MS = 3000

/** What is timed; where it tells how long a part of it took, that counts. */
type Task = () => void | { readonly overriddenDuration: number }
const measure = async (title: string, tasks: Record<string, Task>, time = 1200): Promise<void> => {
  const bench = new Bench({ time, warmupTime: WARM_MS, warmupIterations: 2, iterations: 5, retainSamples: true })
  for (const [name, run] of Object.entries(tasks)) bench.add(name, run)
  await bench.run()
  console.log(title)
  for (const { name, result } of bench.tasks) {
    if (result.state !== 'completed') throw new Error(`${name} did not finish: ${result.state}`)
    const samples = [...(result.latency.samples ?? [])].sort((a, b) => a - b)
    const at = (share: number) => samples[Math.floor((samples.length - 1) * share)]
    medians.set(name, at(0.5) ?? NaN)
    console.log(`  ${name.padEnd(58)} median ${ms(at(0.5))}   p95 ${ms(at(0.95))}   (${samples.length} runs)`)
  }
}
/** How long what is compared is run before it is timed, and while it is, and how long each has its turn, ms. */
const TOGETHER_MS = { warm: 6000, timed: 6000, turn: 150 } as const
const middle = (samples: number[]): number => samples.sort((a, b) => a - b)[samples.length >> 1] ?? NaN

/**
 * Two tasks by short turns, for a ratio: a machine whose pace changes from minute to minute changes it for both.
 */
const compare = (...tasks: readonly [one: readonly [string, Task], other: readonly [string, Task]]): void => {
  const times = tasks.map((): number[] => [])
  const began = performance.now()
  for (let spent = 0; spent < TOGETHER_MS.warm + TOGETHER_MS.timed; spent = performance.now() - began)
    for (const [which, [, task]] of tasks.entries())
      for (const turn = performance.now(); performance.now() - turn < TOGETHER_MS.turn;) {
        const since = performance.now()
        const told = task()
        if (spent > TOGETHER_MS.warm) times[which]?.push(told?.overriddenDuration ?? performance.now() - since)
      }
  const [a, b] = times.map(middle) as [number, number]
  console.log(`By turns: ${tasks[0][0]} ${ms(a)}, ${tasks[1][0]} ${ms(b)}: ${(a / b).toFixed(3)} x`)
}

/** Figures are worked out when they are looked at: a bench looks at all that the rules say. */
const judged = (assessment: Assessment): Assessment => {
  found += assessment.findings.length
  return assessment
}
let found = 0
const ratio = (a: string, b: string): string => `${((medians.get(a) ?? NaN) / (medians.get(b) ?? NaN)).toFixed(2)} x`

const before = judged(evaluate(secondMark, setup, shelf))
const open = before.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-rear')
if (!open) throw new Error('the second mark has no point cage/top-rear any more')
const slides = [8, 9, 10, 11].map((slideMm): Command[] => [{ do: 'set', setup, instance: 'handle', slideMm }])
let turn = 0
let cured = 0
let grown = before
let noted = before
const offers = fitsHere(secondMark, setup, open, shelf, before).fits

/**
 * Some edits of a set-up, tried in turn. What comes with an edit is new each time, as it is when it is tried for the
 * first time; that it is made is not timed, what is worked out of it is.
 */
const tryingOf = (of: Rig, was: Assessment, offered: readonly { readonly commands: readonly Command[] }[]): Task => {
  let next = 0
  return () => {
    const { commands } = offered[next++ % offered.length] ?? never()
    const edited = edit(of, structuredClone(commands), shelf.catalogue)
    if (!edited.ok) throw new Error('what fits goes on')
    const since = performance.now()
    judged(tryOut(edited.value, was))
    return { overriddenDuration: performance.now() - since }
  }
}

/** So many ways are tried for the first list, as the bench does. */
const FIRST_TRIES = 7
let offered = 0
/** The first mark as the bench has it when it asks for ways out: what is wrong is known, the other set-ups are asked once. */
const marked = () => {
  const rig = anew(firstMark)
  const before = judged(evaluate(rig, 'crossing', shelf))
  const known = knownBy(before, (id) => judged(evaluate(rig, id, shelf)))
  return { before, known, heads: cardsIn(before).flatMap(({ root }) => root.all) }
}

const theDemo = () =>
  measure('The demo', {
    'evaluate, second mark, nothing remembered': () => void judged(evaluate(anew(secondMark), setup, shelf)),
    'evaluate, first mark with all that its rules aim at, nothing remembered': () => {
      for (const finding of evaluate(anew(firstMark), setup, shelf).findings) cured += finding.aims?.list.length ?? 0
    },
    'ways out, first mark: the first offer': () => {
      const { before, known, heads } = marked()
      for (const finding of heads) if (waysOut(known, before, finding, FIRST_TRIES).length > 0) return
    },
    'ways out, first mark: the first list, a few tries for the top of every card': () => {
      const { before, known, heads } = marked()
      for (const finding of heads) offered += waysOut(known, before, finding, FIRST_TRIES).length
    },
    // The page asks once the rig is judged: what the worker then takes.
    'ways out, first mark, once it is judged: the first offer': () => {
      const { before, known, heads } = marked()
      const since = performance.now()
      heads.find((finding) => waysOut(known, before, finding, FIRST_TRIES).length > 0)
      return { overriddenDuration: performance.now() - since }
    },
    'ways out, first mark, once it is judged: the first list': () => {
      const { before, known, heads } = marked()
      const since = performance.now()
      for (const finding of heads) offered += waysOut(known, before, finding, FIRST_TRIES).length
      return { overriddenDuration: performance.now() - since }
    },
    'ways out, first mark: all of every finding': () => {
      const { before, known } = marked()
      for (const finding of before.findings) offered += waysOut(known, before, finding).length
    },
    'edit one slide and evaluate': () => {
      const edited = edit(secondMark, slides[turn++ % slides.length] ?? [], shelf.catalogue)
      if (edited.ok) grown = judged(evaluate(edited.value, setup, shelf, grown))
    },
    'a note and evaluate': () => {
      const edited = edit(secondMark, [{ do: 'note', instance: 'handle', notes: String(turn++) }], shelf.catalogue)
      if (edited.ok) noted = judged(evaluate(edited.value, setup, shelf, noted))
    },
  })

const aCandidate = async (): Promise<void> => {
  const tried = tryingOf(secondMark, before, offers)
  await measure('A candidate of the second mark, 16 pieces', { 'a candidate, on a fork': tried })
  compare(
    ['a candidate on a fork, second mark', tried],
    ['from nothing', () => void judged(evaluate(anew(secondMark), setup, shelf))],
  )
}

const allThatFits = async (): Promise<void> => {
  await measure('All that fits', {
    [`fits here, all of ${demoParts.length} parts`]: () => void fitsHere(secondMark, setup, open, shelf, before),
  })
  console.log(`  ${offers.length} of them go on`)
}

const sizes = [10, 20, 40, 80]
const joining: ReadonlySet<string> = new Set(between.map(({ id }) => id))
/** Parts that came later: drawn from the same parts, the rigs stay the same, and their figures can be held to older ones. */
const later = ({ id, role }: (typeof demoParts)[number]): boolean =>
  id === 'phragma-grad-565' || role === 'coupler' || joining.has(id)
const drawnFrom = catalogueOf(demoParts.filter((part) => !later(part)))
const rigs = sizes.map((pieces) => syntheticRig(pieces, SEED, drawnFrom, 'calabash-h1'))
const growth = () =>
  measure(
    'Growth with the rig: every check, nothing remembered; cures are worked out beside the page when looked at',
    Object.fromEntries(
      rigs.map((rig) => [`evaluate, ${rig.kit.length} pieces`, () => void judged(evaluate(anew(rig), 'main', shelf))]),
    ),
  )
const forty = rigs[2] ?? firstMark
const building = () =>
  measure('Building: the order in which 40 pieces go together, nothing remembered, the evaluation with it', {
    'evaluate and order, 40 pieces': () => void buildPlanOf(judged(evaluate(anew(forty), 'main', shelf))),
  })
const afterAnEdit = () =>
  measure(
    'The same after one edit: every check',
    Object.fromEntries(
      rigs.map((rig) => {
        const joint = rig.setups[0]?.joints.at(-1)
        let last = judged(evaluate(rig, 'main', shelf))
        return [
          `edit and evaluate, ${rig.kit.length} pieces`,
          () => {
            const commands: Command[] = [
              { do: 'set', setup: 'main', instance: joint?.guest ?? '', turnDeg: turn++ % 2 ? 0 : 180 },
            ]
            const edited = edit(rig, commands, shelf.catalogue)
            if (edited.ok) last = judged(evaluate(edited.value, 'main', shelf, last))
          },
        ]
      }),
    ),
  )

/** A piece more on an open point of a rig, tried. */
const candidateOf = (rig: Rig): Task => {
  const was = judged(evaluate(rig, 'main', shelf))
  const point = was.points.find(({ open: free, mount }) => free && mount.side === 'holds') ?? never()
  return tryingOf(rig, was, fitsHere(rig, 'main', point, shelf, was).fits.slice(0, 1))
}
const candidates = () =>
  measure(
    'A candidate on a fork: a piece more on an open point',
    Object.fromEntries(rigs.map((rig) => [`candidate, ${rig.kit.length} pieces`, candidateOf(rig)])),
  )
const aLargeCandidate = async (): Promise<void> => {
  const eighty = rigs.at(-1) ?? forty
  const tried = candidateOf(eighty)
  await measure('A candidate of 80 pieces, alone', { 'a candidate, 80 pieces': tried })
  compare(
    ['a candidate on a fork, 80 pieces', tried],
    ['from nothing', () => void judged(evaluate(anew(eighty), 'main', shelf))],
  )
}

/** Every solid against every solid of every other piece, without bounds and without memory. */
const naive = (placed: readonly PlacedPart[]): number => {
  let found = 0
  placed.forEach((a, i) =>
    placed.slice(i + 1).forEach((b) => {
      for (const p of a.solids)
        for (const q of b.solids)
          if (
            p.solid.matter === 'body' &&
            q.solid.matter === 'body' &&
            penetration(p.shape, q.shape, CLASH_MM) > CLASH_MM
          )
            found++
    }),
  )
  return found
}
const clearanceOfMany = async (): Promise<void> => {
  const large = rigs.at(-1) ?? never()
  const place = () => placeSetup(anew(large), large.setups[0] ?? secondMark.setups[0] ?? never(), shelf.catalogue)
  await measure(`Clearance of ${large.kit.length} pieces`, {
    'all pairs of solids, naive': () => void naive(place().placed),
    'clashes, nothing remembered': () => void clashesOf(place()),
  })
  console.log(`  the broad phase is ${ratio('all pairs of solids, naive', 'clashes, nothing remembered')} as fast`)
}

const fitsOver = async (count: number): Promise<void> => {
  const parts =
    count === demoParts.length ? demoParts : [...demoParts, ...syntheticParts(count - demoParts.length, SEED)]
  const wide = { catalogue: catalogueOf(parts), owned }
  const was = judged(evaluate(secondMark, setup, wide))
  const point = was.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-rear') ?? open
  let fits = 0
  await measure(
    `Fits here over ${parts.length} parts`,
    {
      [`first answer, ${parts.length} parts`]: () => {
        for (const found of fitsInSteps(secondMark, setup, point, wide, was)) {
          fits = found.fits.length + found.pending
          break
        }
      },
    },
    600,
  )
  console.log(`  ${fits} of them go on; findings and deltas of the first ${FITS_AT_ONCE} in the first answer`)
}

const wiring = async (): Promise<void> => {
  /** Twelve devices around one battery: screens that pass the picture on, mics, and what else wants power. */
  const wide = wiringBench()
  await measure(`The wiring of ${wide.devices} devices, ${wide.demands} demands`, {
    'plan it from nothing': () => void planWiring(wide.assembly(), wide.stock),
  })
  await measure('The wiring of the demo', {
    'second mark, crossing, from nothing': () => void wiringFor(anew(secondMark), setup, shelf, true),
    'the three schools, first mark on the tripod': () => void schoolLines(anew(firstMark), 'slip', shelf),
  })
}

/** What is timed, by name. Each has a process of its own: what ran before it neither warms it nor fills its memory. */
const sections: Readonly<Record<string, () => Promise<void>>> = {
  demo: async () => {
    await theDemo()
    if (cured === 0 || offered === 0) throw new Error('the first mark has findings and cures')
  },
  candidate: aCandidate,
  'fits-here': allThatFits,
  growth,
  building,
  edits: afterAnEdit,
  candidates,
  'large-candidate': aLargeCandidate,
  clearance: clearanceOfMany,
  ...Object.fromEntries(
    [demoParts.length, 1000, 5000, 20_000].map((count) => [`first-answer-${count}`, () => fitsOver(count)]),
  ),
  wiring,
}
const [wanted] = process.argv.slice(2)
if (wanted === undefined) console.log(Object.keys(sections).join(' '))
else {
  await (sections[wanted] ?? never())()
  if (found === 0) throw new Error('what is timed has findings')
}

function never(): never {
  throw new Error('what is measured is not there')
}
