import { flatMap } from '../kernel/index.ts'
import {
  type Assembly,
  type Command,
  edit,
  placeSetup,
  type PlacedPart,
  type Rig,
  swapCommands,
} from '../assembly/index.ts'
import { needsOf } from '../brief/index.ts'
import { mate, mountOf, offeredParts, type Part } from '../catalogue/index.ts'
import { lossesOf } from '../checks/index.ts'
import { type Context, contextFor } from '../context/index.ts'
import { writeCsv } from '../formats/index.ts'
import {
  type Bill,
  billOf,
  type BuyPlan,
  buyPlan,
  type Chance,
  chanceOf,
  type Cost,
  costOf,
  type CostLine,
  costOfLines,
  isPriced,
  type PlanPiece,
  plainRules,
  type TierLine,
  tierLines,
} from '../money/index.ts'

/** A part that could be bought instead, what it saves, and what is lost with it. */
export interface Instead {
  readonly part: Part
  readonly savesMinor: number
  readonly savesG: number
  /** What 100 g less cost, minor units; undefined when it is not lighter or not dearer. */
  readonly per100GMinor: number | undefined
  /** Empty: it does the same for this job. */
  readonly losses: readonly string[]
}

/** All that is to be said about the money of a rig, over all its set-ups. */
export interface MoneyPicture {
  readonly cost: Cost
  readonly bill: { readonly low: Bill; readonly usual: Bill; readonly high: Bill }
  readonly chance: Chance
  /** No rate from the currency of the prices to the rig's is known: nothing has a price. */
  readonly noRate: boolean
  readonly tiers: readonly TierLine[]
  readonly plan: BuyPlan
  /** Where each piece to buy sits first, for what could stand in its place. */
  readonly places: ReadonlyMap<string, PlacedPart>
}

const assembliesOf = (rig: Rig, context: Context): readonly Assembly[] =>
  rig.setups.map((setup) => placeSetup(rig, setup, context.catalogue))

/** Pieces kept in view but not in the plan, with what they would cost. */
const consideredLines = (rig: Rig, context: Context): readonly CostLine[] =>
  flatMap(rig.kit, ({ id, partId, status }) => {
    const part = context.catalogue.parts.get(partId)
    return status === 'considered' && part ? [{ instance: id, part, owned: false, ...part.price }] : []
  })

/**
 * Which set-ups do not work without a piece: those that have it on, or plugged in; spare packs and cards belong to all.
 */
const setupsOf = (instance: string, assemblies: readonly Assembly[]): readonly string[] => {
  const on = assemblies.filter(
    ({ byInstance, setup }) => byInstance.has(instance) || setup.links.some(({ cable }) => cable === instance),
  )
  return (on.length > 0 ? on : assemblies).map(({ setup }) => setup.id)
}

/** What one has anyway or rents: a bill is often asked for without it. */
const BODY: ReadonlySet<string> = new Set(['camera', 'lens'])

/**
 * The money of a rig: its bill, tiers with their running sum, and the plan of what to buy when.
 * @param from the first month of the plan, `YYYY-MM`
 * @param withBody camera and lenses in all of it, or in none of it
 */
export const moneyOf = (rig: Rig, given: Context, from: string, withBody = true): MoneyPicture => {
  const context = contextFor(rig, given)
  const assemblies = assembliesOf(rig, context)
  const counts = ({ part }: CostLine) => withBody || !BODY.has(part.role)
  const cost = costOfLines(costOf(rig, context.catalogue, context.owned).lines.filter(counts))
  const rules = context.rules ?? plainRules
  const needs = new Set(needsOf(rig.brief).map(({ capability }) => capability))
  const pieceOf = ({ instance, usual }: CostLine): PlanPiece => ({
    id: instance,
    costMinor: usual,
    setups: setupsOf(instance, assemblies),
  })
  const pieces = cost.lines.filter(({ owned, usual }) => !owned && usual > 0).map(pieceOf)
  const waiting = new Set(flatMap(cost.unpriced.map(pieceOf), (piece) => piece.setups))
  const setups = rig.setups.map(({ id, weight, neededBy }) => ({ id, weight: weight ?? 10, neededBy }))
  const plan = buyPlan(pieces, setups, rig.brief.budgetMinor, rig.brief.monthlyMinor, from)
  const places = new Map<string, PlacedPart>()
  for (const { placed } of assemblies)
    for (const piece of placed) if (!places.has(piece.instance.id)) places.set(piece.instance.id, piece)
  return {
    cost,
    bill: { low: billOf(cost.low, rules), usual: billOf(cost.usual, rules), high: billOf(cost.high, rules) },
    chance: chanceOf(cost, rig.brief.budgetMinor, context),
    noRate: context.pricedIn?.noRate ?? false,
    tiers: tierLines(cost, assemblies, needs, consideredLines(rig, context).filter(counts)),
    plan: {
      ...plan,
      order: plan.order.map((one) => (waiting.has(one.setup) ? { ...one, month: undefined } : one)),
      unbought: [...plan.unbought, ...cost.unpriced.map(({ instance }) => instance)],
      months: plan.months.map((month) => ({ ...month, works: month.works.filter((id) => !waiting.has(id)) })),
    },
    places,
  }
}

