import type { Assembly, Joint, Link, PlacedPart } from '../assembly/index.ts'
import { type MountStandard, type Tool, toolName } from '../catalogue/index.ts'

/** One thing to do when one set-up becomes another. */
export interface Step {
  readonly do: 'undo' | 'put on' | 'move' | 'slide' | 'unplug' | 'plug in'
  /** The piece, or the lead: its instance and its name. */
  readonly instance: string
  readonly name: string
  readonly seconds: number
  readonly tool: Tool
  /** The same with the size of its key, where it is known. */
  readonly toolName: string
}

export interface Changeover {
  readonly steps: readonly Step[]
  readonly seconds: number
  /** What has to be in the pocket; fingers and levers are always there. */
  readonly tools: readonly string[]
}

const SLIDE_SECONDS = 4
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
}
export const usualPace: Pace = { joint: ({ seconds }) => seconds, lead: LEAD_SECONDS }

/** The leads of one set-up that are not plugged in like that in the other. */
const leadsAt =
  ({ lead }: Pace) =>
  ({ setup, loose }: Assembly, other: Assembly, what: 'unplug' | 'plug in'): Step[] =>
    setup.links
      .filter((link) => !other.setup.links.some((there) => there.cable === link.cable && sameEnds(there, link)))
      .map(({ cable }) => ({
        do: what,
        instance: cable,
        name: loose.find(({ instance }) => instance.id === cable)?.part.name ?? cable,
        seconds: lead,
        tool: 'fingers',
        toolName: 'fingers',
      }))

const sameSeat = (a: Joint, b: Joint): boolean =>
  a.host === b.host && a.hostMount === b.hostMount && a.guestMount === b.guestMount
const sameSetting = (a: Joint, b: Joint): boolean => a.slideMm === b.slideMm && a.turnDeg === b.turnDeg

const stepAt =
  ({ joint }: Pace) =>
  (what: Step['do'], piece: PlacedPart): Step => {
    const mated = piece.mate?.ok ? piece.mate.value : undefined
    return {
      do: what,
      instance: piece.instance.id,
      name: piece.part.name,
      seconds: what === 'slide' ? SLIDE_SECONDS : mated ? joint(mated.standard) : 0,
      tool: mated?.tool ?? 'fingers',
      toolName: mated ? toolName(mated) : 'fingers',
    }
  }

/**
 * What it takes to get from one set-up to another of the same kit: pieces taken off (outermost first), put on (hosts
 * first), moved to another mount, or only slid or turned. Seconds are those of each joint's standard; a moved piece is
 * undone and done.
 */
export const changeoverOf = (from: Assembly, to: Assembly, pace: Pace = usualPace): Changeover => {
  const step = stepAt(pace)
  const leadsOnly = leadsAt(pace)
  const undone: Step[] = []
  const done: Step[] = []
  for (const piece of [...from.placed].reverse()) {
    const now = to.byInstance.get(piece.instance.id)
    if (!piece.joint) continue
    if (!now?.joint) undone.push(step('undo', piece))
    else if (!sameSeat(piece.joint, now.joint)) undone.push(step('undo', piece))
  }
  for (const piece of to.placed) {
    const was = from.byInstance.get(piece.instance.id)
    if (!piece.joint) continue
    if (!was?.joint) done.push(step('put on', piece))
    else if (!sameSeat(was.joint, piece.joint)) done.push(step('move', piece))
    else if (!sameSetting(was.joint, piece.joint)) done.push(step('slide', piece))
  }
  // Leads come out before what they hang on, and go in last.
  const steps = [...leadsOnly(from, to, 'unplug'), ...undone, ...done, ...leadsOnly(to, from, 'plug in')]
  return {
    steps,
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    tools: [
      ...new Set(steps.filter(({ tool }) => tool !== 'fingers' && tool !== 'lever').map((one) => one.toolName)),
    ].sort(),
  }
}
