import { flatMap } from '../kernel/index.ts'
import { averageOperator, inHand, isPosture, shoulderNm } from '../balance/index.ts'
import { allLimits, paceOf } from '../checks/index.ts'
import type { Assessment } from './evaluate.ts'
import { costOrigin, hoursOrigin, type Input, massOrigin, type Source, tiltOrigin } from './origins.ts'

/** The figures one can ask about on the bench. */
export const figureIds = ['in-hand', 'to-buy', 'runs', 'hangs', 'tall', 'set-up', 'held'] as const
export type FigureId = (typeof figureIds)[number]

/** What a figure is counted in; whoever shows it has the words. */
export type Unit = 'g' | 'money' | 'min' | 'deg' | 'mm' | 's' | 'Nm' | 'W' | 'Wh' | 'share'

/** One row of what a figure is made of. */
export interface Term {
  readonly name: string
  readonly value: number
  readonly unit: Unit
  readonly error?: number
  readonly source?: Source
  /** Of a piece that moves the centre: its mass, and how far ahead of the palm it lies. */
  readonly lever?: { readonly massG: number; readonly aheadMm: number }
}

/** Where the limit of a figure stands, so that one can go there and change it. */
export interface Bound {
  readonly value: number
  readonly from: 'set-up' | 'brief' | 'how-i-work'
  readonly check?: string
}

/**
 * How a figure is reckoned: its value with its band, the numbers of its formula, what it is made of, and what weighs
 * most in it.
 */
export interface Reckoning {
  readonly id: FigureId
  readonly value: number
  readonly unit: Unit
  readonly low: number
  readonly high: number
  /** Something in it is unknown: it is at least (or, for time, at most) what it says. */
  readonly unknown: boolean
  /** The numbers of the formula, by the names its words use. */
  readonly numbers: Readonly<Record<string, number>>
  readonly terms: readonly Term[]
  /** How many terms there are beyond those that are listed, and what they come to. */
  readonly rest: { readonly count: number; readonly value: number }
  readonly bound: Bound | undefined
}

/** So many terms are listed, those that weigh most first. */
const MOST_TERMS = 5

const listed = (terms: readonly Term[]): Pick<Reckoning, 'terms' | 'rest'> => {
  const sorted = [...terms].sort((a, b) => Math.abs(b.value) - Math.abs(a.value))
  const left = sorted.slice(MOST_TERMS)
  return {
    terms: sorted.slice(0, MOST_TERMS),
    rest: { count: left.length, value: left.reduce((sum, { value }) => sum + value, 0) },
  }
}
const termOf =
  (unit: Unit) =>
  ({ name, value, error, source }: Input): Term => ({ name, value, unit, error, source })

const capG = ({ assembly: { setup, rig } }: Assessment): Bound | undefined =>
  setup.capG
    ? { value: setup.capG, from: 'set-up' }
    : isPosture(setup.support) && rig.brief.inHandG > 0
      ? { value: rig.brief.inHandG, from: 'brief' }
      : undefined
const ofBrief = (value: number): Bound | undefined => (value > 0 ? { value, from: 'brief' } : undefined)
/** The limit a rule judges by: the operator's own, else the rule's. */
const ofLimits = ({ facts }: Assessment, check: string, option: string): Bound | undefined => {
  const limit = allLimits(facts.context.limits).find((one) => one.check === check && one.option === option)
  return limit && { value: limit.own ?? limit.usual, from: 'how-i-work', check }
}

