import { type Family, type Finding, levels } from '../checks/index.ts'
import { perThing, type Unit, flatMap } from '../kernel/index.ts'
import type { Assessment } from './evaluate.ts'

/** From where to where a measured value runs over findings of one rule. */
export interface Range {
  readonly name: string
  readonly unit: Unit | undefined
  readonly from: number
  readonly to: number
}

/** One rule in one set of words: said once, however many parts of the day, leads or kinds it is true of. */
export interface Line {
  readonly finding: Finding
  /** All findings that it stands for, the one whose words are said among them. */
  readonly all: readonly Finding[]
  /** What differs among them, for a line that stands for several. */
  readonly ranges: readonly Range[]
}

/** One trouble: what is at the root of it, and what follows from the same piece or lead. */
export interface Card {
  readonly root: Line
  readonly follows: readonly Line[]
  /**
   * Of a piece, a joint or a lead; or of none by itself: what the whole weighs, costs, needs; or mere hints, together in
   * one list.
   */
  readonly of: 'piece' | 'whole' | 'notes'
}

/**
 * Which families come first among findings of one level and one piece: what can't be put together is the cause of what
 * is in the way, and that of what is dark, unseen, unheard or out of balance.
 */
const causes: readonly Family[] = ['fit', 'clearance', 'glass', 'picture', 'power', 'sound', 'balance', 'need', 'money']

const rank = ({ level, family }: Finding): number => levels.indexOf(level) * causes.length + causes.indexOf(family)

const rangesOf = (all: readonly Finding[]): readonly Range[] =>
  flatMap(all[0]?.measures ?? [], ({ name, unit }): Range[] => {
    const values = flatMap(all, ({ numbers }) => numbers[name] ?? [])
    const [from, to] = [Math.min(...values), Math.max(...values)]
    return from < to ? [{ name, unit, from, to }] : []
  })

/** What these say is true of kinds of things, not of a place on the rig: one line for all pieces. */
const ofKinds: ReadonlySet<Family> = new Set(['power', 'money', 'need'])

/**
 * Findings of one rule with one message about the same pieces, about none, or about kinds of things, are one line; the
 * first is said, and the range tells how far the others are from it.
 */
const linesOf = (findings: readonly Finding[]): readonly Line[] => {
  const groups = new Map<string, Finding[]>()
  for (const finding of findings) {
    const pieces = ofKinds.has(finding.family) ? [] : [...finding.parts].sort()
    const key = [finding.check, finding.message, finding.level, ...pieces].join(' ')
    const known = groups.get(key)
    if (known) known.push(finding)
    else groups.set(key, [finding])
  }
  return [...groups.values()].map((all): Line => {
    const [first] = all as [Finding]
    return { finding: first, all, ranges: rangesOf(all) }
  })
}

interface Open {
  readonly root: Line
  readonly follows: Line[]
  readonly of: Card['of']
  readonly culprit: string
}

/** What hangs on what. */
export interface Tree {
  readonly camera: string
  /** The piece that a piece sits on. */
  readonly hostOf: (instance: string) => string | undefined
}

/** Does a line belong to a trouble? It is about the same piece; or about what that piece hangs on, and as heavy. */
const belongs = ({ finding, all }: Line, { root, follows, culprit }: Open, { hostOf, camera }: Tree): boolean => {
  const { level, family } = finding
  const parts = flatMap(all, (one) => one.parts)
  if (parts.length === 0) return false
  if (parts.includes(culprit)) return true
  // Everything hangs on the camera: to share it says nothing.
  const shared = parts.some((part) => part !== camera && root.finding.parts.includes(part))
  if (shared && (level !== 'stop' || family === root.finding.family)) return true
  // What is said of a piece stays together, wherever the first of it was folded.
  const [first] = finding.parts
  if (level !== 'stop' && first !== camera && follows.some((line) => line.finding.parts[0] === first)) return true
  const loads = [finding, root.finding].every(({ numbers }) => numbers['carriedG'] !== undefined)
  return loads && (hostOf(culprit) === parts[0] || hostOf(parts[0] ?? '') === culprit)
}

/**
 * What is said of a set-up, one card a culprit: the worst of what concerns a piece or lead is its root, causes before
 * effects, and all else that shares a piece with it is folded beneath, as is a joint that bears the same load further
 * down. What concerns no piece makes one card a family; hints that belong to nothing graver are one list of notes. Every
 * finding is on exactly one card.
 */
export const cardsOf = (findings: readonly Finding[], tree: Tree): readonly Card[] => {
  const lines = linesOf([...findings].sort((a, b) => rank(a) - rank(b)))
  const cards: Open[] = []
  for (const line of lines) {
    const { parts, family, level } = line.finding
    const wide = parts.length === 0
    const note = level === 'hint'
    const culprit = note ? 'notes' : wide ? `family ${family}` : (parts[0] ?? '')
    const home =
      cards.find((card) => card.of !== 'notes' && belongs(line, card, tree)) ??
      cards.find((card) => card.culprit === culprit)
    if (home) home.follows.push(line)
    else cards.push({ root: line, follows: [], of: note ? 'notes' : wide ? 'whole' : 'piece', culprit })
  }
  const inOrder = (of: Card['of']) => cards.filter((card) => card.of === of)
  return [...inOrder('piece'), ...inOrder('whole'), ...inOrder('notes')].map(({ root, follows, of }) => ({
    root,
    follows,
    of,
  }))
}

/** The cards of a set-up. */
export const cardsIn = perThing(
  'cards of a set-up',
  ({ findings, assembly }: Pick<Assessment, 'findings' | 'assembly'>): readonly Card[] =>
    cardsOf(findings, {
      camera: assembly.setup.root,
      hostOf: (instance) => assembly.byInstance.get(instance)?.host?.instance.id,
    }),
)
