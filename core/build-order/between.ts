import {
  type Assembly,
  type Brace,
  type Command,
  hingeDegrees,
  type Joint,
  type Link,
  type OffPlace,
  offPlaceWords,
  type PlacedPart,
  ridesOn,
} from '../assembly/index.ts'
import { mountOf, toolName } from '../catalogue/index.ts'
import { equalJson, flatMap } from '../kernel/index.ts'
import type { Step } from './changeover.ts'
import { type Clearing, clearingOf } from './clearing.ts'
import { balanceOn, LEAD_KIND, leadRank, type Pace, POSE_SECONDS } from './pace.ts'
import { settingOf } from './setting.ts'

const SLIDE_SECONDS = 4
/** Turning the camera upright or back, with whatever holds it. */
const TURN_SECONDS = 6

const sameEnds = (a: Link, b: Link): boolean =>
  [a.from, a.to].every((end, i) => {
    const other = [b.from, b.to][i]
    return end.instance === other?.instance && end.socket === other.socket
  })

/** Both ends of a lead by the pieces and their sockets. */
const socketsOf = (pieces: Assembly['byInstance'], { from, to }: Link): string =>
  [from, to]
    .map(({ instance, socket }) => {
      const part = pieces.get(instance)?.part
      const found = part?.sockets?.find(({ id }) => id === socket)
      return `${part?.name ?? instance}, ${found?.label ?? socket}`
    })
    .join(' to ')

/** The point a piece sits at, as its host calls it. */
const seatOf = ({ host, joint }: PlacedPart): string => {
  const mount = host && joint && mountOf(host.part, joint.hostMount)
  return host && mount ? (mount.label ?? `${host.part.name}, ${mount.id}`) : ''
}

const sameSeat = (a: Joint, b: Joint): boolean =>
  a.host === b.host && a.hostMount === b.hostMount && a.guestMount === b.guestMount
const sameSetting = (a: Joint, b: Joint): boolean => a.slideMm === b.slideMm && a.turnDeg === b.turnDeg

/** What goes along off the rig by itself, and what sits on that. */
const offOf = ({ off }: Assembly) => ({
  roots: off.filter(({ piece }) => !piece.joint),
  riders: flatMap(off, ({ piece }) => (piece.joint ? [piece] : [])),
})

/** The pieces that sit on something in the one set-up and on nothing in the other. */
const onlyIn = (one: Assembly, other: Assembly): ReadonlySet<PlacedPart> =>
  new Set(one.placed.filter((piece) => piece.joint && !other.byInstance.get(piece.instance.id)?.joint))

/** Nothing is in the hand but hands. */
const bare = { tool: 'fingers', toolName: 'fingers' } as const

const heldAt = ({ joint }: Brace) => `${joint.guest} ${joint.guestMount} ${joint.host} ${joint.hostMount}`

const isMoved = (was: PlacedPart | undefined, now: PlacedPart | undefined): boolean =>
  was?.joint !== undefined &&
  now?.joint !== undefined &&
  (!sameSeat(was.joint, now.joint) || was.part.id !== now.part.id)

const isReset = (was: PlacedPart | undefined, now: PlacedPart): boolean =>
  was?.joint !== undefined && now.joint !== undefined && !sameSetting(was.joint, now.joint)

/** What it takes to make one set-up of another, kind by kind. All edits are of the first. */
export class Between {
  readonly #from: Assembly
  readonly #to: Assembly
  readonly #pace: Pace
  readonly #id: string
  readonly #goes: ReadonlySet<PlacedPart>
  readonly #comes: ReadonlySet<PlacedPart>
  readonly #known: ReadonlySet<string>
  readonly #taking: Clearing
  readonly #putting: Clearing

  constructor(from: Assembly, to: Assembly, pace: Pace) {
    this.#from = from
    this.#to = to
    this.#pace = pace
    this.#id = from.setup.id
    this.#goes = onlyIn(from, to)
    this.#comes = onlyIn(to, from)
    // What is new to the kit was never put together: it comes piece by piece.
    this.#known = new Set(from.rig.kit.map((one) => one.id))
    const { taking, putting } = this.#clearings()
    this.#taking = taking
    this.#putting = putting
  }

