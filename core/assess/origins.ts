import type { PlacedPart } from '../assembly/index.ts'
import { saversOf } from '../cabling/index.ts'
import { inHand } from '../balance/index.ts'
import { isUnknown, type Part } from '../catalogue/index.ts'
import type { Context } from '../context/index.ts'
import { GRAVITY } from '../kernel/index.ts'
import { SCALE_STEP_G } from '../locker/index.ts'
import { drawIn, type Network, runDown } from '../power/index.ts'
import type { Assessment } from './evaluate.ts'

/** Where a figure of a part comes from. */
export type Source =
  | { readonly kind: 'weighed'; readonly on: string }
  | { readonly kind: 'seen'; readonly on: string; readonly points: number }
  /** A day in the field showed it; so many times, the last of them then. */
  | { readonly kind: 'field'; readonly on: string; readonly times: number }
  | { readonly kind: 'datasheet' }
  | { readonly kind: 'typed' }
  | { readonly kind: 'unknown' }

/** One figure that another is made of. */
export interface Input {
  readonly instance: string
  readonly name: string
  readonly value: number
  /** Likely no farther off than this either way; 0 for what is unknown, of which nothing can be said. */
  readonly error: number
  readonly source: Source
}

/** A computed figure with all it was made of. */
export interface Origin {
  readonly value: number
  /** Likely between these; a figure with unknown inputs is at least, or at most, what it says. */
  readonly low: number
  readonly high: number
  readonly unknown: boolean
  readonly inputs: readonly Input[]
  /** How far each input moves the figure when it is off by its error; left out where that is the error itself. */
  readonly moves?: readonly number[]
}

/**
 * Makers round masses, and leave caps and screws out: a part weighs what its datasheet says to about this much. A guess
 * of ours.
 */
export const DATASHEET_ERROR = 0.03
/** What somebody typed in was looked up or estimated. A guess of ours. */
export const TYPED_ERROR = 0.05

/** Where the mass of a part comes from, and how far it may be off, g. */
export const massInput = (
  instance: string,
  part: Part,
  { weighed, typed }: Pick<Context, 'weighed' | 'typed'>,
): Input => {
  const of = (source: Source, error: number): Input => ({ instance, name: part.name, value: part.massG, error, source })
  if (isUnknown(part, 'massG')) return of({ kind: 'unknown' }, 0)
  const on = weighed?.get(part.id)
  if (on !== undefined) return of({ kind: 'weighed', on }, SCALE_STEP_G)
  return typed?.has(part.id)
    ? of({ kind: 'typed' }, part.massG * TYPED_ERROR)
    : of({ kind: 'datasheet' }, part.massG * DATASHEET_ERROR)
}

/** Errors that have nothing to do with each other add up as the root of their squares (Gauss). */
const together = (errors: readonly number[]): number => Math.hypot(...errors)

/** Half a lead weighs half, and its error is half as large. */
const shareOf = (input: Input, share: number): Input =>
  share === 1 ? input : { ...input, value: input.value * share, error: input.error * share }

interface Weighed {
  readonly input: Input
  readonly at: PlacedPart['centre']
}
const weights = ({ facts, assembly }: Assessment): readonly Weighed[] => {
  const { context } = facts
  return [
    ...assembly.placed
      .filter(inHand)
      .map((piece) => ({ input: massInput(piece.instance.id, piece.part, context), at: piece.centre })),
    ...saversOf(facts.leads).map(({ id, part, at }) => ({ input: massInput(id, part, context), at })),
    ...facts.leads
      .filter(({ onRig }) => onRig > 0)
      .map(({ link, part, middle, onRig }) => ({
        input: shareOf(massInput(link.cable, part, context), onRig),
        at: middle,
      })),
  ]
}

/**
 * What is in the hand, with the mass of every piece and lead, its source and its error.
 * @example 1,000 g by the datasheet (30 g) and 400 g on the scale (1 g): 1,400 g, 1,370 to 1,430
 */
export const massOrigin = (assessment: Assessment): Origin => {
  const inputs = weights(assessment).map(({ input }) => input)
  const value = assessment.mass.inHandG
  const error = together(inputs.map((input) => input.error))
  return {
    value,
    low: value - error,
    high: value + error,
    unknown: inputs.some(({ source }) => source.kind === 'unknown'),
    inputs,
  }
}

/**
 * The tilt of the hanging rig, with the masses it is made of: an error e of a piece at r moves the centre by `e (r - c)
 * / M`.
 * @returns undefined where nothing hangs
 */
export const tiltOrigin = (assessment: Assessment): Origin | undefined => {
  const { hang, mass } = assessment
  if (!hang) return undefined
  const all = weights(assessment)
  const shift = (axis: 1 | 2) =>
    together(all.map(({ input, at }) => (input.error * (at[axis] - mass.centre[axis])) / Math.max(1, mass.inHandG)))
  const [ahead, under] = [shift(2), shift(1)]
  const apart = Math.max(1e-9, hang.aheadMm ** 2 + hang.underMm ** 2)
  const errorDeg = (Math.hypot(hang.underMm * ahead, hang.aheadMm * under) / apart) * (180 / Math.PI)
  const inputs = all.map(({ input }) => input)
  return {
    value: hang.tiltDeg,
    low: hang.tiltDeg - errorDeg,
    high: hang.tiltDeg + errorDeg,
    unknown: mass.unknown.length > 0,
    inputs,
  }
}

