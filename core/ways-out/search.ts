import { flatMap } from '../kernel/index.ts'
import { bothOf, type Finding, findingsOfCheck, kindOf, type Remedy, troubleOf, type WayKind } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { figuresAfter, type MoveKind, movesOf, namedWays, proposalsFor } from '../remedies/index.ts'
import { accept, type Known, type Verdict } from './accept.ts'

/** A way out that was carried out on a copy of the rig and held. */
export interface Tried {
  readonly remedy: Remedy
  readonly kind: WayKind
  readonly verdict: Verdict & { readonly as: Exclude<Verdict['as'], 'refused'> }
}

/** So many proposals of a kind are tried at most: what is rare and dear less often. */
const MOST_TRIED: Readonly<Record<MoveKind, number>> = {
  slide: 26,
  turn: 14,
  pose: 12,
  move: 10,
  lead: 8,
  support: 10,
  insert: 24,
  swap: 14,
  add: 8,
  'leave-out': 3,
}
/** Kinds of which one way is as good as two. */
const ONE_IS_ENOUGH: ReadonlySet<MoveKind> = new Set(['slide', 'turn', 'pose', 'support', 'insert'])
/** What takes something away comes last: it is no cure, it does without. */
export const takesAway = (kind: WayKind): boolean => kind === 'take-off' || kind === 'leave-out'
/** A good colleague names a few; once so many kinds help without a price, nothing more is looked for. */
const ENOUGH_KINDS = 4
const HINTS_SHARE = 0.25
/** What brings trouble of its own is looked at again, so often, with so many moves against what it brought. */
const MENDED = { roots: 4, deep: 3, needs: 6, moves: 6 } as const
/** And by these kinds alone: a way out of a way out has to be small. */
const mends: ReadonlySet<MoveKind> = new Set(['slide', 'turn', 'pose', 'lead', 'move', 'support', 'add'])

/** What a lead, a pack or a slide by so much cures, its own rule knows best. */
const leads: ReadonlySet<Finding['family']> = new Set(['power', 'picture', 'sound', 'balance'])

const isTaken = (verdict: Verdict): verdict is Tried['verdict'] => verdict.as !== 'refused'

/** Whoever needs more than so many new pieces to put a small thing right does something else. */
const MOST_NEW = 3
const isSmall = ({ commands }: Remedy): boolean => commands.filter((one) => one.do === 'add').length <= MOST_NEW

/** What puts right what a move has brought: leads, packs, a slide, a turn, a hold. */
const smallMoves = function* (worst: Finding, facts: Facts, also?: MoveKind): Generator<Remedy> {
  if (leads.has(worst.family) || also)
    for (const one of namedWays(worst)) if (!takesAway(kindOf(one)) && isSmall(one)) yield one
  for (const { kind, proposals } of proposalsFor(facts, worst)) {
    let count = 0
    if (mends.has(kind) || kind === also)
      for (const one of proposals()) {
        if (count++ >= MENDED.moves) break
        yield one
      }
  }
}

/** A stop weighs more than any risks. */
const STOP = 100
const harmOf = ({ gained }: Verdict): number =>
  gained.reduce((sum, { finding: { level } }) => sum + (level === 'stop' ? STOP : 1), 0)

/**
 * Is less harm left, or as much, but one trouble is gone for another that nobody has dealt with yet? A lead that hangs
 * loose is nearer than none.
 */
const isNearer = (seen: Verdict, judged: Verdict, against: Finding, dealtWith: ReadonlySet<string>): boolean =>
  harmOf(judged) < harmOf(seen) ||
  (harmOf(judged) === harmOf(seen) &&
    judged.gained.every(({ finding }) => {
      const trouble = troubleOf(finding)
      return trouble !== troubleOf(against) && !dealtWith.has(trouble)
    }))

/** A move that brought trouble of its own, with what takes that away again; undefined where nothing small does. */
const mended = (known: Known, setup: string, finding: Finding, remedy: Remedy, verdict: Verdict): Tried | undefined => {
  let [now, seen] = [remedy, verdict]
  const dealtWith = new Set<string>()
  // What the brief asks for comes with its lead, its hold and its power.
  const deepest = finding.family === 'need' ? MENDED.needs : MENDED.deep
  for (let deep = 0; deep < deepest; deep++) {
    let better: { readonly remedy: Remedy; readonly verdict: Verdict } | undefined
    for (const against of finding.family === 'need' ? seen.gained : seen.gained.slice(0, 1)) {
      const after = seen.afters.get(against.setup)
      if (!after) continue
      for (const move of smallMoves(against.finding, after.facts)) {
        const both = bothOf(now, move)
        const judged = accept(known, setup, finding, both)
        if (isTaken(judged)) return { remedy: both, kind: kindOf(both), verdict: judged }
        if (!judged.after || !isNearer(seen, judged, against.finding, dealtWith)) continue
        dealtWith.add(troubleOf(against.finding))
        better = { remedy: both, verdict: judged }
        break
      }
      if (better) break
    }
    if (!better) return undefined
    ;[now, seen] = [better.remedy, better.verdict]
  }
  return undefined
}

/** So many things are added to a part that is wanted, at most; to another camera: its cage, its packs, its leads. */
const MOST_BUNDLED = { part: 6, camera: 9 } as const

/** Would a move take something from where another has just put it? */
const movesAgain = (done: Remedy, next: Remedy): boolean => {
  const put = new Set(flatMap(done.commands, (command) => (command.do === 'place' ? [command.joint.guest] : [])))
  return next.commands.some((command) => command.do === 'place' && put.has(command.joint.guest))
}

/**
 * A part that is wanted with what it needs: its leads, its power, what keeps it from turning. Whatever it brings is put
 * right as far as small moves do; the rest is told.
 * @param remedy how the part is put on
 */
