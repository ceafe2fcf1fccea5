import type { PlacedPart } from '../assembly/index.ts'
import { inHand } from '../balance/index.ts'
import { isUnknown, type Part } from '../catalogue/index.ts'
import type { Shelf } from '../checks/index.ts'
import { SCALE_STEP_G } from '../locker/index.ts'
import type { Assessment } from './evaluate.ts'

/** Where a figure of a part comes from. */
export type Source =
  | { readonly kind: 'weighed'; readonly on: string }
  | { readonly kind: 'seen'; readonly on: string; readonly points: number }
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
}

/** Makers round masses, and leave caps and screws out: a part weighs what its datasheet says to about this much. A guess of ours. */
export const DATASHEET_ERROR = 0.03
/** What somebody typed in was looked up or estimated. A guess of ours. */
export const TYPED_ERROR = 0.05

/** Where the mass of a part comes from, and how far it may be off, g. */
export const massInput = (instance: string, part: Part, { weighed, typed }: Pick<Shelf, 'weighed' | 'typed'>): Input => {
  const of = (source: Source, error: number): Input => ({ instance, name: part.name, value: part.massG, error, source })
  if (isUnknown(part, 'massG')) return of({ kind: 'unknown' }, 0)
  const on = weighed?.get(part.id)
  if (on !== undefined) return of({ kind: 'weighed', on }, SCALE_STEP_G)
  return typed?.has(part.id) ? of({ kind: 'typed' }, part.massG * TYPED_ERROR) : of({ kind: 'datasheet' }, part.massG * DATASHEET_ERROR)
}

/** Errors that have nothing to do with each other add up as the root of their squares (Gauss). */
const together = (errors: readonly number[]): number => Math.hypot(...errors)

interface Weighed {
  readonly input: Input
  readonly at: PlacedPart['centre']
}
const weights = ({ facts, assembly }: Assessment): readonly Weighed[] => {
  const { shelf } = facts
  return [
    ...assembly.placed.filter(inHand).map((piece) => ({ input: massInput(piece.instance.id, piece.part, shelf), at: piece.centre })),
    ...facts.leads.map(({ link, part, middle }) => ({ input: massInput(link.cable, part, shelf), at: middle })),
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
  return { value, low: value - error, high: value + error, unknown: inputs.some(({ source }) => source.kind === 'unknown'), inputs }
}

/**
 * The tilt of the hanging rig, with the masses it is made of: an error e of a piece at r moves the centre by `e (r - c) / M`.
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
  const { cost, shelf } = facts
  const inputs = cost.lines
    .filter(({ owned, inBoxOf }) => !owned && inBoxOf === undefined)
    .map(({ instance, part, low, usual, high }): Input => {
      const view = shelf.prices?.get(part.id)
      const source: Source =
        high === 0
          ? { kind: 'unknown' }
          : view
            ? { kind: 'seen', on: view.newestOn, points: view.points }
            : shelf.typed?.has(part.id)
              ? { kind: 'typed' }
              : { kind: 'datasheet' }
      return { instance, name: part.name, value: usual, error: (high - low) / 2, source }
    })
  return { value: cost.usual, low: cost.low, high: cost.high, unknown: cost.unpriced.length > 0, inputs }
}
