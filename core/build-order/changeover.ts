import type { Assembly, Joint, PlacedPart } from '../assembly/index.ts'
import type { Tool } from '../catalogue/index.ts'

/** One thing to do when one set-up becomes another. */
export interface Step {
  readonly do: 'undo' | 'put on' | 'move' | 'slide'
  readonly piece: PlacedPart
  readonly seconds: number
  readonly tool: Tool
}

export interface Changeover {
  readonly steps: readonly Step[]
  readonly seconds: number
  /** What has to be in the pocket; fingers and levers are always there. */
  readonly tools: readonly Tool[]
}

const SLIDE_SECONDS = 4

const sameSeat = (a: Joint, b: Joint): boolean => a.host === b.host && a.hostMount === b.hostMount && a.guestMount === b.guestMount
const sameSetting = (a: Joint, b: Joint): boolean => a.slideMm === b.slideMm && a.turnDeg === b.turnDeg

const step = (what: Step['do'], piece: PlacedPart): Step => {
  const mated = piece.mate?.ok ? piece.mate.value : undefined
  return { do: what, piece, seconds: what === 'slide' ? SLIDE_SECONDS : (mated?.seconds ?? 0), tool: mated?.tool ?? 'fingers' }
}

/**
 * What it takes to get from one set-up to another of the same kit: pieces taken off (outermost first), put on (hosts first), moved to
 * another mount, or only slid or turned. Seconds are those of each joint's standard; a moved piece is undone and done.
 */
export const changeoverOf = (from: Assembly, to: Assembly): Changeover => {
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
  const steps = [...undone, ...done]
  return {
    steps,
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    tools: [...new Set(steps.map(({ tool }) => tool))].filter((tool) => tool !== 'fingers' && tool !== 'lever').sort(),
  }
}