  #step(
    what: Step['do'],
    piece: PlacedPart,
    commands: readonly Command[] = [],
    riders: readonly PlacedPart[] = [],
  ): Step {
    const mated = piece.mate?.ok ? piece.mate.value : undefined
    return {
      do: what,
      instance: piece.instance.id,
      name: piece.part.name,
      at: what === 'pose' ? '' : seatOf(piece),
      setting: what === 'put on' || what === 'move' || what === 'slide' ? settingOf(piece) : {},
      seconds: what === 'slide' ? SLIDE_SECONDS : mated ? this.#pace.joint(mated.standard) : 0,
      tool: mated?.tool ?? 'fingers',
      toolName: mated ? toolName(mated) : 'fingers',
      ...(mated && what !== 'slide' && what !== 'pose' ? { timed: mated.standard.id } : {}),
      with: riders.map(({ part }) => part.name),
      commands,
    }
  }

  #place({ joint }: PlacedPart): readonly Command[] {
    return joint ? [{ do: 'place', setup: this.#id, joint }] : []
  }
  #takeOff({ instance }: PlacedPart): Command {
    return { do: 'take-off', setup: this.#id, instance: instance.id }
  }
  #stow({ instance }: PlacedPart, at: OffPlace): Command {
    return { do: 'stow', setup: this.#id, instance: instance.id, at }
  }

  #was({ instance }: PlacedPart): PlacedPart | undefined {
    return this.#from.byInstance.get(instance.id)
  }
  #now({ instance }: PlacedPart): PlacedPart | undefined {
    return this.#to.byInstance.get(instance.id)
  }

  #asOne(all: ReadonlySet<PlacedPart>, piece: PlacedPart): boolean {
    return piece.host !== undefined && all.has(piece) && all.has(piece.host) && this.#known.has(piece.instance.id)
  }
  #ridersIn(all: ReadonlySet<PlacedPart>, piece: PlacedPart): readonly PlacedPart[] {
    return [...all].filter((other) => other !== piece && ridesOn(other, piece) && this.#asOne(all, other))
  }

  /**
   * What comes off the one set-up and what goes on the other, each in an order that can be done: nothing passes through
   * what stands, and stated orders are kept. What is only in the way is lifted aside in both.
   */
  #clearings(): { readonly taking: Clearing; readonly putting: Clearing } {
    const [from, to] = [this.#from, this.#to]
    const tops = (one: Assembly, all: ReadonlySet<PlacedPart>) =>
      one.placed.filter(
        (piece) => (all.has(piece) && !this.#asOne(all, piece)) || isMoved(this.#was(piece), this.#now(piece)),
      )
    let aside: ReadonlySet<string> = new Set()
    for (;;) {
      const asideIn = ({ placed }: Assembly) => placed.filter(({ instance }) => aside.has(instance.id))
      const taking = clearingOf(from, tops(from, this.#goes), asideIn(from))
      const putting = clearingOf(to, tops(to, this.#comes), asideIn(to))
      const both = new Set([...taking.aside, ...putting.aside].map(({ instance }) => instance.id))
      if (both.size === aside.size) return { taking, putting }
      aside = both
    }
  }

  /** Lifted aside, and put back, with all it carries; the rig in the books stays as it is. */
  #aside(what: 'undo' | 'put on', { placed }: Assembly, piece: PlacedPart): Step {
    const carried = placed.filter((other) => other !== piece && ridesOn(other, piece))
    return this.#step(what, piece, [], carried)
  }

  /** Off the rig, the outermost first. */
  get undone(): readonly Step[] {
    const off = offOf(this.#to)
    const pockets = new Map(off.roots.map(({ piece, at }) => [piece.instance.id, at]))
    return this.#taking.order.map((piece): Step => {
      if (this.#taking.aside.includes(piece)) return this.#aside('undo', this.#from, piece)
      const pocket = pockets.get(piece.instance.id)
      if (pocket) {
        const along = off.riders.filter((rider) => {
          const was = this.#was(rider)
          return was !== undefined && ridesOn(was, piece)
        })
        // What is plugged into it stays plugged.
        const made = this.#step('stow', piece, [this.#stow(piece, pocket)], along)
        return { ...made, at: offPlaceWords[pocket] }
      }
      return this.#goes.has(piece)
        ? this.#step('undo', piece, [this.#takeOff(piece)], this.#ridersIn(this.#goes, piece))
        : this.#step('undo', piece)
    })
  }

  /** On the rig, and what is only set otherwise. */
  get done(): readonly Step[] {
    const put = this.#putting.order.toReversed().map((piece): Step => {
      if (this.#putting.aside.includes(piece)) return this.#aside('put on', this.#to, piece)
      const riders = this.#ridersIn(this.#comes, piece)
      if (this.#comes.has(piece))
        return this.#step(
          'put on',
          piece,
          flatMap([piece, ...riders], (one) => this.#place(one)),
          riders,
        )
      return this.#step(this.#was(piece)?.part.id === piece.part.id ? 'move' : 'put on', piece, this.#place(piece))
    })
    const set = this.#to.placed
      .filter((piece) => !isMoved(this.#was(piece), piece) && isReset(this.#was(piece), piece))
      .map((piece) => this.#step('slide', piece, this.#place(piece)))
    return [...put, ...set]
  }

  #byHand(made: Step, at: OffPlace): Step {
    return { ...made, ...bare, at: offPlaceWords[at], seconds: POSE_SECONDS }
  }

  /** Out of bag and pocket: taken from what stays there, and put away. */
  get unpacked(): readonly Step[] {
    const [was, is] = [offOf(this.#from), offOf(this.#to)]
    const parted = was.riders.filter((piece) => !this.#now(piece)?.joint || isMoved(piece, this.#now(piece)))
    const away = was.roots.filter(
      ({ piece }) => !is.roots.some((one) => one.piece.instance.id === piece.instance.id) && !this.#now(piece)?.joint,
    )
    return [
      ...parted.toReversed().map((piece) => this.#step('undo', piece)),
      ...away.map(({ piece, at }) => this.#byHand(this.#step('put away', piece, [this.#takeOff(piece)]), at)),
    ]
  }

  /** Into bag and pocket what was not on the rig before, and what sits on it there. */
  get packed(): readonly Step[] {
    const [was, is] = [offOf(this.#from), offOf(this.#to)]
    const place = (id: string) => was.roots.find(({ piece }) => piece.instance.id === id)?.at
    const fromRig = new Set(this.#taking.order.map(({ instance }) => instance.id))
    const stowed = is.roots.filter(
      ({ piece: { instance }, at }) => place(instance.id) !== at && !fromRig.has(instance.id),
    )
    const joined = is.riders.filter((piece) => {
      const before = this.#was(piece)
      return !before?.joint || isMoved(before, piece) || isReset(before, piece)
    })
    return [
      ...stowed.map(({ piece, at }) => this.#byHand(this.#step('stow', piece, [this.#stow(piece, at)]), at)),
      ...joined.map((piece) => this.#step(this.#was(piece)?.joint ? 'move' : 'put on', piece, this.#place(piece))),
    ]
  }

  /** Hinges that stand otherwise; of which a set-up says nothing, they stand as the part comes. */
  get swung(): readonly Step[] {
    const { setup, placed } = this.#to
    const degrees = (piece: PlacedPart, at: Assembly) => hingeDegrees(piece.part, piece.instance.id, at.setup).join()
    const posed = placed.filter(
      (piece) => this.#was(piece)?.part.id === piece.part.id && degrees(piece, this.#from) !== degrees(piece, this.#to),
    )
    return posed.map((piece): Step => {
      const { id: instance } = piece.instance
      const poses = flatMap(piece.part.hinges ?? [], (hinge) => {
        const said = setup.poses.find((one) => one.instance === instance && one.hinge === hinge.id)
        const position = hinge.positions.find((one) => one.id === said?.position) ?? hinge.positions[0]
        return position ? [{ hinge, position }] : []
      })
      const commands = poses.map(({ hinge, position }): Command => {
        return { do: 'pose', setup: this.#id, instance, hinge: hinge.id, position: position.id }
      })
      const named = poses.map(({ hinge, position }) => ({ hinge: hinge.label, position: position.label }))
      return { ...this.#step('pose', piece, commands), ...bare, setting: { poses: named }, seconds: POSE_SECONDS }
    })
  }

  /** Second holds of the one that are not in the other; and those between what is lifted aside and the rest. */
  #holds(what: 'brace' | 'unbrace', one: Assembly, other: Assembly, aside: readonly PlacedPart[]): readonly Step[] {
    const there = new Set(other.braces.map(heldAt))
    const isApart = ({ guest, host }: Brace) => aside.some((piece) => ridesOn(guest, piece) !== ridesOn(host, piece))
    return one.braces
      .filter((brace) => !there.has(heldAt(brace)) || isApart(brace))
      .map((brace) => {
        const { guest, host, mate, joint } = brace
        const edit: Command =
          what === 'brace'
            ? { do: 'brace', setup: this.#id, joint }
            : { do: 'unbrace', setup: this.#id, guest: guest.instance.id, host: host.instance.id }
        return this.#step(what, { ...guest, mate, host, joint }, there.has(heldAt(brace)) ? [] : [edit])
      })
  }
  get loosed(): readonly Step[] {
    return this.#holds('unbrace', this.#from, this.#to, this.#taking.aside)
  }
  get held(): readonly Step[] {
    return this.#holds('brace', this.#to, this.#from, this.#putting.aside)
  }

  #lead(what: 'unplug' | 'plug in' | 'lay', { loose, byInstance }: Assembly, link: Link): Step {
    const part = loose.find(({ instance }) => instance.id === link.cable)?.part
    const held = flatMap(link.through, (id) => byInstance.get(id)?.part.name ?? [])
    return {
      ...bare,
      do: what,
      at: what === 'lay' ? '' : socketsOf(byInstance, link),
      setting: what === 'lay' ? { through: held } : {},
      instance: link.cable,
      name: part?.name ?? link.cable,
      seconds: what === 'lay' ? POSE_SECONDS : this.#pace.lead,
      ...(what === 'lay' ? {} : { timed: LEAD_KIND }),
      with: [],
      commands: [
        what === 'unplug'
          ? { do: 'unlink', setup: this.#id, cable: link.cable }
          : { do: 'link', setup: this.#id, link },
      ],
    }
  }

  /** The leads of one set-up that are not plugged in like that in the other. */
  #leads(what: 'unplug' | 'plug in', one: Assembly, other: Assembly): readonly Step[] {
    const rank = ({ cable }: Link) =>
      leadRank(one.loose.find(({ instance }) => instance.id === cable)?.part.cable ?? { carries: [] })
    const turn = what === 'plug in' ? 1 : -1
    return one.setup.links
      .toSorted((a, b) => turn * (rank(a) - rank(b)))
      .filter((link) => !other.setup.links.some((there) => there.cable === link.cable && sameEnds(there, link)))
      .map((link) => this.#lead(what, one, link))
  }
  get unplugged(): readonly Step[] {
    return this.#leads('unplug', this.#from, this.#to)
  }
  get plugged(): readonly Step[] {
    return this.#leads('plug in', this.#to, this.#from)
  }

  /** Leads that stay plugged and are laid otherwise. */
  get laid(): readonly Step[] {
    return this.#to.setup.links
      .filter((link) =>
        this.#from.setup.links.some((was) => was.cable === link.cable && sameEnds(was, link) && !equalJson(was, link)),
      )
      .map((link) => this.#lead('lay', this.#to, link))
  }

  /** The whole: turned upright or back, and balanced where it comes onto another stand. */
  get whole(): readonly Step[] {
    const [[root], before] = [this.#to.placed, this.#from.setup]
    const { support, orientation } = this.#to.setup
    if (!root) return []
    const made = (what: 'turn' | 'balance', seconds: number, timed = {}): readonly Step[] =>
      seconds > 0 ? [{ ...this.#step(what, root), ...bare, seconds, ...timed }] : []
    const stand = balanceOn(support)
    return [
      ...made('turn', orientation === before.orientation ? 0 : TURN_SECONDS),
      // What stood on the same kind of stand before is near its balance.
      ...made('balance', support === before.support ? 0 : this.#pace.balance(support), stand && { timed: stand.kind }),
    ]
  }
}