/** What is still to buy, with each price, where it was seen and how far prices of it spread. */
export const costOrigin = ({ facts }: Assessment): Origin => {
  const { cost, context } = facts
  const inputs = cost.lines
    .filter(({ owned, inBoxOf }) => !owned && inBoxOf === undefined)
    .map(({ instance, part, low, usual, high }): Input => {
      const view = context.prices?.get(part.id)
      const source: Source =
        high === 0
          ? { kind: 'unknown' }
          : view
            ? { kind: 'seen', on: view.newestOn, points: view.points }
            : context.typed?.has(part.id)
              ? { kind: 'typed' }
              : { kind: 'datasheet' }
      return { instance, name: part.name, value: usual, error: (high - low) / 2, source }
    })
  return { value: cost.usual, low: cost.low, high: cost.high, unknown: cost.unpriced.length > 0, inputs }
}

/**
 * Makers state the charge of packs within so much, and age takes the rest; an own health figure is trusted like a
 * weighing. A guess of ours.
 */
export const CHARGE_ERROR = 0.05
/** What a device draws depends on what it does: a stated figure holds within so much. A guess of ours. */
export const DRAW_ERROR = 0.1

/** When the first piece goes dark with everything rolling, from full, minutes. */
const firstDark = (network: Network): number =>
  runDown(network, drawIn('roll')).events.find(({ what }) => what === 'dark')?.minute ?? Infinity

/**
 * How long everything rolls until the first piece goes dark, with the charge of every pack and the draw of every piece
 * it hangs on. What each of them may be off is tried out one after the other.
 * @example 18 Wh (5 %) under 6 W (10 %): 180 min, 161 to 199
 */
export const hoursOrigin = ({ facts, assembly }: Assessment): Origin => {
  const { network, context } = facts
  const value = firstDark(network)
  const sourceOf = (id: string, unknown: boolean, shown: 'health' | 'draws'): Source => {
    const piece = assembly.byInstance.get(id)
    const part = piece?.part
    const isOwn = shown === 'health' && piece?.instance.health !== undefined
    const taught = part && !isOwn ? context.learnt?.[shown].get(part.id) : undefined
    if (taught) return { kind: 'field', on: taught.last, times: taught.times }
    return unknown
      ? { kind: 'unknown' }
      : part && context.typed?.has(part.id)
        ? { kind: 'typed' }
        : { kind: 'datasheet' }
  }
  const drawers = network.nodes.filter(({ drawW, unknown }) => drawW > 0 || unknown)
  const inputs: readonly Input[] = [
    ...network.cells.map(({ id, name, usableWh }): Input => ({
      instance: id,
      name,
      value: usableWh,
      error: usableWh * CHARGE_ERROR,
      source: sourceOf(id, false, 'health'),
    })),
    ...drawers.map(({ id, name, drawW, unknown }): Input => ({
      instance: id,
      name,
      value: drawW,
      error: unknown ? 0 : drawW * DRAW_ERROR,
      source: sourceOf(id, unknown ?? false, 'draws'),
    })),
  ]
  const unknown = inputs.some(({ source }) => source.kind === 'unknown')
  if (!Number.isFinite(value)) return { value, low: value, high: value, unknown, inputs }
  const offBy = inputs.map(({ instance, value: was, error }) => {
    const now = was + error
    return firstDark({
      ...network,
      cells: network.cells.map((cell) => (cell.id === instance ? { ...cell, usableWh: now } : cell)),
      nodes: network.nodes.map((node) =>
        node.id === instance
          ? { ...node, drawW: now, standbyW: Math.min(now, node.standbyW), fullW: Math.max(now, node.fullW) }
          : node,
      ),
    })
  })
  const moves = offBy.map((minutes) => (Number.isFinite(minutes) ? minutes - value : 0))
  const error = together(moves)
  return { value, low: Math.max(0, value - error), high: value + error, unknown, inputs, moves }
}

/**
 * The moment of what is in the hand about a line across the rig at some place, N m, with the masses it is made of: an
 * error e of a piece d ahead of the line is `g e d`. @param atZ where the line runs, mm along the rig
 * @example 1 kg (3 %) 80 mm ahead of a pad: 0.78 N m, within 0.02
 */
export const momentOrigin = (assessment: Assessment, atZ: number): Origin => {
  const all = weights(assessment)
  const nm = (massG: number, z: number) => ((massG / 1000) * GRAVITY * (atZ - z)) / 1000
  const value = nm(assessment.mass.inHandG, assessment.mass.centre[2])
  const error = together(all.map(({ input, at }) => nm(input.error, at[2])))
  return {
    value,
    low: value - error,
    high: value + error,
    unknown: assessment.mass.unknown.length > 0,
    inputs: all.map(({ input }) => input),
  }
}