export const bundleOf = (
  known: Known,
  setup: string,
  remedy: Remedy,
): { readonly remedy: Remedy; readonly verdict: Verdict; readonly added: number } => {
  let [now, seen, added] = [remedy, accept(known, setup, undefined, remedy), 0]
  const { root } = known.factsOf(setup).assembly.setup
  const isCamera = remedy.commands.some((command) => command.do === 'swap' && command.instance === root)
  const most = isCamera ? MOST_BUNDLED.camera : MOST_BUNDLED.part
  const dealtWith = new Set<string>()
  while (added < most && seen.gained.length > 0) {
    let better: { readonly remedy: Remedy; readonly verdict: Verdict } | undefined
    for (const { setup: where, finding } of seen.gained) {
      const after = seen.afters.get(where)
      for (const move of after ? smallMoves(finding, after.facts, isCamera ? 'swap' : undefined) : []) {
        // It was put there on purpose: what it needs comes to it.
        if (!isCamera && movesAgain(now, move)) continue
        const both = bothOf(now, move)
        const judged = accept(known, setup, undefined, both)
        if (judged.why === 'impossible' || !isNearer(seen, judged, finding, dealtWith)) continue
        dealtWith.add(troubleOf(finding))
        better = { remedy: both, verdict: judged }
        break
      }
      if (better) break
    }
    if (!better) break
    ;[now, seen, added] = [better.remedy, better.verdict, added + 1]
  }
  return { remedy: now, verdict: seen, added }
}

/** Moves after which a rule may know a way out that it did not know before: so many are looked at. */
const FIRST_MOVES: readonly MoveKind[] = ['turn', 'pose', 'slide', 'move']
const MOST_FIRST = 8

/** A move that helps by itself to nothing, with what its rule proposes once it is done; undefined where there is none. */
const paired = (known: Known, setup: string, finding: Finding, facts: Facts): Tried | undefined => {
  for (const kind of FIRST_MOVES) {
    let count = 0
    for (const first of movesOf(facts, finding, kind)) {
      if (count++ >= MOST_FIRST) break
      const after = figuresAfter(facts, first.commands)
      const left = after && findingsOfCheck(after, finding.check).find((one) => troubleOf(one) === troubleOf(finding))
      for (const then of left ? namedWays(left) : []) {
        const both = bothOf(first, then)
        const verdict = accept(known, setup, finding, both)
        if (isTaken(verdict)) return { remedy: both, kind: kindOf(then), verdict }
      }
    }
  }
  return undefined
}

/**
 * The ways out of a finding that hold when they are tried, in every set-up they reach, in the order in which they were
 * found: what the rule that speaks names first, then each kind of move, the gentlest first, then what needs a second
 * move after it.
 * @param most so many ways are carried out at most; without it all that are worth it
 */
export const search = (known: Known, setup: string, finding: Finding, most: number = Infinity): readonly Tried[] => {
  let left = most
  const facts = known.factsOf(setup)
  const found: Tried[] = []
  const seen = new Set<string>()
  const spoilt: { readonly remedy: Remedy; readonly verdict: Verdict }[] = []
  const helps = (kind: WayKind) => found.some((one) => one.kind === kind && one.verdict.as === 'plain')
  const tryOut = (remedy: Remedy): Verdict['as'] | undefined => {
    const key = JSON.stringify(remedy.commands)
    if (seen.has(key) || left <= 0) return undefined
    seen.add(key)
    left--
    const verdict = accept(known, setup, finding, remedy, most < Infinity)
    if (isTaken(verdict)) found.push({ remedy, kind: kindOf(remedy), verdict })
    const isSpoilt = verdict.as === 'price' || verdict.why === 'stop' || verdict.why === 'risk'
    if (verdict.after && verdict.gained.length > 0 && isSpoilt && !takesAway(kindOf(remedy)))
      spoilt.push({ remedy, verdict })
    return verdict.as
  }
  for (const remedy of namedWays(finding)) tryOut(remedy)
  // What is only a hint is not worth a long search.
  const share = finding.level === 'hint' ? HINTS_SHARE : 1
  if (share < 1 && found.length > 0) return found
  for (const { kind, proposals } of proposalsFor(facts, finding)) {
    const kinds = new Set(
      flatMap(found, (one) => (one.verdict.as === 'plain' && !takesAway(one.kind) ? [one.kind] : [])),
    )
    if (kinds.size >= ENOUGH_KINDS || left <= 0) break
    if (helps(kind) || (kind === 'leave-out' && found.some((one) => takesAway(one.kind)))) continue
    let [tried, plain] = [0, 0]
    for (const remedy of proposals()) {
      if (tried++ >= MOST_TRIED[kind] * share || left <= 0) break
      if (tryOut(remedy) === 'plain' && ++plain >= (ONE_IS_ENOUGH.has(kind) ? 1 : 2)) break
    }
  }
  if (left <= 0 || share < 1) return found
  // What is had at a price alone is looked at again as well: something small may take the price away.
  const isFree = ({ kind, verdict }: Tried) => !takesAway(kind) && verdict.as !== 'price'
  if (!found.some(isFree)) {
    const fewest = spoilt.sort((a, b) => a.verdict.gained.length - b.verdict.gained.length).slice(0, MENDED.roots)
    for (const { remedy, verdict } of fewest) {
      const both = mended(known, setup, finding, remedy, verdict)
      if (both) {
        found.push(both)
        break
      }
    }
  }
  if (leads.has(finding.family) && !found.some(({ kind }) => !takesAway(kind))) {
    const pair = paired(known, setup, finding, facts)
    if (pair) found.push(pair)
  }
  return found
}
