import { flatMap } from '../kernel/index.ts'
import { type Assembly, everywhere, type Rig, sitsSomewhere } from '../assembly/index.ts'
import { standRoles } from '../balance/index.ts'
import { type Finding, findingKey, jointKeyOf, type Remedy } from '../checks/index.ts'
import type { Context } from '../context/index.ts'
import type { JointKey, Learnt } from '../log/index.ts'
import { type Assessment, evaluate } from './evaluate.ts'
import type { Effect } from './effect.ts'
import { knownBy, waysOut } from './ways.ts'

/** A piece that a day's log can name, and how it sat. */
export interface LogPiece {
  readonly piece: string
  readonly partId: string
  readonly name: string
  readonly joint?: JointKey
  /** The set-ups it is in. */
  readonly setups: readonly string[]
}

/** What was planned of a day, to stand beside what came of it. */
export interface LogPlan {
  readonly setups: readonly {
    readonly id: string
    readonly name: string
    readonly grams: number
    readonly seconds: number
    /** Undefined on a stand. */
    readonly heldMin: number | undefined
  }[]
  readonly pieces: readonly LogPiece[]
  /** How long each battery would last with everything on, minutes: as it is taken for now, and new. */
  readonly runs: readonly {
    readonly piece: string
    readonly partId: string
    readonly name: string
    readonly minutes: number
    readonly asNew: number
  }[]
  /** What each piece draws when recording, W. */
  readonly draws: readonly {
    readonly piece: string
    readonly partId: string
    readonly name: string
    readonly watts: number
  }[]
}

const firstOf = <T extends { readonly piece: string }>(list: readonly T[]): readonly T[] =>
  [...new Map([...list].reverse().map((one) => [one.piece, one])).values()].reverse()

/** Those that carry most at their joint come first: they are what comes loose. */
const pieces = (day: readonly Assessment[]): readonly LogPiece[] => {
  const pull = new Map<string, number>()
  const all = new Map<string, LogPiece>()
  for (const { assembly, facts } of day)
    for (const piece of everywhere(assembly)) {
      const id = piece.instance.id
      const load = facts.loads.get(id)
      pull.set(id, Math.max(pull.get(id) ?? 0, load?.twistNm ?? 0))
      const known = all.get(id)
      const joint = jointKeyOf(piece)
      all.set(id, {
        piece: id,
        partId: piece.part.id,
        name: piece.part.name,
        ...(known?.joint ? { joint: known.joint } : joint ? { joint } : {}),
        setups: [...(known?.setups ?? []), assembly.setup.id],
      })
    }
  const sorted = [...all.values()].sort((a, b) => (pull.get(b.piece) ?? 0) - (pull.get(a.piece) ?? 0))
  return [...sorted, ...inBag(day).filter(({ piece }) => !all.has(piece))]
}

/** What goes along and sits on nothing: spares, glass, tools. */
const inBag = (day: readonly Assessment[]): readonly LogPiece[] =>
  firstOf(
    flatMap(day, ({ assembly }) =>
      flatMap(assembly.loose, ({ instance, part }) =>
        instance.status === 'in' && !sitsSomewhere(assembly.rig, instance.id)
          ? [{ piece: instance.id, partId: part.id, name: part.name, setups: day.map((one) => one.assembly.setup.id) }]
          : [],
      ),
    ),
  )

const healthIn = (assembly: Assembly, { learnt }: Context, piece: string, partId: string): number =>
  assembly.rig.kit.find(({ id }) => id === piece)?.health ?? learnt?.health.get(partId)?.value ?? 1

/** What the log of a day with these set-ups can be about, with what was planned. */
export const logPlanOf = (day: readonly Assessment[]): LogPlan => ({
  setups: day.map(({ assembly: { setup }, mass, setupSeconds, holdMinutes: heldMin }) => ({
    id: setup.id,
    name: setup.name,
    grams: mass.inHandG,
    seconds: setupSeconds,
    heldMin: heldMin === undefined || !Number.isFinite(heldMin) ? undefined : heldMin,
  })),
  pieces: pieces(day),
  runs: firstOf(
    flatMap(day, ({ facts: { network, runDown, context }, assembly }) =>
      flatMap(network.cells, (cell) => {
        const end = runDown.events.find(({ what, id }) => what === 'empty' && id === cell.id)
        if (!end || end.minute <= 0) return []
        const health = healthIn(assembly, context, cell.id, cell.partId)
        return [
          {
            piece: cell.id,
            partId: cell.partId,
            name: cell.name,
            minutes: end.minute,
            asNew: end.minute / health,
          },
        ]
      }),
    ),
  ),
  draws: firstOf(
    flatMap(day, ({ facts: { network }, assembly }) =>
      flatMap(network.nodes, ({ id, name, drawW }) => {
        const part = assembly.byInstance.get(id)?.part
        return part && drawW > 0 && !standRoles.has(part.role)
          ? [{ piece: id, partId: part.id, name, watts: drawW }]
          : []
      }),
    ),
  ),
})

/** What the day would change of the next mark: what it makes the rules say, and what to do about it. */
export interface MarkLine {
  readonly setup: string
  readonly finding: Omit<Finding, 'aims'>
  readonly way?: { readonly remedy: Remedy; readonly effect: Effect }
}

const MOST_LINES = 6
/** So many ways are tried for each line. */
const TRIES = 40

/**
 * What days in the field make of a rig: each trouble that it has with what they taught and would not have without, once,
 * with the first way out that holds.
 * @param learnt what was learnt, with the day that is being written down
 */
export const markLinesOf = (rig: Rig, given: Context, learnt: Learnt): readonly MarkLine[] => {
  const { learnt: _, ...plain } = given
  const context = { ...plain, learnt }
  const lines = new Map<string, MarkLine>()
  const kept = new Map<string, Assessment>()
  const judged = (setup: string): Assessment => {
    const made = kept.get(setup) ?? evaluate(rig, setup, context)
    kept.set(setup, made)
    return made
  }
  for (const { id } of rig.setups) {
    if (lines.size >= MOST_LINES) break
    const had = new Set(evaluate(rig, id, plain).findings.map(findingKey))
    const now = judged(id)
    const known = knownBy(now, judged)
    for (const finding of now.findings) {
      const key = findingKey(finding)
      if (had.has(key) || lines.has(key) || lines.size >= MOST_LINES) continue
      const [way] = waysOut(known, now, finding, TRIES)
      lines.set(key, {
        setup: id,
        finding: { ...finding },
        ...(way ? { way: { remedy: way.remedy, effect: way.effect } } : {}),
      })
    }
  }
  return [...lines.values()]
}

const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/**
 * The name of the mark that comes after one. @example `Winter Ferry, second mark` gives `Winter Ferry, third mark`; a
 * rig that is no mark yet becomes one
 */
export const nextMarkName = (name: string): string => {
  const found = /\b(\w+) mark\b/i.exec(name)
  const at = ordinals.indexOf(found?.[1]?.toLowerCase() ?? '')
  const next = ordinals[at + 1]
  if (found?.[1] && at >= 0 && next) {
    const word = /^[A-Z]/.test(found[1]) ? next[0]?.toUpperCase() + next.slice(1) : next
    return name.replace(found[0], found[0].replace(found[1], word))
  }
  return `${name.slice(0, 66)}, second mark`
}
