import type { PlacedPart } from '../assembly/index.ts'
import { standRoles } from '../balance/index.ts'
import { buildSheetOf, changeoverOf } from '../build-order/index.ts'
import type { Part, Role } from '../catalogue/index.ts'
import { paceOf } from '../checks/index.ts'
import { type Bounds, emptyBounds, unite, flatMap } from '../kernel/index.ts'
import { type Dims, dimsOf, type PackBag, partDims, stow } from './stow.ts'
import { toolPlacesOf } from './tools.ts'
import { airBand, batteryKind, type KindUse } from '../power/index.ts'
import type { Assessment } from './evaluate.ts'

/** In which order a bag is packed: the rig that stands built first, tools and weather last. */
export const packGroups = ['rig', 'pieces', 'glass', 'power', 'media', 'leads', 'tools', 'weather'] as const
export type PackGroup = (typeof packGroups)[number]

export const packNotes = [
  'built',
  'to-full',
  'no-charger',
  'ends',
  'ask-airline',
  'not-by-air',
  'holds',
  'short-packs',
  'short-cards',
  'day-takes',
  'spare-of',
  'no-spare',
  'used-in',
  'day-lens',
  'remember',
  'tool-rig',
  'tool-bag',
  'tool-locker',
  'tool-pocket',
  'tool-missing',
] as const
export interface PackNote {
  readonly code: (typeof packNotes)[number]
  readonly numbers: Readonly<Record<string, number>>
  readonly names: Readonly<Record<string, string>>
}

/** One thing to put in a bag, and to tick. */
export interface PackLine {
  readonly key: string
  readonly group: PackGroup
  readonly name: string
  readonly partId: string | undefined
  readonly count: number
  /** All of them together; 0 for what is no part of the kit. */
  readonly grams: number
  readonly notes: readonly PackNote[]
  /** The bag or case it goes into; undefined where the kit has none, or none that is long enough. */
  readonly bag: string | undefined
}

/** A line that is not stowed yet. */
interface Line extends Omit<PackLine, 'bag'> {
  readonly dims?: Dims
  readonly isBattery?: boolean
}

export interface PackList {
  readonly lines: readonly PackLine[]
  readonly grams: number
  /** The bags and cases of the kit, the largest first. */
  readonly bags: readonly PackBag[]
  /** Parts of the kit that no chosen set-up uses and that are no spares. */
  readonly home: readonly string[]
}

const groupOf = (role: Role): PackGroup => {
  if (role === 'battery' || role === 'charger') return 'power'
  if (role === 'card' || role === 'drive') return 'media'
  if (role.endsWith('-cable')) return 'leads'
  if (role === 'lens' || role === 'filter' || role === 'step-ring' || role === 'cap' || role === 'lens-adapter')
    return 'glass'
  return role === 'tool' ? 'tools' : 'pieces'
}
/** What goes along though no set-up holds it: it is what the day is changed, filled and lit with. */
const along: ReadonlySet<Role> = new Set([
  'battery',
  'charger',
  'card',
  'drive',
  'lens',
  'filter',
  'step-ring',
  'cap',
  'tool',
  'power-cable',
  'video-cable',
  'audio-cable',
  'data-cable',
])

const note = (code: PackNote['code'], numbers: PackNote['numbers'] = {}, names: PackNote['names'] = {}): PackNote => ({
  code,
  numbers,
  names,
})

/** What a condition of the brief wants in the bag that is no part of the kit. */
const reminders: Readonly<Record<string, readonly string[]>> = {
  spray: ['rain cover', 'two dry cloths'],
  cold: ['an inner pocket for the packs'],
  dark: ['a head torch'],
  flight: ['bags for loose batteries, in the hand luggage'],
}

/** Nothing to speak of: a coin, a cloth, what is not there yet. */
const FLAT: Dims = [0, 0, 0]

/** The two connectors of a lead, whichever way round. */
const endsOf = ({ cable }: Part): string => (cable ? [cable.a.connector, cable.b.connector].sort().join(' ') : '')

/** What records too little for the day in any of its set-ups, each once, where it is shortest. */
const shortCardsOf = (day: readonly Assessment[]) => {
  const worst = new Map<string, { id: string; name: string; neededGb: number; gb: number }>()
  for (const { facts } of day)
    for (const { piece, neededGb, media } of facts.recordings) {
      const gb = media.reduce((sum, one) => sum + one.gb, 0)
      const before = worst.get(piece.instance.id)
      if (neededGb > gb && neededGb - gb > (before ? before.neededGb - before.gb : 0))
        worst.set(piece.instance.id, { id: piece.instance.id, name: piece.part.name, neededGb, gb })
    }
  return [...worst.values()]
}

