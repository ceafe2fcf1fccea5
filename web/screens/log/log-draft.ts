import type { LogPiece, LogPlan } from '@zucchini/core/assess'
import { isPosture, strengthFrom } from '@zucchini/core/balance'
import type { DayLog, JointKey, Measured } from '@zucchini/core/log'

/** What can happen to a piece on a day. */
export const happenings = ['loose', 'ranOut', 'inTheWay', 'unused', 'gaps'] as const
export type Happening = (typeof happenings)[number]

/** A day's log while it is being written: what was typed stays as it was typed. */
export interface LogDraft {
  readonly shoot: string
  readonly day: string
  readonly setups: readonly string[]
  readonly happened: Readonly<Record<Happening, readonly string[]>>
  /** By piece, as typed, mm. */
  readonly gaps: Readonly<Record<string, string>>
  /** By set-up, as typed: g, minutes and seconds, minutes. */
  readonly grams: Readonly<Record<string, string>>
  readonly ready: Readonly<Record<string, string>>
  readonly held: Readonly<Record<string, string>>
  /** By piece, as typed: hours and minutes, W. */
  readonly runs: Readonly<Record<string, string>>
  readonly draws: Readonly<Record<string, string>>
  readonly line: string
}

export const emptyDraft = (shoot: string, day: string, setups: readonly string[]): LogDraft => ({
  shoot,
  day,
  setups,
  happened: { loose: [], ranOut: [], inTheWay: [], unused: [], gaps: [] },
  gaps: {},
  grams: {},
  ready: {},
  held: {},
  runs: {},
  draws: {},
  line: '',
})

/** A number as it is typed, with a comma or a point; undefined for nothing, NaN for what is none. */
export const typedNumber = (text: string | undefined): number | undefined => {
  const plain = (text ?? '').trim().replace(',', '.')
  return plain === '' ? undefined : /^\d+(\.\d+)?$/.test(plain) ? Number(plain) : Number.NaN
}

/**
 * A span as it is typed, in its larger unit's sixtieths. @example `5:32` is 332, `1 h 05` is 65, `48` is 48; NaN for what
 * is none
 */
export const typedSpan = (text: string | undefined): number | undefined => {
  const plain = (text ?? '').trim().toLowerCase()
  if (plain === '') return undefined
  const [, large, small] = /^(\d+)\s*(?::|h|min|m)\s*(\d{1,2})?\s*(?:min|m|s)?$/.exec(plain) ?? []
  if (large === undefined) return typedNumber(plain)
  // "48 min" are forty-eight of the smaller unit already.
  if (small === undefined && !/[:h]/.test(plain)) return Number(large)
  const rest = Number(small ?? 0)
  return rest < 60 ? Number(large) * 60 + rest : Number.NaN
}

/** The fields in which something stands that is no figure, by their keys. */
export const wrongFields = (draft: LogDraft): ReadonlySet<string> => {
  const wrong = new Set<string>()
  const look = (name: 'gaps' | 'grams' | 'held' | 'draws' | 'ready' | 'runs', read: typeof typedNumber) => {
    for (const [id, text] of Object.entries(draft[name])) if (Number.isNaN(read(text) ?? 0)) wrong.add(`${name} ${id}`)
  }
  for (const name of ['gaps', 'grams', 'held', 'draws'] as const) look(name, typedNumber)
  for (const name of ['ready', 'runs'] as const) look(name, typedSpan)
  for (const piece of draft.happened.gaps) if (typedNumber(draft.gaps[piece]) === undefined) wrong.add(`gaps ${piece}`)
  return wrong
}

const measuredIn = (draft: LogDraft, plan: LogPlan, supportOf: (setup: string) => string): readonly Measured[] => [
  ...plan.setups.flatMap(({ id, grams, seconds, heldMin }): Measured[] => {
    if (!draft.setups.includes(id)) return []
    const [weighed, took, held] = [
      typedNumber(draft.grams[id]),
      typedSpan(draft.ready[id]),
      typedNumber(draft.held[id]),
    ]
    const support = supportOf(id)
    const strengthNm =
      held === undefined || !isPosture(support) ? undefined : strengthFrom(weighed ?? grams, support, held)
    const isArm = strengthNm !== undefined && strengthNm >= 5 && strengthNm <= 300
    return [
      ...(weighed === undefined ? [] : [{ what: 'grams' as const, setup: id, value: weighed, planned: grams }]),
      ...(took === undefined ? [] : [{ what: 'ready' as const, setup: id, value: took, planned: seconds }]),
      ...(held === undefined
        ? []
        : [
            {
              what: 'held' as const,
              setup: id,
              value: held,
              planned: Math.min(600, heldMin ?? 600),
              ...(isArm ? { strengthNm } : {}),
            },
          ]),
    ]
  }),
  ...plan.runs.flatMap(({ piece, partId, asNew }): Measured[] => {
    const value = typedSpan(draft.runs[piece])
    return value === undefined ? [] : [{ what: 'run', piece, partId, value, asNew: Math.min(6000, asNew) }]
  }),
  ...plan.draws.flatMap(({ piece, partId, watts }): Measured[] => {
    const value = typedNumber(draft.draws[piece])
    return value === undefined ? [] : [{ what: 'draw', piece, partId, value, planned: watts }]
  }),
]

/**
 * The day's log as it is told.
 * @param supportOf how a set-up is held: a timed hold speaks of the arm
 */
export const dayOfDraft = (draft: LogDraft, plan: LogPlan, supportOf: (setup: string) => string): DayLog => {
  const byId = new Map(plan.pieces.map((piece) => [piece.piece, piece]))
  const named = (happening: Happening): readonly LogPiece[] =>
    draft.happened[happening].flatMap((id) => byId.get(id) ?? [])
  const plain = ({ piece, partId }: LogPiece) => ({ piece, partId })
  const jointed = (one: LogPiece): { piece: string; partId: string; joint: JointKey }[] =>
    one.joint ? [{ ...plain(one), joint: one.joint }] : []
  const along = plan.pieces.filter(({ setups }) => setups.some((setup) => draft.setups.includes(setup)))
  return {
    kind: 'day',
    shoot: draft.shoot.trim(),
    day: draft.day,
    setups: draft.setups,
    carried: [...new Set(along.map(({ partId }) => partId))],
    loose: named('loose').flatMap(jointed),
    ranOut: named('ranOut').map(plain),
    inTheWay: named('inTheWay').flatMap(jointed),
    unused: named('unused').map(plain),
    gaps: named('gaps').flatMap((one) =>
      jointed(one).map((joint) => ({ ...joint, gapMm: typedNumber(draft.gaps[one.piece]) ?? 0 })),
    ),
    measured: measuredIn(draft, plan, supportOf),
    line: draft.line.trim(),
  }
}
