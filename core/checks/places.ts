import {
  type Assembly,
  type Command,
  edit,
  freshId,
  guestsOf,
  type PlacedPart,
  piecesIn,
  placeSetup,
  type Point,
  type Rig,
  ridesOn,
  seatingsAt,
  type Support,
  swapCommands,
} from '../assembly/index.ts'
import { inHand, type JointLoad } from '../balance/index.ts'
import { mate, type Part, roles } from '../catalogue/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import { numberOf, perKey, perThing } from '../kernel/index.ts'
import { comparedMinor } from '../money/index.ts'
import { goesBefore, sizeOn, stepChain, stepOf } from '../optics/index.ts'
import type { Level, Remedy } from './check.ts'
import { isFirm, type Sees, takenFrom } from '../facts/index.ts'

/** Does the locker hold one more of this part than the rig already uses? */
export const spareOwned = (facts: Sees, part: Part): boolean => {
  const pieces = facts.context.owned.get(part.id) ?? 0
  return pieces > 0 && pieces > (plannedOf(facts.assembly.rig.kit).get(part.id) ?? 0)
}

/** How many of each part are in the plan. */
const plannedOf = perThing('parts in the plan', (kit: Rig['kit']): ReadonlyMap<string, number> => {
  const count = new Map<string, number>()
  for (const { partId, status } of kit) if (status === 'in') count.set(partId, (count.get(partId) ?? 0) + 1)
  return count
})

/** Owned first, then cheaper, then lighter, then by id: the order in which parts are proposed everywhere. */
export const byReadiness =
  (facts: Sees) =>
  (a: Part, b: Part): number =>
    Number(spareOwned(facts, b)) - Number(spareOwned(facts, a)) ||
    comparedMinor(a) - comparedMinor(b) ||
    a.massG - b.massG ||
    (a.id < b.id ? -1 : 1)

/** Is this set-up borne by the operator, not by a stand? */
export const isCarried = (support: Support): boolean => support !== 'tripod' && support !== 'gimbal'
export const carried = ({ assembly }: Sees): boolean => isCarried(assembly.setup.support)

/** Does this set-up hang from one hand? With two hands, on the chest or the shoulder the grips share it otherwise. */
export const hangs = ({ assembly }: Sees): boolean => assembly.setup.support === 'hand-low'

/** Does nothing sit on this piece? */
export const isLeaf = (facts: Sees, piece: PlacedPart): boolean => !guestsOf(facts.assembly.placed).has(piece)

const sitsOn = (piece: PlacedPart, point: Point): boolean =>
  piece.host === point.piece && piece.joint?.hostMount === point.mount.id

/**
 * Moves a piece to the open point where its role works and it sits clear of everything, the nearest first; undefined when there is none.
 */
export const moveRemedy = (
  facts: Sees<'points'>,
  piece: PlacedPart,
  wanted: (point: Point) => boolean,
): Remedy | undefined => {
  const { setup } = facts.assembly
  const others = facts.assembly.placed.filter((other) => !ridesOn(other, piece))
  const near = (point: Point) => Math.hypot(...point.at.map((value, i) => value - (piece.centre[i] ?? 0)))
  const points = facts.points
    .filter((point) => point.open && !ridesOn(point.piece, piece) && !sitsOn(piece, point) && wanted(point))
    .sort((a, b) => near(a) - near(b))
  for (const point of points)
    for (const seating of seatingsAt(point, piece.instance, piece.part))
      if (clashWith(seating.piece, others) === 0 && suitsRole(facts.assembly, seating.piece))
        return {
          text: 'move to {point}',
          numbers: {},
          names: { point: pointName(point) },
          commands: [{ do: 'place', setup: setup.id, joint: seating.joint }],
        }
  return undefined
}

export const pointName = (point: Pick<Point, 'piece' | 'mount'>): string =>
  point.mount.label ?? `${point.piece.part.name}, ${point.mount.id}`

export const takeOffRemedy = (facts: Sees, piece: PlacedPart): Remedy => ({
  text: 'take off {part}',
  numbers: {},
  names: { part: piece.part.name },
  commands: [{ do: 'take-off', setup: facts.assembly.setup.id, instance: piece.instance.id }],
})

