import {
  type Assembly,
  type Brace,
  type Command,
  type OffPart,
  offPlaceWords,
  pathToRoot,
  type PlacedPart,
  wayName,
} from '../assembly/index.ts'
import { standRoles } from '../balance/index.ts'
import type { Run } from '../cabling/index.ts'
import { type Kind, mountOf, standardOf, type Tool, toolName } from '../catalogue/index.ts'
import { scale, type Vec3, flatMap } from '../kernel/index.ts'
import { buildOrderOf, isHolding, type Joining } from './order.ts'
import { balanceOn, LEAD_KIND, leadRank, type Pace, POSE_SECONDS, usualPace } from './pace.ts'
import { type Setting, settingOf } from './setting.ts'

/** How firm a screw is made: by the fingers alone, nipped up with a coin, or with a key. */
export type Firmness = 'by hand' | 'nipped' | 'firm'
const firmness: Readonly<Record<Tool, Firmness>> = {
  fingers: 'by hand',
  lever: 'by hand',
  coin: 'nipped',
  'hex key': 'firm',
}

/** What is looked at once a step is done; by the sort of joint, or by what else was done. */
export type SheetCheck = Kind | 'pose' | 'hold' | 'lead' | 'stand' | 'off' | 'balance'

/** One thing to do while a rig is put together. */
export interface SheetStep {
  readonly do: 'join' | 'pose' | 'hold' | 'plug in' | 'stow' | 'balance'
  readonly instance: string
  readonly name: string
  /** What it goes on, and at which point there, as the part calls it. */
  readonly onto: string
  readonly at: string
  /** The way it comes, as unit directions in the rig's frame: to its joint, then into it; the same where it comes straight. */
  readonly comes?: { readonly first: Vec3; readonly last: Vec3; readonly lastMm: number }
  /** From which side it comes to its joint: the front, the back, above, below, the left, the right. */
  readonly side?: string
  /** It is joined in the hand, before what it goes on is on the rig. */
  readonly inHand?: boolean
  /** What was joined to it in the hand, and comes with it: pieces and their names. */
  readonly riders?: readonly { readonly instance: string; readonly name: string }[]
  readonly setting: Setting
  readonly tool: Tool
  readonly toolName: string
  readonly screw?: { readonly name: string; readonly lengthMm?: number | undefined }
  readonly firm: Firmness
  readonly seconds: number
  /** The kind of joint that its seconds are known by: a mounting standard, or a lead. */
  readonly timed?: string
  readonly check: SheetCheck
  /** Of a lead: what goes through it, first what matters first; what a source gives and what the other end bears, V. */
  readonly carries?: readonly string[]
  readonly volts?: { readonly gives: readonly [number, number]; readonly takes: readonly [number, number] | undefined }
  /** The edits that do it, on a rig that has all steps before it. */
  readonly commands: readonly Command[]
}

export interface BuildSheet {
  readonly steps: readonly SheetStep[]
  /** Pieces that have no way to their seats, and what locks them. */
  readonly knots: readonly { readonly instance: string; readonly name: string; readonly by: readonly string[] }[]
  /** Stated orders that this one breaks, since none keeps them: what comes after what it should come before. */
  readonly against: readonly { readonly instance: string; readonly name: string; readonly after: string }[]
  /** Pieces that do not go on what they sit on, and what rides on them: no order puts them on. */
  readonly unfit: readonly { readonly instance: string; readonly name: string }[]
  readonly seconds: number
  readonly tools: readonly string[]
  readonly toolChanges: number
}

const from: Readonly<Record<string, string>> = {
  forward: 'the back',
  back: 'the front',
  left: 'the right',
  right: 'the left',
  up: 'below',
  down: 'above',
}
const screwOf = ({ host, joint, part }: PlacedPart): SheetStep['screw'] => {
  if (!host || !joint) return undefined
  const mounts = [mountOf(host.part, joint.hostMount), mountOf(part, joint.guestMount)]
  const male = mounts.find((mount) => mount?.side === 'sits')
  if (!male || standardOf(male.standard).kind !== 'thread') return undefined
  return { name: standardOf(male.standard).title, lengthMm: male.screwMm }
}

