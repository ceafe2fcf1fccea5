import { type Command, edit, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import {
  checkOf,
  checks,
  type Family,
  type Finding,
  findingsOf,
  findingsOfCheck,
  kindOf,
  type Remedy,
  levels,
  overOf,
  troubleOf,
  type WayKind,
} from '../checks/index.ts'
import { suitsRole } from '../clearance/index.ts'
import { contextFor } from '../context/index.ts'
import { type Facts, factsAfter } from '../facts/index.ts'
import { perThing, flatMap } from '../kernel/index.ts'
import { calledBefore, leadsTaken } from './same-lead.ts'

/** What is lost where nobody heeds a finding, the gravest first. */
const losses = ['person', 'gear', 'take', 'time', 'money'] as const

/** What balance loses falls on somebody; what comes apart is gear; what is dark, unheard, unseen or unmet is a take. */
const lossOf: Readonly<Record<Family, (typeof losses)[number]>> = {
  balance: 'person',
  fit: 'gear',
  power: 'take',
  picture: 'take',
  sound: 'take',
  glass: 'take',
  need: 'take',
  clearance: 'time',
  money: 'money',
}

/** Does one finding weigh at least as much as another: by its level, then by what is lost? */
const isAsGrave = (one: Finding, other: Finding): boolean => {
  if (one.level !== 'stop' && checkOf(other.check)?.whole) return false
  const [a, b] = [levels.indexOf(one.level), levels.indexOf(other.level)]
  return a < b || (a === b && losses.indexOf(lossOf[one.family]) <= losses.indexOf(lossOf[other.family]))
}

/** A rig with what is known of each of its set-ups. */
export interface Known {
  readonly rig: Rig
  readonly factsOf: (setup: string) => Facts
}

/** Something that is said after a way out and was not before, or is worse than it was; and in which set-up. */
export interface New {
  readonly setup: string
  readonly finding: Finding
}

/** Why a way out is not offered. */
export type Refusal = 'impossible' | 'nothing' | 'place' | 'stop' | 'risk' | 'need'

/** What became of a way out that was carried out on a copy of the rig. */
export interface Verdict {
  /**
   * `plain`: the finding is gone and nothing graver than a hint is new anywhere. `part`: the same, but it is only less
   * than it was. `price`: it is gone or less, and something less grave is new, or what the piece gave is missed.
   * `refused`: it is not offered.
   */
  readonly as: 'plain' | 'part' | 'price' | 'refused'
  readonly why?: Refusal
  /** Stops and risks that are new, with the set-up they are new in. */
  readonly gained: readonly New[]
  /** Hints that are new: they are let pass, and told. */
  readonly hints: readonly New[]
  /** The set-up of the finding as it would be; undefined where nothing of it could be judged. */
  readonly after?: Judged
  /** Every set-up it reached, as it would be. */
  readonly afters: ReadonlyMap<string, Judged>
}

/** A set-up and what is said of it. */
export interface Judged {
  readonly facts: Facts
  readonly findings: readonly Finding[]
}

const sameTrouble = (one: Finding, other: Finding): boolean => troubleOf(one) === troubleOf(other)

const findingsIn = perThing('findings of a moment', (facts: Facts): readonly Finding[] => findingsOf(facts))
const keysIn = perThing(
  'keys of findings',
  (facts: Facts): ReadonlyMap<string, Finding> => new Map(findingsIn(facts).map((one) => [troubleOf(one), one])),
)

/** Edits that reach every set-up, whichever they were meant for. */
const wide: ReadonlySet<Command['do']> = new Set(['discard', 'swap', 'status', 'health', 'brief'])

/** The set-ups that some edits can change; a piece that is only added lies in the bag of all others. */
const reached = ({ setups }: Rig, commands: readonly Command[], own: string): readonly string[] =>
  commands.some((command) => wide.has(command.do))
    ? [...new Set([own, ...setups.map(({ id }) => id)])]
    : [...new Set([own, ...flatMap(commands, (command) => ('setup' in command ? [command.setup] : []))])]

/**
 * What is over a limit has to fall by a tenth to be helped where it is made up of many things, such as money and mass;
 * a move that leaves more than half of it is none, but on the scales, where every gram has its own arm: three quarters.
 */
const HELPS = { whole: 0.9, move: 0.5, balance: 0.75 } as const
const isMove: ReadonlySet<WayKind> = new Set(['slide', 'turn', 'pose', 'move', 'insert'])
/**
 * A joint, a face or a plug that is so many times farther over its limit has become worse, and a rig that hangs half as
 * crooked again. What it weighs, costs and lasts grows with whatever it takes to cure something else.
 */
const GROWS: Readonly<Partial<Record<Family, number>>> = { fit: 1.02, clearance: 1.02, glass: 1.02, balance: 1.5 }

/** Is it the same trouble as before, and less of it? */
const isLess = (now: Finding, was: Finding, kind: WayKind): boolean => {
  const [over, before] = [overOf(now), overOf(was)]
  const moved = was.family === 'balance' ? HELPS.balance : HELPS.move
  const share = isMove.has(kind) ? moved : HELPS.whole
  if (now.check !== was.check || over === undefined || before === undefined) return false
  return over < before && over <= before * share
}

/** Is it new, said at a graver level, or farther over its limit than it was? */
const isWorse = (finding: Finding, before: ReadonlyMap<string, Finding>): boolean => {
  const was = before.get(troubleOf(finding))
  if (was === undefined || levels.indexOf(finding.level) < levels.indexOf(was.level)) return true
  const [over, had] = [overOf(finding), overOf(was)]
  return (
    finding.level === was.level &&
    checkOf(finding.check)?.limit?.sum !== true &&
    over !== undefined &&
    had !== undefined &&
    over > had * (GROWS[finding.family] ?? Infinity)
  )
}

/** What stood where its role works and, after some edits, stands where it does not. */
const misplaced = (before: Facts, after: Facts): boolean =>
  after.assembly.placed.some((piece) => {
    const was = before.assembly.byInstance.get(piece.instance.id)
    return (
      was !== piece &&
      !suitsRole(after.assembly, piece) &&
      (was?.joint === undefined || suitsRole(before.assembly, was))
    )
  })

/** What forbids most ways out, and is soon asked: joints that do not go, and pieces in one another. */
const gates = checks.filter(({ family, id }) => family === 'fit' || id === 'solid-clash')

/** Is a stop of one of those rules new? Then it is refused, whatever else is said. */
const isBarred = (after: Facts, before: Facts): boolean => {
  const had = keysIn(before)
  const leads = leadsTaken(before.assembly.setup, after.assembly.setup)
  const bars = (one: Finding) => one.level === 'stop' && isWorse(calledBefore(one, leads), had)
  return gates.some(({ id }) => findingsOfCheck(after, id).some(bars))
}

/**
 * Carries a way out of a finding out on a copy of the rig and judges it again, in every set-up it reaches: the finding
 * has to be gone, or its figure nearer to its limit; no stop may be new, nor a risk as grave as what is cured; and no
 * wish may be left unmet, but by taking something off or leaving it out.
 * @param setup the set-up the finding is in
 * @param finding undefined for a wish of the operator's own: then only what it brings is judged
 * @param isBrief of what is refused nobody wants to know all that it brings
 */
export const accept = (
  { rig, factsOf }: Known,
  setup: string,
  finding: Finding | undefined,
  remedy: Pick<Remedy, 'commands' | 'kind'>,
  isBrief = false,
): Verdict => {
  const { commands } = remedy
  const kind = kindOf(remedy)
  const isHint = finding?.level === 'hint'
  const afters = new Map<string, Judged>()
  const told = (): Pick<Verdict, 'after' | 'afters'> => {
    const after = afters.get(setup)
    return { afters, ...(after ? { after } : {}) }
  }
  const hints: New[] = []
  const refused = (why: Refusal, gained: Verdict['gained'] = []): Verdict => {
    return { as: 'refused', why, gained, hints, ...told() }
  }
  const before = factsOf(setup)
  const edited = edit(rig, commands, before.context.catalogue)
  if (!edited.ok) return refused('impossible')
  const gained: New[] = []
  let isMissed = false
  let isPart = false
  // A set-up is only looked at when it is its turn: most of what is tried never gets so far.
  const forks = flatMap(reached(rig, commands, setup), (id) => {
    const there = setupOf(edited.value, id)
    if (!there) return []
    let made: Facts | undefined
    const fork = () => {
      const known = factsOf(id)
      const context = contextFor(edited.value, known.context)
      made ??= factsAfter(known, placeSetup(edited.value, there, context.catalogue), context, true)
      return { known, after: made }
    }
    return [{ id, fork }]
  })
  const own = forks.find(({ id }) => id === setup)
  if (isBrief && finding && own) {
    const { known, after } = own.fork()
    const leads = leadsTaken(known.assembly.setup, after.assembly.setup)
    const isLeft = findingsOfCheck(after, finding.check).some((one) => sameTrouble(calledBefore(one, leads), finding))
    const bars = ({ fork }: (typeof forks)[number]) => isBarred(fork().after, fork().known)
    if (!isLeft && forks.some(bars)) return refused('stop')
  }
  for (const { id, fork } of forks) {
    const { known, after } = fork()
    // Most of what is tried does not help: the rule that found it is asked first, and by itself.
    const leads = leadsTaken(known.assembly.setup, after.assembly.setup)
    const left =
      finding && id === setup
        ? findingsOfCheck(after, finding.check).find((one) => sameTrouble(calledBefore(one, leads), finding))
        : undefined
    const isMilder = left && finding && levels.indexOf(left.level) > levels.indexOf(finding.level)
    // Half of a hint is nothing: it would be said again.
    if (left && finding && !isMilder && (isHint || !isLess(left, finding, kind))) return refused('nothing')
    if (finding && misplaced(known, after)) return refused('place')
    const found = findingsOf(after)
    afters.set(id, { facts: after, findings: found })
    const had = keysIn(known)
    const wished = new Set(known.unmet.map(({ capability }) => capability))
    if (after.unmet.some(({ capability }) => !wished.has(capability))) isMissed = true
    isPart ||= left !== undefined
    for (const one of found) {
      // Hints are let pass, but not one for another: pressing on would go round in a ring.
      if (!isWorse(calledBefore(one, leads), had)) continue
      if (one.level === 'hint' && !(isHint && finding && isAsGrave(one, finding))) {
        hints.push({ setup: id, finding: one })
        continue
      }
      // What is told of a whole set-up, such as its height, names another piece once the first is gone.
      const isOnly = [findingsIn(known), found].every(
        (all) => all.filter((two) => two.check === one.check).length === 1,
      )
      const mayBeLess = finding !== undefined && !isHint && id === setup && one.level !== 'stop' && isOnly
      if (mayBeLess && isLess(one, finding, kind)) isPart = true
      else gained.push({ setup: id, finding: one })
    }
    // What one set-up forbids need not be asked of the others.
    if (gained.some((one) => one.finding.level === 'stop' || (finding && isAsGrave(one.finding, finding)))) break
  }
  const stop = gained.find(({ finding: { level } }) => level === 'stop')
  if (stop) return refused('stop', gained)
  if (finding && gained.some((one) => isAsGrave(one.finding, finding))) return refused('risk', gained)
  if (isMissed && kind !== 'take-off' && kind !== 'leave-out') return refused('need', gained)
  const as = gained.length > 0 || isMissed ? 'price' : isPart ? 'part' : 'plain'
  return { as, gained, hints, ...told() }
}
