import { bad, good, type Outcome } from '../kernel/index.ts'
import { standardOf } from './interfaces/index.ts'
import type { KeySize, Tool } from './part.ts'
import type { MateCode, MountEnd, MountStandard } from './standard.ts'

/** Two ends that go together: which is the socket and which the plug, and what the joint is like. */
export interface Mate {
  readonly socket: MountEnd
  readonly plug: MountEnd
  readonly standard: MountStandard
  readonly holdsTwist: boolean
  readonly turnStepDeg: number
  /**
   * What it carries, g: the lower of the two ends; and whose figure that is, a maker's rating of the part or the usual
   * one of the standard.
   */
  readonly limitG: number
  readonly limitBy: 'maker' | 'usual'
  readonly mayLift: boolean
  readonly tool: Tool
  /** Which key, where the tool is one and its size is known. */
  readonly keySize?: KeySize
  readonly seconds: number
  /** On a rail: which side is the rail, and how much of it is taken, mm. */
  readonly along?: { readonly rail: 'holds' | 'sits'; readonly takesMm: number }
  /** It goes on, but not as it should: "does not latch". */
  readonly fault?: string
}

/** What a joint is tightened with, in words. @example `4 mm key`; `hex key` where its size is not known */
export const toolName = ({ tool, keySize }: Pick<Mate, 'tool' | 'keySize'>): string =>
  keySize ? `${keySize} key` : tool

/** An end in words: `pinned 3/8" screw`, `cold shoe`. */
export const endName = ({ mount }: MountEnd): string => standardOf(mount.standard).ends[mount.side]

const namesOf = (a: MountEnd, b: MountEnd) => ({ a: endName(a), b: endName(b), aPart: a.part.name, bPart: b.part.name })

interface Limit {
  readonly limitG: number
  readonly limitBy: Mate['limitBy']
}

/** A maker rates the end as it is; a standard's usual figure is for one screw, and several bear as often. */
const limitOf = ({ mount }: MountEnd, standard: MountStandard, screws: number): Limit =>
  mount.limitG === undefined
    ? { limitG: (standard.limitG ?? Infinity) * (standard.kind === 'thread' ? screws : 1), limitBy: 'usual' }
    : { limitG: mount.limitG, limitBy: 'maker' }

const lower = (a: Limit, b: Limit): Limit =>
  b.limitG < a.limitG || (b.limitG === a.limitG && b.limitBy === 'maker') ? b : a

/**
 * Two ends with the same key go together with the same things, and make the same joints of them: all that `mate` and the
 * standards read of an end is in it. A seat made for certain bodies hangs on the part's list of them as well.
 */
export const matingKey = ({ part, mount }: MountEnd): string => {
  const { standard, side, screws, antiTwist, limitG, tool, keySize } = mount
  const own = standardOf(standard).fields.map((field) => mount[field])
  return JSON.stringify([
    standard,
    side,
    screws,
    antiTwist,
    limitG,
    tool,
    keySize,
    own,
    side === 'sits' ? part.fits : [],
  ])
}

/**
 * Do two ends go together, whichever of them is already on the rig?
 * @returns the joint's nature, or why not: `same-gender`, `standards-differ`, or the standard's own objection.
 * @example a pinned 3/8" screw and a 1/4" hole give `standards-differ`
 */
export const mate = (a: MountEnd, b: MountEnd): Outcome<Mate, MateCode> => {
  if (a.mount.side === b.mount.side) return bad('same-gender', b.mount.id, { names: namesOf(a, b) })
  const [socket, plug] = a.mount.side === 'holds' ? [a, b] : [b, a]
  const socketStandard = standardOf(socket.mount.standard)
  const standard = standardOf(plug.mount.standard)
  const taken = socketStandard.meetsAny ?? standard.meetsAny ?? false
  if (!taken && !socketStandard.accepts.includes(standard.id))
    return bad('standards-differ', b.mount.id, { names: namesOf(a, b) })
  const objections = taken ? [] : socketStandard.objections(socket, plug)
  if (objections.length > 0) return { ok: false, issues: objections }
  const along = taken ? undefined : standard.along
  const screws = plug.mount.screws ?? 1
  const tool = plug.mount.tool ?? standard.tool
  const keySize = tool === 'hex key' ? (plug.mount.keySize ?? standard.keySize) : undefined
  const fault = taken ? undefined : socketStandard.fault?.(socket, plug)
  return good({
    ...(along ? { along: { rail: along.rail, takesMm: along.takesMm(along.rail === 'holds' ? plug : socket) } } : {}),
    ...(fault === undefined ? {} : { fault }),
    socket,
    plug,
    standard,
    holdsTwist: standard.holdsTwist || plug.mount.antiTwist === true || (plug.mount.screws ?? 1) > 1,
    turnStepDeg: standard.turnStepDeg,
    ...lower(limitOf(socket, socketStandard, screws), limitOf(plug, standard, screws)),
    mayLift: standard.mayLift && socketStandard.mayLift,
    tool,
    ...(keySize ? { keySize } : {}),
    seconds: standard.seconds,
  })
}
