import {
  type Assembly,
  type Brace,
  type Command,
  hingeDegrees,
  type Joint,
  type Link,
  type PlacedPart,
  ridesOn,
  type Support,
} from '../assembly/index.ts'
import { type MountStandard, type Tool, toolName } from '../catalogue/index.ts'
import { type Clearing, clearingOf } from './clearing.ts'

/** One thing to do when one set-up becomes another. */
export interface Step {
  readonly do:
    'undo' | 'put on' | 'move' | 'slide' | 'pose' | 'brace' | 'unbrace' | 'unplug' | 'plug in' | 'turn' | 'balance'
  /** The piece, or the lead: its instance and its name. */
  readonly instance: string
  readonly name: string
  readonly seconds: number
  readonly tool: Tool
  /** The same with the size of its key, where it is known. */
  readonly toolName: string
  /** The kind of joint that its seconds are known by: a mounting standard, a lead, balancing. */
  readonly timed?: string
  /** What stays together with it and goes or comes as one. */
  readonly with: readonly string[]
  /** The edits of the one set-up that make it so. */
  readonly commands: readonly Command[]
}

export interface Changeover {
  readonly steps: readonly Step[]
  readonly seconds: number
  /** What has to be in the pocket; fingers and levers are always there. */
  readonly tools: readonly string[]
}

const SLIDE_SECONDS = 4
/** Swinging a hinge to where it has to be. */
export const POSE_SECONDS = 3
/** Plugging a lead in at both ends and laying it, or taking it out. */
export const LEAD_SECONDS = 8

const sameEnds = (a: Link, b: Link): boolean =>
  [a.from, a.to].every((end, i) => {
    const other = [b.from, b.to][i]
    return end.instance === other?.instance && end.socket === other.socket
  })

/** How long the operator takes: for a joint by its mounting standard, and for a lead, both ends. Seconds */
export interface Pace {
  readonly joint: (standard: MountStandard) => number
  readonly lead: number
  /** Balancing it on what bears it; nothing in the hand. */
  readonly balance: (support: Support) => number
}
/** Under this name the seconds of a lead, both ends, are known. */
export const LEAD_KIND = 'lead'

/**
 * Balancing on a stand, by the support: the kind its seconds are known by, and the usual ones. A gimbal is balanced axis
 * by axis, a head by one slide and its drag. Our own guesses.
 */
const balances: Readonly<Partial<Record<Support, { readonly kind: string; readonly seconds: number }>>> = {
  tripod: { kind: 'balance-head', seconds: 25 },
  gimbal: { kind: 'balance-gimbal', seconds: 150 },
}
export const balanceOn = (support: Support) => balances[support]
/** Turning the camera upright or back, with whatever holds it. */
const TURN_SECONDS = 6

export const usualPace: Pace = {
  joint: ({ seconds }) => seconds,
  lead: LEAD_SECONDS,
  balance: (support) => balanceOn(support)?.seconds ?? 0,
}

/** The leads of one set-up that are not plugged in like that in the other. */
const leadsAt =
  ({ lead }: Pace, id: string) =>
  ({ setup, loose }: Assembly, other: Assembly, what: 'unplug' | 'plug in'): Step[] =>
    setup.links
      .filter((link) => !other.setup.links.some((there) => there.cable === link.cable && sameEnds(there, link)))
      .map((link) => ({
        do: what,
        instance: link.cable,
        name: loose.find(({ instance }) => instance.id === link.cable)?.part.name ?? link.cable,
        seconds: lead,
        tool: 'fingers',
        toolName: 'fingers',
        timed: LEAD_KIND,
        with: [],
        commands:
          what === 'plug in' ? [{ do: 'link', setup: id, link }] : [{ do: 'unlink', setup: id, cable: link.cable }],
      }))

const sameSeat = (a: Joint, b: Joint): boolean =>
  a.host === b.host && a.hostMount === b.hostMount && a.guestMount === b.guestMount
const sameSetting = (a: Joint, b: Joint): boolean => a.slideMm === b.slideMm && a.turnDeg === b.turnDeg