const pointOf = ({ host, joint }: PlacedPart): string => {
  const mount = host && joint && mountOf(host.part, joint.hostMount)
  return mount ? (mount.label ?? mount.id) : ''
}

const joined = ({ setup, placed }: Assembly, { piece, path, inHand, riders }: Joining, pace: Pace): SheetStep => {
  const { off, freeMm, away } = path
  const along = placed.filter((other) => riders.includes(other))
  const place = ({ joint }: PlacedPart): readonly Command[] => (joint ? [{ do: 'place', setup: setup.id, joint }] : [])
  const mated = piece.mate?.ok ? piece.mate.value : undefined
  const screw = screwOf(piece)
  return {
    do: 'join',
    instance: piece.instance.id,
    name: piece.part.name,
    onto: piece.host?.part.name ?? '',
    at: pointOf(piece),
    comes: { first: scale(away, -1), last: scale(off, -1), lastMm: freeMm },
    side: from[wayName(scale(off, -1))] ?? 'above',
    ...(inHand ? { inHand } : {}),
    ...(along.length > 0 ? { riders: along.map(named) } : {}),
    setting: settingOf(piece),
    tool: mated?.tool ?? 'fingers',
    toolName: mated ? toolName(mated) : 'fingers',
    ...(screw ? { screw } : {}),
    firm: firmness[mated?.tool ?? 'fingers'],
    seconds: mated ? pace.joint(mated.standard) : 0,
    ...(mated ? { timed: mated.standard.id } : {}),
    check: standRoles.has(piece.part.role) ? 'stand' : (mated?.standard.kind ?? 'thread'),
    // In the hand nothing is on the rig yet: what waits there comes on with what carries it.
    commands: inHand ? [] : flatMap([piece, ...along], place),
  }
}

const named = ({ instance, part }: PlacedPart) => ({ instance: instance.id, name: part.name })

const held = (setup: string, { guest, host, joint, mate }: Brace, pace: Pace): SheetStep => ({
  do: 'hold',
  instance: guest.instance.id,
  name: guest.part.name,
  onto: host.part.name,
  at: mountOf(host.part, joint.hostMount)?.label ?? joint.hostMount,
  setting: {},
  tool: mate.ok ? mate.value.tool : 'fingers',
  toolName: mate.ok ? toolName(mate.value) : 'fingers',
  firm: firmness[mate.ok ? mate.value.tool : 'fingers'],
  seconds: mate.ok ? pace.joint(mate.value.standard) : 0,
  ...(mate.ok ? { timed: mate.value.standard.id } : {}),
  check: 'hold',
  commands: [{ do: 'brace', setup, joint }],
})

/** Hinges that do not stand as the part comes, each set once its piece is on. */
const posesOf = ({ setup }: Assembly, piece: PlacedPart): readonly SheetStep[] =>
  setup.poses
    .filter(({ instance }) => instance === piece.instance.id)
    .map((pose): SheetStep => {
      const hinge = piece.part.hinges?.find(({ id }) => id === pose.hinge)
      const position = hinge?.positions.find(({ id }) => id === pose.position)
      return {
        do: 'pose',
        instance: piece.instance.id,
        name: piece.part.name,
        onto: '',
        at: hinge?.label ?? pose.hinge,
        setting: { poses: [{ hinge: hinge?.label ?? pose.hinge, position: position?.label ?? pose.position }] },
        tool: 'fingers',
        toolName: 'fingers',
        firm: 'by hand',
        seconds: POSE_SECONDS,
        check: 'pose',
        commands: [{ do: 'pose', setup: setup.id, ...pose }],
      }
    })

/** What goes along off the rig, and what sits on that. */
const stowed = (setup: string, { piece, at }: OffPart, pace: Pace): SheetStep => {
  const mated = piece.mate?.ok ? piece.mate.value : undefined
  return {
    do: 'stow',
    instance: piece.instance.id,
    name: piece.part.name,
    onto: piece.joint ? (piece.host?.part.name ?? '') : offPlaceWords[at],
    at: pointOf(piece),
    setting: settingOf(piece),
    tool: mated?.tool ?? 'fingers',
    toolName: mated ? toolName(mated) : 'fingers',
    firm: firmness[mated?.tool ?? 'fingers'],
    seconds: mated ? pace.joint(mated.standard) : POSE_SECONDS,
    check: 'off',
    commands: [
      piece.joint ? { do: 'place', setup, joint: piece.joint } : { do: 'stow', setup, instance: piece.instance.id, at },
    ],
  }
}

