import { flatMap } from '../kernel/index.ts'
import { type DayLog, type FieldEntry, inOrder, type JointKey, type Measured } from './entry.ts'

/** One time something was seen: on which day, at which shoot, and how much. */
export interface Evidence {
  readonly entry: string
  readonly rigId: string
  readonly day: string
  readonly shoot: string
  readonly value: number
}

export const lessonKinds = ['seconds', 'health', 'draw', 'strength', 'loose', 'gap', 'in-the-way', 'unused'] as const
export type LessonKind = (typeof lessonKinds)[number]

/** What the field taught of one thing, with all it rests on. */
export interface Lesson {
  /** Its name, by which the operator takes it back: `loose plate/screw cage/base`. */
  readonly key: string
  readonly kind: LessonKind
  /** A part, or a kind of joint for seconds; empty for the arm. */
  readonly of: string
  readonly joint?: JointKey
  /** The middle of what was seen: s, a share, W, N m, mm; for the rest how often. */
  readonly value: number
  readonly evidence: readonly Evidence[]
  /** False: the operator took it back, and nothing is reckoned with it. */
  readonly holds: boolean
}

/** A part unused on so many shoots in a row, on which it was along, might stay at home. */
export const UNUSED_SHOOTS = 3
/** A battery that lasts less than this share is dead or was not full, more than that was not reckoned rightly. */
const HEALTH = { least: 0.2, most: 1 } as const
/** A pack that lasted within so much of the plan is as good as it was taken for. */
const AS_GOOD = 0.04

export const jointName = ({ guest, guestMount, host, hostMount }: JointKey): string =>
  `${guest}/${guestMount} ${host}/${hostMount}`

/**
 * The middle of some values; of an even number the mean of the two in the middle. @example medianOf([9, 30, 12]) = 12
 */
export const medianOf = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  const [low, high] = [sorted[middle - 1] ?? NaN, sorted[middle] ?? NaN]
  return sorted.length % 2 === 1 ? high : (low + high) / 2
}

interface Open {
  readonly kind: LessonKind
  readonly of: string
  readonly joint?: JointKey
  readonly evidence: Evidence[]
}

type Days = readonly { readonly entry: FieldEntry; readonly log: DayLog }[]

const daysIn = (entries: readonly FieldEntry[]): Days =>
  flatMap(entries, (entry) => (entry.what.kind === 'day' ? [{ entry, log: entry.what }] : []))

/** The shoots in a row, up to the newest on which it was along, on which a part was not used. */
const unusedRuns = (days: Days): ReadonlyMap<string, readonly Evidence[]> => {
  const runs = new Map<string, Evidence[]>()
  const byDay = [...days].sort((a, b) => (a.log.day < b.log.day ? -1 : a.log.day > b.log.day ? 1 : 0))
  for (const { entry, log } of byDay) {
    const idle = new Set(log.unused.map(({ partId }) => partId))
    for (const partId of new Set([...log.carried, ...idle]))
      if (!idle.has(partId)) runs.delete(partId)
      else runs.set(partId, [...(runs.get(partId) ?? []), seen(entry, log, 1)])
  }
  return runs
}

const seen = ({ id, rigId }: FieldEntry, { day, shoot }: Pick<DayLog, 'day' | 'shoot'>, value: number): Evidence => ({
  entry: id,
  rigId,
  day,
  shoot,
  value,
})

/** What one measured figure teaches; the whole rig's grams and seconds are records, they teach nothing by themselves. */
const taughtBy = (measured: Measured): { kind: LessonKind; of: string; value: number } | undefined => {
  if (measured.what === 'held')
    return measured.strengthNm === undefined ? undefined : { kind: 'strength', of: '', value: measured.strengthNm }
  if (measured.what === 'draw') return { kind: 'draw', of: measured.partId, value: measured.value }
  if (measured.what !== 'run' || measured.asNew <= 0) return undefined
  return { kind: 'health', of: measured.partId, value: measured.value / measured.asNew }
}

const keyOf = ({ kind, of, joint }: Pick<Lesson, 'kind' | 'of' | 'joint'>): string =>
  joint ? `${kind} ${jointName(joint)}` : of ? `${kind} ${of}` : kind

/**
 * What all entries together teach, taken back or not, by the names of the lessons. An entry that comes twice counts
 * once.
 */