const stepAt =
  ({ joint }: Pace) =>
  (
    what: Step['do'],
    piece: PlacedPart,
    commands: readonly Command[] = [],
    riders: readonly PlacedPart[] = [],
  ): Step => {
    const mated = piece.mate?.ok ? piece.mate.value : undefined
    return {
      do: what,
      instance: piece.instance.id,
      name: piece.part.name,
      seconds: what === 'slide' ? SLIDE_SECONDS : mated ? joint(mated.standard) : 0,
      tool: mated?.tool ?? 'fingers',
      toolName: mated ? toolName(mated) : 'fingers',
      ...(mated && what !== 'slide' && what !== 'pose' ? { timed: mated.standard.id } : {}),
      with: riders.map(({ part }) => part.name),
      commands,
    }
  }

/** The pieces that sit on something in the one set-up and on nothing in the other. */
const onlyIn = (one: Assembly, other: Assembly): ReadonlySet<PlacedPart> =>
  new Set(one.placed.filter((piece) => piece.joint && !other.byInstance.get(piece.instance.id)?.joint))

/**
 * What comes off the one set-up and what goes on the other, each in an order that can be done: nothing passes through
 * what stands, and stated orders are kept. What is only in the way is lifted aside in both.
 */
const clearings = (
  from: Assembly,
  to: Assembly,
  goes: readonly PlacedPart[],
  comes: readonly PlacedPart[],
): { readonly off: Clearing; readonly on: Clearing } => {
  let aside: ReadonlySet<string> = new Set()
  for (;;) {
    const asideIn = ({ placed }: Assembly) => placed.filter(({ instance }) => aside.has(instance.id))
    const off = clearingOf(from, goes, asideIn(from))
    const on = clearingOf(to, comes, asideIn(to))
    const both = new Set([...off.aside, ...on.aside].map(({ instance }) => instance.id))
    if (both.size === aside.size) return { off, on }
    aside = both
  }
}

/**
 * What it takes to get from one set-up to another of the same kit: pieces taken off along ways that are free, put on the
 * other way round, moved to another mount, or only slid or turned, hinges swung, second holds loosened and made. What sits
 * on a piece that goes, and goes too, stays on it: they are put aside as one, and come back as one. What only stands in
 * the way is lifted aside with all it carries and put back. Seconds are those of each joint's standard; a moved piece is
 * undone and done.
 */