/**
 * Parts that go where a piece of a rig sits and cost less or weigh less: those that lose nothing first, then the most
 * saved.
 */
export const insteadOf = (rig: Rig, piece: PlacedPart, given: Context, most = 4): readonly Instead[] => {
  const context = contextFor(rig, given)
  const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !mount) return []
  const host = { part: piece.host.part, mount }
  return (
    (context.catalogue.byRole.get(piece.part.role) ?? [])
      .filter((part) => part.id !== piece.part.id && part.mounts.some((own) => mate(host, { part, mount: own }).ok))
      // What nobody has priced saves nothing one could name.
      .filter((part) => isPriced(part) || (context.owned.get(part.id) ?? 0) > 0)
      .map((part): Instead => {
        const owned = (context.owned.get(part.id) ?? 0) > 0
        const savesMinor = piece.part.price.usual - (owned ? 0 : part.price.usual)
        const savesG = piece.part.massG - part.massG
        return {
          part,
          savesMinor,
          savesG,
          per100GMinor: savesG > 0 && savesMinor < 0 ? Math.round((-savesMinor * 100) / savesG) : undefined,
          losses: lossesOf(piece.part, part),
        }
      })
      .filter(({ savesMinor, savesG }) => savesMinor > 0 || savesG > 0)
      .sort(
        (a, b) =>
          Number(a.losses.length > 0) - Number(b.losses.length > 0) ||
          b.savesMinor - a.savesMinor ||
          (a.part.id < b.part.id ? -1 : 1),
      )
      .slice(0, most)
  )
}

/** A box of several parts instead of pieces bought one by one. */
export interface Box {
  readonly part: Part
  /** The piece whose place its main part would take. */
  readonly instance: string
  readonly commands: readonly Command[]
  /** Less than nothing: the box is dearer. */
  readonly savesMinor: number
  /** What of it the kit has use for, and what would lie in the drawer. */
  readonly used: readonly Part[]
  readonly unused: readonly Part[]
}

/**
 * Boxes that could stand in for something still to buy, the most saved first: main part that loses nothing, and the
 * rest counted once.
 */
export const boxesFor = (rig: Rig, given: Context): readonly Box[] => {
  const context = contextFor(rig, given)
  const now = costOf(rig, context.catalogue, context.owned)
  const boxes = offeredParts(context.catalogue).filter(({ includes }) => (includes?.length ?? 0) > 0)
  return flatMap(boxes, (part): Box[] =>
    flatMap(
      now.lines.filter(
        (line) =>
          !line.owned &&
          line.part.id !== part.id &&
          line.part.role === part.role &&
          lossesOf(line.part, part).length === 0,
      ),
      ({ instance }): Box[] => {
        const commands = swapCommands(rig, instance, part, context.catalogue)
        const edited = commands.some((command) => command.do === 'take-off')
          ? undefined
          : edit(rig, commands, context.catalogue)
        if (!edited?.ok) return []
        const then = costOf(edited.value, context.catalogue, context.owned)
        const used = then.lines.filter(({ inBoxOf }) => inBoxOf === instance).map((line) => line.part)
        const left = used.map(({ id }) => id)
        const unused = flatMap(part.includes ?? [], (id) => {
          const at = left.indexOf(id)
          if (at >= 0) left.splice(at, 1)
          const known = at < 0 ? context.catalogue.parts.get(id) : undefined
          return known ? [known] : []
        })
        return [{ part, instance, commands, savesMinor: now.usual - then.usual, used, unused }]
      },
    ),
  ).sort((a, b) => b.savesMinor - a.savesMinor || (a.part.id < b.part.id ? -1 : 1))
}

/** The shopping list as CSV, in the order of the plan. */
export const shoppingCsv = ({ tiers, plan }: MoneyPicture): string => {
  const monthOf = new Map(flatMap(plan.months, ({ month, buys }) => buys.map((id) => [id, month] as const)))
  /** What nobody knows is left blank, not nought. */
  const major = (minor: number, line: CostLine) => (line.high === 0 ? '' : (minor / 100).toFixed(2))
  return writeCsv(
    ['month', 'tier', 'part', 'maker', 'low', 'usual', 'high', 'mass (g)'],
    [...tiers]
      .filter(({ line }) => line.inBoxOf === undefined)
      .sort((a, b) => (monthOf.get(a.line.instance) ?? '9999').localeCompare(monthOf.get(b.line.instance) ?? '9999'))
      .map(({ line, tier }) => [
        monthOf.get(line.instance) ?? '',
        tier,
        line.part.name,
        line.part.maker,
        major(line.low, line),
        major(line.usual, line),
        major(line.high, line),
        line.part.massG,
      ]),
  )
}
