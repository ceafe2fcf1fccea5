import { flatMap } from '../kernel/index.ts'
import { adapterChains, chainCommands, type Command, type PlacedPart } from '../assembly/index.ts'
import { mountOf, offeredParts, type Part, roles } from '../catalogue/index.ts'
import {
  type Aim,
  bothOf,
  byReadiness,
  eachOf,
  type Finding,
  findingsOfCheck,
  type PartsWanted,
  rivals,
  troubleOf,
  type Remedy,
} from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { figuresAfter } from './after.ts'
import { movedTo, placeMade, putOn, slidTo, swappedIn, takenAlong, takenOff, turnedTo } from './seats.ts'
import {
  handedOn,
  joined,
  otherLeads,
  packed,
  platedBattery,
  replugged,
  saved,
  seatedBattery,
  unplugged,
} from './wires.ts'

type Aimed<D extends Aim['do']> = Extract<Aim, { readonly do: D }>
type Carriers = {
  readonly [D in Aim['do']]: (facts: Facts, aim: Aimed<D>, finding: Finding) => Iterable<Remedy | undefined>
}

/** So many parts of a role are looked at for the place of one, where the rule doesn't say. */
const TRIED = 12

/** Parts by what they are like, the readiest first; or those that are named, in their order. */
const partsFor = (
  known: (wanted: (part: Part) => boolean) => readonly Part[],
  wanted: PartsWanted,
  tried: number,
): Iterable<Part> => (typeof wanted === 'function' ? known(wanted).slice(0, tried) : wanted)

const railOf = (part: Part): number | undefined => part.mounts.find(({ lengthMm }) => lengthMm !== undefined)?.lengthMm

/** Rods for others: what rides on them stays where it is in space, or one piece goes ahead as far as the new ones let it. */
const swappedUnder = (
  { assembly: { setup, placed } }: Facts,
  rods: PlacedPart,
  to: Part,
  riders: NonNullable<Aimed<'swap'>['riders']>,
): Remedy => {
  const set = (piece: PlacedPart, slideMm: number): Command => ({
    do: 'set',
    setup: setup.id,
    instance: piece.instance.id,
    slideMm,
  })
  // The rail's zero is its middle: on another length all slides by half the difference to stay where it is.
  const byMm = ((railOf(rods.part) ?? 0) - (railOf(to) ?? 0)) / 2
  const ahead = riders === 'stay' ? undefined : riders.ahead
  const farMm = ahead && mountOf(to, ahead.joint?.hostMount ?? '')?.travel?.maxMm
  const slides =
    ahead && farMm !== undefined
      ? [set(ahead, farMm)]
      : flatMap(placed, (piece) => (piece.host === rods && piece.joint ? [set(piece, piece.joint.slideMm + byMm)] : []))
  return {
    text: 'swap the {role} for {part}',
    numbers: {},
    names: { role: roles[rods.part.role].title, part: to.name },
    commands: [{ do: 'swap', instance: rods.instance.id, partId: to.id }, ...slides],
  }
}

/** A clamp on one of the points nearest to a lead's first plug, with the lead laid through it. */
const clamped = function* (facts: Facts, part: Part, { from, link }: NonNullable<Aimed<'add'>['holds']>) {
  const away = (at: readonly number[]) => Math.hypot(...at.map((value, i) => value - (from.at[i] ?? 0)))
  const points = facts.points.filter(({ open }) => open).sort((a, b) => away(a.at) - away(b.at))
  for (const point of points.slice(0, NEAREST)) {
    const put = putOn(facts, part, [point])
    const placed = put?.commands.find((command) => command.do === 'place')
    if (!put || placed?.do !== 'place') continue
    const through = [placed.joint.guest, ...link.through]
    const lay: Command = { do: 'link', setup: facts.assembly.setup.id, link: { ...link, through } }
    yield { ...put, text: 'put on {part}, at {point}, and lay the lead through it', commands: [...put.commands, lay] }
  }
}
const NEAREST = 6

const leftOut = ({ instance, part }: Aimed<'leave-out'>): Remedy => ({
  text: part ? 'leave out {part}' : 'leave it out of the kit',
  numbers: {},
  names: part ? { part: part.name } : {},
  commands: [{ do: 'discard', instance }],
})

