import {
  adapterChains,
  type Chain,
  chainCommands,
  type Command,
  freshId,
  type Instance,
  type Joint,
  type Point,
  seatingsAt,
  type Rig,
} from '../assembly/index.ts'
import {
  mate,
  type MateCode,
  matingKey,
  offeredParts,
  type Part,
  partnersOf,
  standardOf,
  cheapestFirst,
} from '../catalogue/index.ts'
import { spareOwned } from '../checks/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import type { Context } from '../context/index.ts'
import { type Issue, perThing, flatMap } from '../kernel/index.ts'
import { type Effect, effectOf } from './effect.ts'
import { type Assessment, evaluate } from './evaluate.ts'

/** A part that goes on a point, and what it would change. */
export interface Fit {
  readonly part: Part
  /** kit: lies in the kit unused. owned: in the locker. catalogue: to buy. */
  readonly from: 'kit' | 'owned' | 'catalogue'
  readonly commands: readonly Command[]
  readonly effect: Effect
  /** It fits, and can't do the work of its role here: a handle under the camera, a screen that looks away. */
  readonly isAstray?: boolean
}

/** A part that does not go on, why, and the edit that puts it there all the same so that its remedies can be seen. */
export interface Misfit {
  readonly part: Part
  readonly from: Fit['from']
  readonly issue: Issue<MateCode>
  readonly commands: readonly Command[]
  /** The best adapters between, and the edits that put it on with them. */
  readonly bridge?: { readonly adapters: readonly Part[]; readonly commands: readonly Command[] }
}

/** What is known so far of the parts that go on a point. */
export interface FitsHere {
  readonly fits: readonly Fit[]
  /** Parts that go on but were not tried out yet. */
  readonly pending: number
  /** How many parts were asked about. */
  readonly outOf: number
}

interface Candidate {
  readonly part: Part
  readonly instance: Instance
  readonly from: Fit['from']
  readonly first: readonly Command[]
}

const HARM = { stop: 100, risk: 10, hint: 1 } as const
const harm = ({ gained, lost }: Effect): number =>
  (gained.stop - lost.stop) * HARM.stop + (gained.risk - lost.risk) * HARM.risk + (gained.hint - lost.hint) * HARM.hint

const candidateOf = (part: Part, from: Fit['from'], rig: Rig, idle: Instance | undefined): Candidate => {
  if (idle)
    return {
      part,
      instance: idle,
      from,
      first: idle.status === 'in' ? [] : [{ do: 'status', instance: idle.id, status: 'in' }],
    }
  const instance: Instance = { id: freshId(rig, part.id), partId: part.id, status: 'in' }
  return { part, instance, from, first: [{ do: 'add', instance }] }
}

/** Where a part would come from: the kit, the locker's spare pieces, or a shop. */
const origins = ({ assembly, facts }: Assessment): ((part: Part) => Fit['from']) => {
  const idle = new Set(assembly.loose.map(({ part }) => part.id))
  return (part) =>
    idle.has(part.id) ? 'kit' : facts.context.owned.has(part.id) && spareOwned(facts, part) ? 'owned' : 'catalogue'
}

const idleOf = ({ assembly }: Assessment, part: Part): Instance | undefined =>
  assembly.loose.find((loose) => loose.part.id === part.id)?.instance

/** The parts that can go on a point at all, found by their standards; kit and locker first, then cheap before dear. */
const candidatesFor = (point: Point, assessment: Assessment, context: Context): { part: Part; from: Fit['from'] }[] => {
  const originOf = origins(assessment)
  const by: Record<Fit['from'], { part: Part; from: Fit['from'] }[]> = { kit: [], owned: [], catalogue: [] }
  // A shop has thousands of them: they are put in order once, not for each time that somebody looks.
  for (const part of byPrice(partnersOf(point.piece.part, point.mount, context.catalogue))) {
    const from = originOf(part)
    by[from].push({ part, from })
  }
  return [...by.kit, ...by.owned, ...by.catalogue]
}
const byPrice = perThing('partners by price', (parts: readonly Part[]) => parts.toSorted(cheapestFirst))

const FROM_ORDER = { kit: 0, owned: 1, catalogue: 2 } as const
const byOrigin = (a: Fit | Misfit, b: Fit | Misfit): number => FROM_ORDER[a.from] - FROM_ORDER[b.from]

/** Those that do their work here, then kit and locker, then the least harm, money and grams; ids settle the rest. */
export const byHarm = (a: Fit, b: Fit): number =>
  Number(a.isAstray ?? false) - Number(b.isAstray ?? false) ||
  byOrigin(a, b) ||
  harm(a.effect) - harm(b.effect) ||
  a.effect.toBuyMinor - b.effect.toBuyMinor ||
  a.part.massG - b.part.massG ||
  (a.part.id < b.part.id ? -1 : 1)

/** The way a part sits on the point that runs into least, and what it would change. */
const fitOf = (
  candidate: Candidate,
  rig: Rig,
  setupId: string,
  point: Point,
  context: Context,
  before: Assessment,
): Fit | undefined => {
  const { placed } = before.assembly
  let best: Joint | undefined
  let least = Infinity
  let isSuited = false
  for (const { joint, piece } of seatingsAt(point, candidate.instance, candidate.part)) {
    const suits = suitsRole(before.assembly, piece)
    // A seat where it does its work goes before one where it merely fits.
    if (isSuited && !suits) continue
    const depth = clashWith(piece, placed)
    if (depth < least || (suits && !isSuited)) [best, least] = [joint, depth]
    isSuited ||= suits
    if (least === 0 && isSuited) break
  }
  if (!best) return undefined
  const commands: Command[] = [...candidate.first, { do: 'place', setup: setupId, joint: best }]
  const effect = effectOf(rig, commands, before)
  return 'issues' in effect
    ? undefined
    : { part: candidate.part, from: candidate.from, commands, effect, ...(isSuited ? {} : { isAstray: true }) }
}