export const changeoverOf = (from: Assembly, to: Assembly, pace: Pace = usualPace): Changeover => {
  const { id } = from.setup
  const step = stepAt(pace)
  const leadsOnly = leadsAt(pace, id)
  const [goes, comes] = [onlyIn(from, to), onlyIn(to, from)]
  // What is new to the kit was never put together: it comes piece by piece.
  const known = new Set(from.rig.kit.map((one) => one.id))
  const asOne = (all: ReadonlySet<PlacedPart>, piece: PlacedPart): boolean =>
    piece.host !== undefined && all.has(piece) && all.has(piece.host) && known.has(piece.instance.id)
  const ridersIn = (all: ReadonlySet<PlacedPart>, piece: PlacedPart) =>
    [...all].filter((other) => other !== piece && ridesOn(other, piece) && asOne(all, other))
  const place = ({ joint }: PlacedPart): readonly Command[] => (joint ? [{ do: 'place', setup: id, joint }] : [])
  const isMoved = (was: PlacedPart | undefined, now: PlacedPart | undefined): boolean =>
    was?.joint !== undefined &&
    now?.joint !== undefined &&
    (!sameSeat(was.joint, now.joint) || was.part.id !== now.part.id)
  const tops = (one: Assembly, other: Assembly, all: ReadonlySet<PlacedPart>) =>
    one.placed.filter(
      (piece) => (all.has(piece) && !asOne(all, piece)) || isMoved(piece, other.byInstance.get(piece.instance.id)),
    )
  const { off: taking, on: putting } = clearings(from, to, tops(from, to, goes), tops(to, from, comes))
  // Lifted aside and put back, it takes along what it carries; the rig in the books stays as it is.
  const carriedBy = ({ placed }: Assembly, piece: PlacedPart) =>
    placed.filter((other) => other !== piece && ridesOn(other, piece))
  const undone = taking.order.map((piece): Step => {
    if (taking.aside.includes(piece)) return step('undo', piece, [], carriedBy(from, piece))
    return goes.has(piece)
      ? step('undo', piece, [{ do: 'take-off', setup: id, instance: piece.instance.id }], ridersIn(goes, piece))
      : step('undo', piece)
  })
  const done = putting.order.toReversed().map((piece): Step => {
    if (putting.aside.includes(piece)) return step('put on', piece, [], carriedBy(to, piece))
    const riders = ridersIn(comes, piece)
    if (comes.has(piece)) return step('put on', piece, [piece, ...riders].flatMap(place), riders)
    const was = from.byInstance.get(piece.instance.id)
    return step(was?.part.id === piece.part.id ? 'move' : 'put on', piece, place(piece))
  })
  for (const piece of to.placed) {
    const was = from.byInstance.get(piece.instance.id)
    if (was?.joint && piece.joint && !isMoved(was, piece) && !sameSetting(was.joint, piece.joint))
      done.push(step('slide', piece, place(piece)))
  }
  const posed = to.placed.filter((piece) => {
    const was = from.byInstance.get(piece.instance.id)
    const degrees = (at: Assembly) => hingeDegrees(piece.part, piece.instance.id, at.setup).join()
    return was?.part.id === piece.part.id && degrees(from) !== degrees(to)
  })
  // A hinge of which a set-up says nothing stands as the part comes.
  const poses = (piece: PlacedPart): readonly Command[] =>
    (piece.part.hinges ?? []).map((hinge) => {
      const said = to.setup.poses.find((one) => one.instance === piece.instance.id && one.hinge === hinge.id)
      const position = said?.position ?? hinge.positions[0]?.id ?? ''
      return { do: 'pose', setup: id, instance: piece.instance.id, hinge: hinge.id, position }
    })
  for (const piece of posed)
    done.push({ ...step('pose', piece, poses(piece)), seconds: POSE_SECONDS, tool: 'fingers', toolName: 'fingers' })
  // A hold between what is lifted aside and the rest is loosed, and made again.
  const loosed = (one: Assembly, aside: readonly PlacedPart[]): ReadonlySet<string> =>
    new Set(
      one.braces
        .filter(({ guest, host }) => aside.some((piece) => ridesOn(guest, piece) !== ridesOn(host, piece)))
        .map((brace) => held(brace)),
    )
  const held = ({ joint }: Brace) => `${joint.guest} ${joint.guestMount} ${joint.host} ${joint.hostMount}`
  const bracesOnly = (
    one: Assembly,
    other: Assembly,
    what: 'brace' | 'unbrace',
    aside: readonly PlacedPart[],
  ): Step[] => {
    const there = new Set(other.braces.map(held))
    const apart = loosed(one, aside)
    return one.braces
      .filter((brace) => !there.has(held(brace)) || apart.has(held(brace)))
      .map((brace) => {
        const { guest, host, mate, joint } = brace
        const commands: readonly Command[] = there.has(held(brace))
          ? []
          : what === 'brace'
            ? [{ do: 'brace', setup: id, joint }]
            : [{ do: 'unbrace', setup: id, guest: guest.instance.id, host: host.instance.id }]
        return step(what, { ...guest, mate }, commands)
      })
  }
  const root = to.placed[0]
  const { support, orientation } = to.setup
  const on = balanceOn(support)
  const whole = (what: 'turn' | 'balance', seconds: number): Step[] =>
    root && seconds > 0
      ? [
          {
            ...step(what, root),
            seconds,
            tool: 'fingers',
            toolName: 'fingers',
            ...(what === 'balance' && on ? { timed: on.kind } : {}),
          },
        ]
      : []
  // Leads come out before what they hang on, and go in last.
  const steps = [
    ...leadsOnly(from, to, 'unplug'),
    ...bracesOnly(from, to, 'unbrace', taking.aside),
    ...undone,
    ...done,
    ...bracesOnly(to, from, 'brace', putting.aside),
    ...leadsOnly(to, from, 'plug in'),
    ...whole('turn', orientation === from.setup.orientation ? 0 : TURN_SECONDS),
    // What stood on the same kind of stand before is near its balance.
    ...whole('balance', support === from.setup.support ? 0 : pace.balance(support)),
  ]
  return {
    steps,
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    tools: [
      ...new Set(steps.filter(({ tool }) => tool !== 'fingers' && tool !== 'lever').map((one) => one.toolName)),
    ].sort(),
  }
}

/** Can it be done with nothing but a coin? */
export const isCoinOnly = ({ tools }: Changeover): boolean => tools.every((tool) => tool === 'coin')