/** How each kind of move is carried out, as far as one set-up tells: nothing of it was judged. */
const carriers: Carriers = {
  slide: (facts, { piece, slideMm, ...how }) => [slidTo(facts, piece, slideMm, how)],
  turn: (facts, { piece, toDeg }) => eachOf(toDeg, (deg) => turnedTo(facts, piece, deg)),
  move: (facts, { piece, to }) => [movedTo(facts, piece, to)],
  swap: (facts, { piece, for: wanted, riders, tried = TRIED }) =>
    eachOf(
      partsFor((isWanted) => rivals(facts, piece, isWanted), wanted, tried),
      (part) => (riders ? swappedUnder(facts, piece, part, riders) : swappedIn(facts, piece, part)),
    ),
  exchange: (_, { instance, from, part }) => [
    {
      text: 'swap the {role} for {part}',
      numbers: {},
      names: { role: roles[from.role].title, part: part.name },
      commands: [{ do: 'swap', instance, partId: part.id }],
    },
  ],
  add: function* (facts, { parts, at, made, holds, supports, tried = TRIED }) {
    const known = (isWanted: (part: Part) => boolean) =>
      offeredParts(facts.context.catalogue).filter(isWanted).sort(byReadiness(facts))
    for (const part of partsFor(known, parts, tried))
      for (const put of holds
        ? clamped(facts, part, holds)
        : [putOn(facts, part, at) ?? (made ? placeMade(facts, part) : undefined)])
        yield put && supports ? { ...put, kind: 'support' } : put
  },
  along: (facts, { choices }) => eachOf(choices, (parts) => parts && takenAlong(facts, parts)),
  pack: (facts, { choices }) => eachOf(choices, ({ part, count }) => packed(facts, part, count)),
  lens: ({ assembly: { rig } }, { part }) => [
    {
      text: 'take {part} along',
      numbers: {},
      names: { part: part.name },
      commands: [
        { do: 'brief', brief: { ...rig.brief, lenses: [...rig.brief.lenses, { partId: part.id, share: 0 }] } },
      ],
    },
  ],
  lead: (facts, { run, wanted }) => otherLeads(facts, run, wanted),
  join: function* (facts, { demand }) {
    const leads = joined(facts, demand)
    yield* leads
    if (leads.length === 0) yield* handedOn(facts, demand)
  },
  replug: (facts, { run }) => replugged(facts, run),
  unplug: (facts, { run }) => [unplugged(facts, run)],
  battery: (facts, { piece }) => seatedBattery(facts, piece),
  'plate-battery': (facts, { demand }) => platedBattery(facts, demand),
  saver: (facts, { run, end }) => saved(facts, run, end),
  bridge: function* ({ assembly: { rig, setup }, context: { catalogue, owned } }, { piece: { host, joint, part } }) {
    const hostMount = host && joint && mountOf(host.part, joint.hostMount)
    const guestMount = joint && mountOf(part, joint.guestMount)
    if (!host || !hostMount || !guestMount) return
    const ends = [
      { part: host.part, mount: hostMount },
      { part, mount: guestMount },
    ] as const
    for (const chain of adapterChains(...ends, catalogue, owned))
      yield {
        text: 'add {adapters}',
        numbers: {},
        names: { adapters: chain.links.map((link) => link.part.name).join(' + ') },
        commands: chainCommands(rig, setup.id, joint, chain),
      }
  },
  unbrace: ({ assembly: { setup } }, { guest, host }) => [
    {
      text: 'undo the brace of {part}',
      numbers: {},
      names: { part: guest.part.name },
      commands: [{ do: 'unbrace', setup: setup.id, guest: guest.instance.id, host: host.instance.id }],
    },
  ],
  'take-off': (facts, { piece }) => [takenOff(facts, piece)],
  'set-aside': ({ assembly: { setup } }, { piece: { instance, part } }) => [
    {
      text: 'leave out {part}',
      numbers: {},
      names: { part: part.name },
      commands: [
        { do: 'take-off', setup: setup.id, instance: instance.id },
        { do: 'status', instance: instance.id, status: 'considered' },
      ],
    },
  ],
  'leave-out': (_, aim) => [leftOut(aim)],
  relay: (facts, { through }, finding) => relayed(facts, finding, through),
  any: function* (facts, { of }, finding) {
    for (const aim of of) yield* carriedOut(facts, aim, finding)
  },
}

/** Leads for a pair of sockets are proposed by twos: the second may be there when the first is not. */
const mostOf = ({ do: kind, most }: Aim): number => most ?? (kind === 'lead' ? 2 : 1)

/** What an aim comes to: edits that can be done, and reach it where it says when it is reached; made as far as it is read. */
const carriedOut = function* (facts: Facts, aim: Aim, finding: Finding): Generator<Remedy> {
  const carry = carriers[aim.do] as (facts: Facts, aim: Aim, finding: Finding) => Iterable<Remedy | undefined>
  let left = mostOf(aim)
  for (const remedy of carry(facts, aim, finding)) {
    if (!remedy) continue
    const after = aim.until && figuresAfter(facts, remedy.commands)
    if (aim.until && !(after && aim.until(after))) continue
    yield remedy
    if (--left === 0) return
  }
}

/** What the rule that speaks would do about it itself, in its order. Nothing of it was judged. */
export const namedWays = (finding: Finding): Generator<Remedy> => waysNamed(finding, () => true)

const waysNamed = function* (finding: Finding, wanted: (aim: Aim) => boolean): Generator<Remedy> {
  const { aims } = finding
  if (aims) for (const aim of aims.list) if (wanted(aim)) yield* carriedOut(aims.facts, aim, finding)
}

/** Something put on that passes on what is wanted, with the lead that the rule asks for once it is there. */
export const relayed = function* (facts: Facts, finding: Finding, through: (part: Part) => boolean): Generator<Remedy> {
  const parts = offeredParts(facts.context.catalogue).filter(through).sort(byReadiness(facts))
  for (const part of parts.slice(0, MOST_RELAYS)) {
    const put = putOn(facts, part) ?? placeMade(facts, part)
    const after = put && figuresAfter(facts, put.commands)
    const left = after && findingsOfCheck(after, finding.check).find((one) => troubleOf(one) === troubleOf(finding))
    // A relay that would need another relay is none: one goes without end into the next.
    const [lead] = left ? waysNamed(left, (aim) => aim.do !== 'relay') : []
    if (put && lead) yield bothOf(put, lead)
  }
}
const MOST_RELAYS = 8