/**
 * What to pack for a day on which some set-ups are used: the first stands built in the bag, what the others want besides,
 * what the day is changed and filled with, tools and weather.
 * @param day the set-ups in the order in which they are used; the first is the one that is packed built
 */
export const packListOf = (day: readonly Assessment[]): PackList => {
  const [first] = day
  if (!first) return { lines: [], grams: 0, bags: [], home: [] }
  const { rig, facts } = first
  const { catalogue } = facts.context
  const stands = (piece: PlacedPart) => standRoles.has(piece.part.role)
  const built = first.assembly.placed.filter((piece) => !stands(piece))
  const packed = new Set([
    ...built.map(({ instance }) => instance.id),
    ...first.facts.leads.map(({ link }) => link.cable),
  ])
  const usedIn = new Map<string, string[]>()
  for (const { assembly } of day) {
    const ids = [
      ...assembly.placed.map(({ instance }) => instance.id),
      ...assembly.off.map(({ piece }) => piece.instance.id),
      ...assembly.setup.links.map(({ cable }) => cable),
    ]
    for (const id of ids) usedIn.set(id, [...(usedIn.get(id) ?? []), assembly.setup.name])
  }
  const kit = flatMap(rig.kit, (instance) => {
    const part = catalogue.parts.get(instance.partId)
    return part && instance.status === 'in' ? [{ instance, part }] : []
  })
  const rest = kit.filter(({ instance }) => !packed.has(instance.id))
  const goes = rest.filter(
    ({ instance, part }) => part.role !== 'case' && (usedIn.has(instance.id) || along.has(part.role)),
  )
  const home = rest.filter((one) => !goes.includes(one) && one.part.role !== 'case')
  const leadMass = first.facts.leads.reduce((sum, { part, onRig }) => sum + part.massG * (onRig > 0 ? 1 : 0), 0)
  const builtG = built.reduce((sum, { part }) => sum + part.massG, leadMass)
  const chargeMin = new Map(facts.day.kinds.map((use) => [use.kind, use.chargeMin]))
  // The set-up that takes most of a kind decides how many go along.
  const uses = new Map<string, KindUse>()
  for (const one of day)
    for (const use of one.facts.day.kinds) {
      const known = uses.get(use.kind)
      if (!known || use.needed > known.needed) uses.set(use.kind, use)
    }
  const flies = rig.brief.conditions.includes('flight')

  const notesOf = (part: Part, count: number, ids: readonly string[]): readonly PackNote[] => {
    const notes: PackNote[] = []
    const { store } = part.power ?? {}
    if (store) {
      const minutes = chargeMin.get(batteryKind(part) ?? '')
      if (minutes !== undefined)
        notes.push(Number.isFinite(minutes) ? note('to-full', { minutes }) : note('no-charger'))
      const use = uses.get(batteryKind(part) ?? '')
      if (use && use.needed <= use.have)
        notes.push(note('day-takes', { needed: use.needed, spare: use.have - use.needed }))
      notes.push(note('ends'))
      const band = airBand(store.capacityWh)
      if (flies && band !== 'carry')
        notes.push(note(band === 'ask' ? 'ask-airline' : 'not-by-air', { wh: store.capacityWh }))
    }
    const gb = part.media?.stores?.gb
    if (gb) notes.push(note('holds', { gb: gb * count }))
    const where = [...new Set(flatMap(ids, (id) => usedIn.get(id) ?? []))]
    if (where.length > 0 && !store) notes.push(note('used-in', {}, { setups: where.join(', ') }))
    const twin = part.cable && first.facts.leads.find((run) => endsOf(run.part) === endsOf(part))
    if (twin && where.length === 0) notes.push(note('spare-of', {}, { lead: twin.part.name }))
    return notes
  }
  const byPart = new Map<Part, string[]>()
  for (const { instance, part } of goes) byPart.set(part, [...(byPart.get(part) ?? []), instance.id])
  const lines: Line[] = [
    {
      key: `rig ${first.assembly.setup.id}`,
      group: 'rig',
      name: `Rig, built: ${first.assembly.setup.name}`,
      partId: undefined,
      count: 1,
      grams: builtG,
      dims: dimsOf(built.reduce<Bounds>((all, { bounds }) => unite(all, bounds), emptyBounds)),
      notes: [note('built', { count: built.length })],
    },
    ...[...byPart].map(([part, ids]): Line => ({
      key: `part ${part.id}`,
      group: groupOf(part.role),
      name: part.name,
      partId: part.id,
      count: ids.length,
      grams: part.massG * ids.length,
      dims: partDims(part),
      isBattery: part.power?.store !== undefined,
      notes: notesOf(part, ids.length, ids),
    })),
  ]
  // The lenses of the day, as far as none of them is a piece of the kit.
  for (const { partId } of rig.brief.lenses) {
    const part = catalogue.parts.get(partId)
    if (part && !kit.some((one) => one.part === part))
      lines.push({
        key: `part ${part.id}`,
        group: 'glass',
        name: part.name,
        partId,
        count: 1,
        grams: part.massG,
        dims: partDims(part),
        notes: [note('day-lens')],
      })
  }
  for (const { kind, needed, have } of uses.values()) {
    const pack = [...catalogue.parts.values()].find(
      (part) => batteryKind(part) === kind && kit.some((one) => one.part === part),
    )
    if (needed <= have || !Number.isFinite(needed)) continue
    lines.push({
      key: `short ${kind}`,
      group: 'power',
      name: `${needed - have} more ${pack?.name ?? kind}`,
      partId: pack?.id,
      count: needed - have,
      grams: 0,
      notes: [note('short-packs', { needed, have })],
    })
  }
  for (const { name, id, neededGb, gb } of shortCardsOf(day))
    lines.push({
      key: `short cards ${id}`,
      group: 'media',
      name: `Cards for ${name}`,
      partId: undefined,
      count: 1,
      grams: 0,
      notes: [note('short-cards', { neededGb: Math.ceil(neededGb), gb })],
    })
  // The picture lead at the camera is the one that fails first: it lives on the socket that is touched most.
  const picture = first.facts.leads.find(
    ({ cable, from }) => cable.carries.includes('picture') && from.piece.part.role === 'camera',
  )
  if (picture && !rest.some(({ part }) => part.cable && endsOf(part) === endsOf(picture.part)))
    lines.push({
      key: `spare ${endsOf(picture.part)}`,
      group: 'leads',
      name: `A second ${picture.part.name}`,
      partId: undefined,
      count: 1,
      grams: 0,
      notes: [note('no-spare')],
    })
  const pace = paceOf(facts.context)
  const tools = new Set(flatMap(day, ({ assembly, facts: own }) => buildSheetOf(assembly, own.leads, pace).tools))
  for (const from of day)
    for (const to of day) for (const tool of changeoverOf(from.assembly, to.assembly, pace).tools) tools.add(tool)
  for (const { tool, at, part } of toolPlacesOf(day, [...tools].sort()))
    lines.push({
      key: `tool ${tool}`,
      group: 'tools',
      name: tool,
      // Where it lies is the locker's word.
      partId: at === 'locker' ? part?.id : undefined,
      count: 1,
      grams: 0,
      notes: [note(`tool-${at}`, {}, { part: part?.name ?? '' })],
    })
  for (const condition of rig.brief.conditions)
    for (const name of reminders[condition] ?? [])
      lines.push({
        key: `weather ${name}`,
        group: 'weather',
        name,
        partId: undefined,
        count: 1,
        grams: 0,
        notes: [note('remember')],
      })
  const cases = kit.filter(({ part }) => part.role === 'case').map(({ instance: { id }, part }) => ({ key: id, part }))
  const ordered = flatMap(packGroups, (group) => lines.filter((line) => line.group === group))
  const { bags, into } = stow(
    ordered.map(({ key, count, grams, dims = FLAT, isBattery = false }) => ({
      key,
      count,
      grams,
      dims,
      // By air loose packs stay with the traveller.
      byHand: flies && isBattery,
    })),
    cases,
  )
  return {
    lines: ordered.map(({ dims: _, isBattery: __, ...line }) => ({ ...line, bag: into.get(line.key) })),
    grams: lines.reduce((sum, { grams }) => sum + grams, 0),
    bags,
    home: home.map(({ part }) => part.name),
  }
}