/** What a socket gives, V: as it says itself, or as the battery of its piece, or the one that sits on it. */
const givenBy = ({ placed, off }: Assembly, { piece, socket }: Run['from']) =>
  socket.volts ??
  piece.part.power?.store?.volts ??
  [...placed, ...off.map((one) => one.piece)].find(({ host, part }) => host === piece && part.power?.store)?.part.power
    ?.store?.volts

const plugged = (assembly: Assembly, run: Run, pace: Pace): SheetStep => {
  const { cable, link, part } = run
  const setup = assembly.setup.id
  const [gives, takes] = [givenBy(assembly, run.from), run.to.socket.volts]
  return {
    do: 'plug in',
    instance: link.cable,
    name: part.name,
    onto: `${run.from.piece.part.name} to ${run.to.piece.part.name}`,
    at: `${run.from.socket.label ?? run.from.socket.id} to ${run.to.socket.label ?? run.to.socket.id}`,
    setting: {},
    tool: 'fingers',
    toolName: 'fingers',
    firm: 'by hand',
    seconds: pace.lead,
    timed: LEAD_KIND,
    check: 'lead',
    carries: cable.carries,
    ...(cable.carries.includes('power') && gives
      ? { volts: { gives: [gives.min, gives.max], takes: takes && [takes.min, takes.max] } }
      : {}),
    commands: [{ do: 'link', setup, link }],
  }
}

/** On a stand the whole is balanced once all of it is there, leads and all. */
const balanced = ({ placed: [root], setup: { support } }: Assembly, pace: Pace): readonly SheetStep[] => {
  const on = balanceOn(support)
  return root && on
    ? [
        {
          do: 'balance',
          instance: root.instance.id,
          name: root.part.name,
          onto: support === 'gimbal' ? 'the gimbal' : 'the head',
          at: '',
          setting: {},
          tool: 'fingers',
          toolName: 'fingers',
          firm: 'by hand',
          seconds: pace.balance(support),
          timed: on.kind,
          check: 'balance',
          commands: [],
        },
      ]
    : []
}

/**
 * How a set-up is put together from its bare camera: pieces in an order that can be done with the fewest changes of tool,
 * each with its hinges and second holds, then what goes off the rig, then the leads.
 * @param leads the set-up's leads where they run
 */
export const buildSheetOf = (assembly: Assembly, leads: readonly Run[], pace: Pace = usualPace): BuildSheet => {
  const { setup } = assembly
  const [root] = assembly.placed
  const order = buildOrderOf(assembly)
  const unfit = assembly.placed.filter((piece) => pathToRoot(piece).some(({ joint, mate }) => joint && !mate?.ok))
  const pieces = flatMap(order.steps, (item): readonly SheetStep[] =>
    isHolding(item)
      ? [held(setup.id, item.brace, pace)]
      : [joined(assembly, item, pace), ...posesOf(assembly, item.piece)],
  )
  const own = root ? posesOf(assembly, root) : []
  const off = flatMap(assembly.off, (one) => [stowed(setup.id, one, pace), ...posesOf(assembly, one.piece)])
  const wires = [...leads]
    .sort((a, b) => leadRank(a.cable) - leadRank(b.cable))
    .map((run) => plugged(assembly, run, pace))
  const steps = [...own, ...pieces, ...off, ...wires, ...balanced(assembly, pace)]
  return {
    steps,
    knots: order.knots.map(({ piece, by }) => ({ ...named(piece), by: by.map(({ part }) => part.name) })),
    against: order.against.map(({ piece, after }) => ({ ...named(piece), after: after.part.name })),
    unfit: unfit.map(named),
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    tools: [
      ...new Set(steps.filter(({ tool }) => tool !== 'fingers' && tool !== 'lever').map((step) => step.toolName)),
    ].sort(),
    toolChanges: order.toolChanges,
  }
}
