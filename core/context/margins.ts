import type { Unit } from '../kernel/index.ts'
import { type RecordMargins, usualRecordMargins } from '../media/index.ts'
import { type PowerMargins, usualPowerMargins } from '../power/index.ts'
import type { Context } from './context.ts'

/** Under this name the margins are kept that figures, not checks, are made with. */
export const MARGINS = 'margins'

/** What a minute at the bench is worth in the planner's eyes: twelve euros an hour. Minor units. */
export const MINUTE_MINOR = 20

interface Known {
  readonly title: string
  readonly unit: Unit
  readonly usual: number
  readonly least: number
  readonly most: number
  readonly source: string
  readonly guess: boolean
}

const known = {
  recordSpareTimes: {
    title: 'Room on cards, times what the plan asks for',
    unit: 'times',
    usual: usualRecordMargins.spare,
    least: 1,
    most: 4,
    source: 'Workshop practice: more than the plan says is always shot.',
    guess: true,
  },
  writeSpareTimes: {
    title: 'Writing speed, times the stream',
    unit: 'times',
    usual: usualRecordMargins.write,
    least: 1,
    most: 4,
    source:
      'Workshop practice: speeds are stated for an empty, cool card; so much more keeps a fuller one from stopping.',
    guess: true,
  },
  packDepthTimes: {
    title: 'Of a pack’s charge, used before it is changed',
    unit: 'times',
    usual: usualPowerMargins.depth,
    least: 0.3,
    most: 1,
    source:
      'Charge is rated down to the lowest volts a cell bears (IEC 61960); a camera switches off before, with about a tenth left in.',
    guess: false,
  },
  converterTimes: {
    title: 'What a converter passes on',
    unit: 'times',
    usual: usualPowerMargins.converter,
    least: 0.5,
    most: 1,
    source: 'Small switching converters lie between 0.85 and 0.95 by their makers’ curves.',
    guess: false,
  },
  minuteMinor: {
    title: 'A minute at the bench is worth',
    unit: 'minor',
    usual: MINUTE_MINOR,
    least: 0,
    most: 100_000,
    source:
      'A wish, no measurement: what you would pay for one minute less. The wiring plan sets it against money and grams.',
    guess: false,
  },
} as const satisfies Record<string, Known>

export type MarginId = keyof typeof known
export const marginIds = Object.keys(known) as readonly MarginId[]

/** The bounds and the usual value of a margin; undefined for a name that is none. */
export const knownMargin = (id: string): Known | undefined => (id in known ? known[id as MarginId] : undefined)

/** The margins figures are made with: the operator's where there are some, else the usual ones. */
export const marginsOf = ({
  limits: own,
  learnt,
}: Pick<Context, 'limits' | 'learnt'>): {
  readonly record: RecordMargins
  readonly power: PowerMargins
  readonly minuteMinor: number
} => {
  const mine = own?.[MARGINS]
  const of = (id: MarginId): number => mine?.[id] ?? known[id].usual
  return {
    record: { spare: of('recordSpareTimes'), write: of('writeSpareTimes') },
    power: {
      depth: of('packDepthTimes'),
      converter: of('converterTimes'),
      healthOf: (partId) => learnt?.health.get(partId)?.value ?? 1,
    },
    minuteMinor: of('minuteMinor'),
  }
}