const makers: Readonly<Record<FigureId, (assessment: Assessment) => Reckoning | undefined>> = {
  'in-hand': (assessment) => {
    const { value, low, high, unknown, inputs } = massOrigin(assessment)
    const pieces = assessment.assembly.placed.length
    const numbers = { pieces, leads: assessment.facts.leads.length }
    return {
      id: 'in-hand',
      unit: 'g',
      value,
      low,
      high,
      unknown,
      numbers,
      ...listed(inputs.map(termOf('g'))),
      bound: capG(assessment),
    }
  },
  'to-buy': (assessment) => {
    const { value, low, high, unknown, inputs } = costOrigin(assessment)
    const owned = assessment.cost.lines.filter((line) => line.owned).length
    const boxed = assessment.cost.lines.filter(({ inBoxOf }) => inBoxOf !== undefined).length
    const bound = ofBrief(assessment.assembly.rig.brief.budgetMinor)
    return {
      id: 'to-buy',
      unit: 'money',
      value,
      low,
      high,
      unknown,
      numbers: { buy: inputs.length, owned, boxed },
      ...listed(inputs.map(termOf('money'))),
      bound,
    }
  },
  runs: (assessment) => {
    const { value, low, high, unknown, inputs } = hoursOrigin(assessment)
    const { network, day } = assessment.facts
    const cells = new Set(network.cells.map(({ id }) => id))
    const numbers = {
      wattHours: network.cells.reduce((sum, { usableWh }) => sum + usableWh, 0),
      watts: network.nodes.reduce((sum, { drawW }) => sum + drawW, 0),
      swaps: day.swaps,
    }
    const terms = inputs.map((input) => termOf(cells.has(input.instance) ? 'Wh' : 'W')(input))
    return {
      id: 'runs',
      unit: 'min',
      value,
      low,
      high,
      unknown,
      numbers,
      terms,
      rest: { count: 0, value: 0 },
      bound: ofBrief(day.minutes),
    }
  },
  hangs: (assessment) => {
    const origin = tiltOrigin(assessment)
    const { hang, mass } = assessment
    if (!origin || !hang) return undefined
    const value = Math.abs(origin.value)
    // Whose mass, where it lies, moves the centre most: its part of the way from the palm to the centre.
    const part = (name: string, massG: number, z: number): Term => ({
      name,
      value: (massG * (hang.grip[2] - z)) / Math.max(1, mass.inHandG),
      unit: 'mm',
      lever: { massG, aheadMm: hang.grip[2] - z },
    })
    const moments = [
      ...assessment.assembly.placed
        .filter(inHand)
        .map(({ part: { name, massG }, centre }) => part(name, massG, centre[2])),
      ...assessment.facts.leads.map(({ part: { name, massG }, middle }) => part(name, massG, middle[2])),
    ]
    const numbers = { aheadMm: hang.aheadMm, underMm: hang.underMm, pieces: origin.inputs.length }
    const half = (origin.high - origin.low) / 2
    return {
      id: 'hangs',
      unit: 'deg',
      value,
      low: Math.max(0, value - half),
      high: value + half,
      unknown: origin.unknown,
      numbers,
      ...listed(moments),
      bound: ofLimits(assessment, 'hang-tilt', 'goodDeg'),
    }
  },
  tall: (assessment) => {
    const { tallMm, bounds } = assessment.size
    const { placed, rig } = assessment.assembly
    const top = placed.find((piece) => piece.bounds.max[1] === bounds.max[1])
    const bottom = placed.find((piece) => piece.bounds.min[1] === bounds.min[1])
    const [above, below] = [bounds.max[1], -bounds.min[1]]
    const terms: readonly Term[] = [
      { name: top?.part.name ?? '', value: above, unit: 'mm' },
      { name: bottom?.part.name ?? '', value: below, unit: 'mm' },
    ]
    return {
      id: 'tall',
      unit: 'mm',
      value: tallMm,
      low: tallMm,
      high: tallMm,
      unknown: false,
      numbers: { above, below },
      terms,
      rest: { count: 0, value: 0 },
      bound: ofBrief(rig.brief.tallMm),
    }
  },
  'set-up': (assessment) => {
    const { joint, lead, balance } = paceOf(assessment.facts.context)
    const { placed, setup } = assessment.assembly
    const joints = flatMap(placed, (piece): Term[] =>
      piece.mate?.ok ? [{ name: piece.part.name, value: joint(piece.mate.value.standard), unit: 's' }] : [],
    )
    const leads: readonly Term[] =
      setup.links.length > 0 ? [{ name: 'leads', value: setup.links.length * lead, unit: 's' }] : []
    const balancing = balance(setup.support)
    const last: readonly Term[] = balancing > 0 ? [{ name: 'balancing', value: balancing, unit: 's' }] : []
    const value = assessment.setupSeconds
    return {
      id: 'set-up',
      unit: 's',
      value,
      low: value,
      high: value,
      unknown: false,
      numbers: { joints: joints.length, leads: setup.links.length, lead, balancing },
      ...listed([...joints, ...leads, ...last]),
      bound: undefined,
    }
  },
  held: (assessment) => {
    const { support } = assessment.assembly.setup
    const { holdMinutes, mass, facts } = assessment
    if (holdMinutes === undefined || !isPosture(support)) return undefined
    const { operator } = facts.context
    const momentNm = shoulderNm(mass.inHandG, support, operator)
    const { strengthNm } = operator ?? averageOperator
    const terms: readonly Term[] = [
      { name: 'moment about the shoulder', value: momentNm, unit: 'Nm' },
      { name: 'what the shoulder holds for a moment', value: strengthNm, unit: 'Nm' },
    ]
    return {
      id: 'held',
      unit: 'min',
      value: holdMinutes,
      low: holdMinutes,
      high: holdMinutes,
      unknown: mass.unknown.length > 0,
      numbers: { momentNm, strengthNm, share: momentNm / strengthNm },
      terms,
      rest: { count: 0, value: 0 },
      bound: ofLimits(assessment, 'hold-time', 'takeMinutes'),
    }
  },
}

/** How a figure of a set-up is reckoned; undefined where it has none, such as a tilt without a handle. */
export const reckoningOf = (assessment: Assessment, id: FigureId): Reckoning | undefined => makers[id](assessment)