/** So many parts are tried out before the first answer, and between one answer and the next. */
export const FITS_AT_ONCE = 8

/**
 * Which parts go on an open point, each with what it would change, in steps: what is at hand and what is cheap is tried
 * out first, so that the first answer comes at once however large the catalogue is; the last step has them all. Within
 * a step: kit and locker first, then by harm done, money and grams.
 */
export function* fitsInSteps(
  rig: Rig,
  setupId: string,
  point: Point,
  given: Context,
  assessment?: Assessment,
  atOnce = FITS_AT_ONCE,
): Generator<FitsHere, void, undefined> {
  const before = assessment ?? evaluate(rig, setupId, given)
  const { context } = before.facts
  const candidates = candidatesFor(point, before, context)
  const outOf = context.catalogue.parts.size - (context.catalogue.byRole.get('camera')?.length ?? 0)
  let fits: Fit[] = []
  for (let from = 0; from === 0 || from < candidates.length; from += atOnce) {
    const more = flatMap(
      candidates.slice(from, from + atOnce),
      (next) =>
        fitOf(
          candidateOf(next.part, next.from, rig, idleOf(before, next.part)),
          rig,
          setupId,
          point,
          context,
          before,
        ) ?? [],
    )
    fits = [...fits, ...more].sort(byHarm)
    yield { fits, pending: Math.max(0, candidates.length - from - atOnce), outOf }
  }
}

/** All the parts that go on an open point; the last of `fitsInSteps`. */
export const fitsHere = (
  rig: Rig,
  setupId: string,
  point: Point,
  context: Context,
  assessment?: Assessment,
): FitsHere => {
  let last: FitsHere = { fits: [], pending: 0, outOf: 0 }
  for (const found of fitsInSteps(rig, setupId, point, context, assessment, Infinity)) last = found
  return last
}

/** The parts that do not go on a point, each with why; the first so many by name, what is at hand first. */
export const misfitsHere = (rig: Rig, setupId: string, point: Point, given: Context, most = 400): readonly Misfit[] => {
  const before = evaluate(rig, setupId, given)
  const { context } = before.facts
  const fitting = new Set(candidatesFor(point, before, context).map(({ part }) => part))
  const from = origins(before)
  const bridges = new Map<string, readonly Chain[]>()
  return flatMap(
    offeredParts(context.catalogue).filter((part) => !fitting.has(part)),
    (part) => misfitOf(candidateOf(part, from(part), rig, idleOf(before, part)), point, setupId) ?? [],
  )
    .sort((a, b) => byOrigin(a, b) || (a.part.name < b.part.name ? -1 : 1))
    .slice(0, most)
    .map((misfit) => withBridge(misfit, rig, setupId, point, context, bridges))
}

/**
 * Adds the best chain of adapters to a misfit. Parts with like mounts take like chains, so each kind is looked for
 * once.
 */
const withBridge = (
  misfit: Misfit,
  rig: Rig,
  setup: string,
  point: Point,
  context: Context,
  known: Map<string, readonly Chain[]>,
): Misfit => {
  const placed = misfit.commands.find((command) => command.do === 'place')
  const mount = placed?.do === 'place' ? misfit.part.mounts.find(({ id }) => id === placed.joint.guestMount) : undefined
  if (placed?.do !== 'place' || !mount) return misfit
  const key = matingKey({ part: misfit.part, mount })
  let chains = known.get(key)
  if (!chains) {
    const host = { part: point.piece.part, mount: point.mount }
    known.set(key, (chains = adapterChains(host, { part: misfit.part, mount }, context.catalogue, context.owned)))
  }
  const [chain] = chains
  if (!chain) return misfit
  const before = misfit.commands.filter((command) => command !== placed)
  const adapters = chain.links.map(({ part }) => part)
  return { ...misfit, bridge: { adapters, commands: [...before, ...chainCommands(rig, setup, placed.joint, chain)] } }
}

/** The mount by which a part would most nearly go on: one of the same kind if it has one, else its first. */
const misfitOf = (candidate: Candidate, point: Point, setup: string): Misfit | undefined => {
  const kind = standardOf(point.mount.standard).kind
  const { part, instance, from, first } = candidate
  const plugs = part.mounts.filter((mount) => mount.side !== point.mount.side && !mount.carries)
  const near = plugs.find((mount) => standardOf(mount.standard).kind === kind) ?? plugs[0]
  if (!near || part.role === 'camera') return undefined
  const made = mate({ part: point.piece.part, mount: point.mount }, { part, mount: near })
  if (made.ok || !made.issues[0]) return undefined
  const joint = {
    guest: instance.id,
    guestMount: near.id,
    host: point.piece.instance.id,
    hostMount: point.mount.id,
    slideMm: 0,
    turnDeg: 0,
  }
  return { part, from, issue: made.issues[0], commands: [...first, { do: 'place', setup, joint }] }
}

/** The open point a part goes on: one where its role works before one where it merely fits; undefined where none takes it. */
export const pointFor = (assessment: Assessment, part: Part): Point | undefined => {
  const { assembly, points } = assessment
  const instance = { id: freshId(assembly.rig, part.id), partId: part.id, status: 'in' as const }
  const open = points.filter(
    ({ open, piece, mount }) =>
      open && part.mounts.some((own) => mate({ part: piece.part, mount }, { part, mount: own }).ok),
  )
  const suited = open.find((point) => seatingsAt(point, instance, part).some(({ piece }) => suitsRole(assembly, piece)))
  return suited ?? open[0]
}