export const lessonsOf = (given: readonly FieldEntry[]): readonly Lesson[] => {
  const entries = inOrder(new Map(given.map((entry) => [entry.id, entry])).values())
  const open = new Map<string, Open>()
  const note = (kind: LessonKind, of: string, evidence: Evidence, joint?: JointKey): void => {
    const key = keyOf({ kind, of, ...(joint ? { joint } : {}) })
    const known = open.get(key)
    if (known) known.evidence.push(evidence)
    else open.set(key, { kind, of, ...(joint ? { joint } : {}), evidence: [evidence] })
  }
  const days = daysIn(entries)
  for (const entry of entries)
    if (entry.what.kind === 'lap')
      note('seconds', entry.what.joint, seen(entry, { day: entry.what.day, shoot: '' }, entry.what.seconds))
  for (const { entry, log } of days) {
    for (const { partId, joint } of log.loose) note('loose', partId, seen(entry, log, 1), joint)
    for (const { partId, joint, gapMm } of log.gaps) note('gap', partId, seen(entry, log, gapMm), joint)
    for (const { partId, joint } of log.inTheWay) note('in-the-way', partId, seen(entry, log, 1), joint)
    for (const measured of log.measured) {
      const taught = taughtBy(measured)
      if (taught) note(taught.kind, taught.of, seen(entry, log, taught.value))
    }
  }
  for (const [partId, run] of unusedRuns(days))
    if (run.length >= UNUSED_SHOOTS) for (const evidence of run) note('unused', partId, evidence)
  const words = new Map(
    flatMap(entries, ({ what }) => (what.kind === 'word' ? [[what.lesson, what.holds] as const] : [])),
  )
  return [...open]
    .map(([key, { evidence, ...rest }]): Lesson => {
      const counted = rest.kind === 'loose' || rest.kind === 'in-the-way' || rest.kind === 'unused'
      const middle = counted ? evidence.length : medianOf(evidence.map(({ value }) => value))
      const value = rest.kind === 'health' ? Math.min(HEALTH.most, Math.max(HEALTH.least, middle)) : middle
      return { key, ...rest, value, evidence, holds: words.get(key) ?? true }
    })
    .filter(({ kind, value }) => kind !== 'health' || value < 1 - AS_GOOD)
    .sort((a, b) => (a.key < b.key ? -1 : 1))
}

/** One figure of the field's, how often it was seen, and when last. */
export interface Taught {
  readonly value: number
  readonly times: number
  readonly last: string
  readonly shoot: string
}

/** What holds of what was learnt, as the figures and rules read it. Everything in it is plain data. */
export interface Learnt {
  /** By kind of joint, s. */
  readonly seconds: ReadonlyMap<string, Taught>
  /** By battery, the share it still holds. */
  readonly health: ReadonlyMap<string, Taught>
  /** By part, W. */
  readonly draws: ReadonlyMap<string, Taught>
  readonly strengthNm?: Taught
  /** By the name of the joint. */
  readonly loose: ReadonlyMap<string, Taught>
  readonly gaps: ReadonlyMap<string, Taught>
  readonly inTheWay: ReadonlyMap<string, Taught>
  /** By part. */
  readonly unused: ReadonlyMap<string, Taught>
}

export const nothingLearnt: Learnt = {
  seconds: new Map(),
  health: new Map(),
  draws: new Map(),
  loose: new Map(),
  gaps: new Map(),
  inTheWay: new Map(),
  unused: new Map(),
}

/** The lessons that hold, sorted for those who reckon with them. */
export const learntOf = (lessons: readonly Lesson[]): Learnt => {
  const held = lessons.filter(({ holds }) => holds)
  const taught = ({ value, evidence }: Lesson): Taught => {
    const last = evidence.reduce((a, b) => (b.day >= a.day ? b : a))
    return { value, times: evidence.length, last: last.day, shoot: last.shoot }
  }
  const by = (kind: LessonKind): ReadonlyMap<string, Taught> =>
    new Map(
      flatMap(held, (lesson) =>
        lesson.kind === kind ? [[lesson.joint ? jointName(lesson.joint) : lesson.of, taught(lesson)] as const] : [],
      ),
    )
  const arm = held.find(({ kind }) => kind === 'strength')
  return {
    seconds: by('seconds'),
    health: by('health'),
    draws: by('draw'),
    ...(arm ? { strengthNm: taught(arm) } : {}),
    loose: by('loose'),
    gaps: by('gap'),
    inTheWay: by('in-the-way'),
    unused: by('unused'),
  }
}