/** A rig after a swap, where the new part can really be put in: in every set-up it mates, clashes no more, loses nobody. */
export const afterSwap = (
  facts: Sees,
  piece: PlacedPart,
  to: Part,
): { readonly rig: Rig; readonly commands: readonly Command[] } | undefined => {
  const { rig } = facts.assembly
  const { catalogue } = facts.context
  const commands = swapCommands(rig, piece.instance.id, to, catalogue)
  const edited = edit(rig, commands, catalogue)
  if (!edited.ok) return undefined
  const fits = rig.setups.every((setup) => {
    const now = edited.value.setups.find(({ id }) => id === setup.id)
    if (!now || now.joints.length < setup.joints.length || now.links.length < setup.links.length) return false
    if (setup.id !== facts.assembly.setup.id && !setup.joints.some(({ guest }) => guest === piece.instance.id))
      return true
    const before = setup.id === facts.assembly.setup.id ? facts.assembly : placeSetup(rig, setup, catalogue)
    const after = placeSetup(edited.value, now, catalogue)
    const [old, swapped] = [before.byInstance.get(piece.instance.id), after.byInstance.get(piece.instance.id)]
    if (!old || !swapped) return !old
    const matesAs = (guest: PlacedPart) =>
      guest.mate?.ok !== false || before.byInstance.get(guest.instance.id)?.mate?.ok === false
    return after.placed.every(matesAs) && clashWith(swapped, after.placed) <= clashWith(old, before.placed)
  })
  return fits ? { rig: edited.value, commands } : undefined
}

/** Puts another part in the place of a piece, if that can be done in every set-up. */
export const swapRemedy = (facts: Sees, piece: PlacedPart, to: Part): Remedy | undefined => {
  const after = afterSwap(facts, piece, to)
  return (
    after && {
      text: 'swap the {role} for {part}',
      numbers: {},
      names: { role: roles[piece.part.role].title, part: to.name },
      commands: after.commands,
    }
  )
}

/**
 * The first place a new part can go where its role works and it touches nothing: the edits that add it and seat it there. @param at the
 * points that are looked at
 */
export const addRemedy = (
  facts: Sees<'points'>,
  part: Part,
  at: readonly Point[] = facts.points,
): Remedy | undefined => {
  const { rig, setup, placed } = facts.assembly
  const loose = facts.assembly.loose.find(({ instance }) => instance.partId === part.id)?.instance
  const instance = loose ?? { id: freshId(rig, part.id), partId: part.id, status: 'in' as const }
  const add: Command[] = loose ? [{ do: 'status', instance: loose.id, status: 'in' }] : [{ do: 'add', instance }]
  for (const point of at) {
    if (
      !point.open ||
      !part.mounts.some((mount) => mate({ part: point.piece.part, mount: point.mount }, { part, mount }).ok)
    )
      continue
    const seating = seatingsAt(point, instance, part).find(
      (option) => suitsRole(facts.assembly, option.piece) && clashWith(option.piece, placed) === 0,
    )
    if (seating)
      return {
        text: 'put on {part}, at {point}',
        numbers: {},
        names: { part: part.name, point: pointName(point) },
        commands: [...add, { do: 'place', setup: setup.id, joint: seating.joint }],
        kind: 'add',
      }
  }
  return undefined
}

/** Takes parts along without bolting them on: filters and adapters that wait in the bag. */
export const bagRemedy = (facts: Sees, parts: readonly Part[]): Remedy | undefined => {
  const ids: string[] = []
  for (const part of parts) ids.push(freshId(facts.assembly.rig, part.id, ids))
  return parts.length === 0
    ? undefined
    : {
        text: 'take {part} along',
        numbers: {},
        names: { part: parts.map(({ name }) => name).join(' and ') },
        commands: parts.map((part, i) => ({
          do: 'add',
          instance: { id: ids[i] ?? part.id, partId: part.id, status: 'in' },
        })),
      }
}

/** Pieces of the kit, on the rig or in the bag, that a predicate picks. */
export const kitThat = (
  { assembly }: Sees,
  wanted: (part: Part) => boolean,
): readonly { readonly id: string; readonly part: Part }[] =>
  piecesIn(assembly)
    .filter(({ part }) => wanted(part))
    .map(({ instance, part }) => ({ id: instance.id, part }))

/** The rings of the catalogue that lead from one thread to another, owned ones first. */
export const ringsBetween = (facts: Sees, fromMm: number, toMm: number): readonly Part[] | undefined => {
  const rings = facts.context.catalogue.byRole.get('step-ring') ?? []
  const chain = stepChain(
    fromMm,
    toMm,
    rings.flatMap((part) => stepOf(part, spareOwned(facts, part)) ?? []),
  )
  return chain?.ids.flatMap((id) => facts.context.catalogue.parts.get(id) ?? [])
}

const ways = perKey<Part, readonly Part[] | undefined>('filters before lenses')
/** What of the kit is along. */
const along = perThing('parts along', (kit: Rig['kit']): string =>
  kit.map(({ partId, status }) => `${partId} ${status}`).join(),
)

/** The parts that bring one filter before the mounted lens: itself, and the rings it takes. */
export const withRings = (facts: Sees, lens: Part, filter: Part): readonly Part[] | undefined => {
  const { kit } = facts.assembly.rig
  return ways(
    filter,
    `${numberOf(lens)} ${numberOf(facts.context.catalogue)} ${along(kit)} ${numberOf(facts.context.owned)}`,
    () => {
      const kept = kitThat(facts, () => true).map(({ part }) => part)
      if (goesBefore(filter, lens, kept)) return [filter]
      const [lensMm, filterMm] = [sizeOn(lens, 'filter'), sizeOn(filter, 'filter', 'sits')]
      const rings = lensMm !== undefined && filterMm !== undefined ? ringsBetween(facts, lensMm, filterMm) : undefined
      return rings && [...rings, filter]
    },
  )
}

/** Keeps the first few proposals that could be made. */
export const firstOf = (count: number, proposals: Iterable<Remedy | undefined>): readonly Remedy[] => {
  const found: Remedy[] = []
  for (const proposal of proposals) {
    if (proposal) found.push(proposal)
    if (found.length === count) break
  }
  return found
}

/** Pieces that meet no need by themselves and carry nothing: what can be left out, the first by the given order. */
export const dispensable = (facts: Sees<'needs'>): readonly PlacedPart[] => {
  const { placed } = facts.assembly
  const wanted = new Set(facts.needs.map((need) => need.capability))
  const hosts = new Set(placed.map((piece) => piece.host))
  return placed.filter((piece) => {
    if (hosts.has(piece) || !piece.host || !inHand(piece) || piece.part.role === 'lens') return false
    return piece.part.provides.every(
      (gift) => !wanted.has(gift) || placed.some((other) => other !== piece && other.part.provides.includes(gift)),
    )
  })
}

/** Maps a list only as far as it is read, since working out a proposal is dear. */
export const eachOf = function* <T>(
  list: readonly T[],
  propose: (item: T) => Remedy | undefined,
): Generator<Remedy | undefined> {
  for (const item of list) yield propose(item)
}

/** Does a second hold, at a brace that fits, keep a piece or something it carries from moving? */
export const isBraced = (assembly: Assembly, piece: PlacedPart): boolean =>
  assembly.braces.some((brace) => isFirm(brace) && ridesOn(brace.guest, piece) !== ridesOn(brace.host, piece))

const nothing: JointLoad = { far: 'guest', massG: 0, first: [0, 0, 0], momentNm: 0, twistNm: 0, holds: 1 }

/** What the joint of a piece has to carry: nothing for a piece that sits on nothing. */
export const loadOn = (facts: Sees<'loads'>, { instance }: PlacedPart): JointLoad =>
  takenFrom(facts, ({ loads }) => loads.get(instance.id) ?? nothing)

/** Over a maker's rating it is a stop, over the usual figure of the standard a risk. */
export const overLimit = ({ mate: made }: PlacedPart): { readonly message: 'over' | 'usual'; readonly level: Level } =>
  made?.ok && made.value.limitBy === 'maker' ? { message: 'over', level: 'stop' } : { message: 'usual', level: 'risk' }

/** How a finding says it: what hangs from the joint, or stands on it. */
export const loadWords = (
  piece: PlacedPart,
  { far }: JointLoad,
  support: Support,
): { readonly way: string; readonly what: string } => ({
  way: isCarried(support) ? 'hang' : 'stand',
  what: far === 'guest' ? piece.part.name : 'The rest of the rig',
})

/** Is the rig used on the move? */
export const onTheRun = ({ assembly }: Sees): boolean =>
  assembly.setup.support !== 'tripod' &&
  (assembly.rig.brief.kind === 'run-and-gun' || assembly.rig.brief.conditions.includes('running'))

/** Parts that could take a piece's place, the readiest first. */
export const rivals = (facts: Sees, piece: PlacedPart, wanted: (part: Part) => boolean): readonly Part[] =>
  [...(facts.context.catalogue.byRole.get(piece.part.role) ?? [])]
    .filter((part) => part.id !== piece.part.id && wanted(part))
    .sort(byReadiness(facts))

/** The first few swaps of a piece that can be done and clear the trouble. */
export const swapsThat = (
  facts: Sees,
  piece: PlacedPart,
  count: number,
  wanted: (part: Part) => boolean,
  cleared: (commands: readonly Command[]) => boolean = () => true,
): readonly Remedy[] =>
  firstOf(
    count,
    eachOf(rivals(facts, piece, wanted).slice(0, 12), (part) => {
      const remedy = swapRemedy(facts, piece, part)
      return remedy && cleared(remedy.commands) ? remedy : undefined
    }),
  )
