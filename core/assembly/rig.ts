import { z } from 'zod'
import { briefSchema, emptyBrief } from '../brief/index.ts'
import { idSchema } from '../catalogue/index.ts'

export const RIG_FORMAT = 'zucchini-rig'
export const RIG_VERSION = 6

/** One piece of the kit. Whether it is owned is the locker's knowledge, not the rig's. */
export const instanceSchema = z.strictObject({
  id: idSchema,
  partId: idSchema,
  /** `in`: part of the plan and its cost. `considered`: kept in view, costs nothing yet. */
  status: z.enum(['in', 'considered']),
  notes: z.string().max(400).optional(),
  /** The operator's own word on how much the job hangs on it. */
  tier: z.enum(['must', 'should', 'may']).optional(),
  /** A battery that has aged: what it still holds of what it held when new. */
  health: z.number().min(0.2).max(1).optional(),
})

/**
 * `guest` sits on `host`: their two mounts face each other, shifted along the travel and turned about the joint's axis.
 */
export const jointSchema = z.strictObject({
  guest: idSchema,
  guestMount: idSchema,
  host: idSchema,
  hostMount: idSchema,
  slideMm: z.number().min(-3000).max(3000),
  turnDeg: z.number().min(-360).max(360),
})

export const supports = ['hand-low', 'two-hand', 'chest', 'shoulder', 'lap', 'tripod', 'gimbal'] as const

/** upright: the camera is turned a quarter, its right side up, for tall pictures. */
export const orientations = ['level', 'upright'] as const

/** A hinge of one piece, set to something other than its first position. */
export const poseSchema = z.strictObject({ instance: idSchema, hinge: idSchema, position: idSchema })

const socketRef = z.strictObject({ instance: idSchema, socket: idSchema })

/** A cable of the kit between two sockets, held on its way by some of the placed pieces. */
export const linkSchema = z.strictObject({
  cable: idSchema,
  from: socketRef,
  to: socketRef,
  through: z.array(idSchema).max(8).readonly(),
  /** A port saver or angled coupler of the kit that stays between the plug and the socket at either end. */
  couplers: z.strictObject({ from: idSchema.optional(), to: idSchema.optional() }).optional(),
})

/**
 * Where a piece can be that belongs to the set-up and is not on the rig: on the operator, on a leg of the stand, or on
 * a table or stand beside it, such as a client's screen.
 */
export const offPlaces = ['belt', 'pocket', 'bag', 'stand-leg', 'beside'] as const
export const offSchema = z.strictObject({ instance: idSchema, at: z.enum(offPlaces) })

export const setupSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(40),
  support: z.enum(supports),
  orientation: z.enum(orientations),
  /** The most this set-up may weigh in the hand or on its stand, g; 0: the brief's own cap. */
  capG: z.number().min(0).max(60_000),
  /**
   * The month it has to work by, `YYYY-MM`, and how much it is used against the others; for the plan of what to buy
   * when.
   */
  neededBy: z
    .string()
    .regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'use a month such as 2026-11')
    .optional(),
  weight: z.number().min(0).max(100).optional(),
  /** The instance everything else hangs on: the camera. */
  root: idSchema,
  joints: z.array(jointSchema).max(200).readonly(),
  /**
   * Second holds between pieces that already sit somewhere: they place nothing, they keep it from turning or sagging.
   */
  braces: z.array(jointSchema).max(60).readonly(),
  poses: z.array(poseSchema).max(200).readonly(),
  /** Leads between sockets, from where it comes to where it goes. */
  links: z.array(linkSchema).max(120).readonly(),
  /** Pieces that go along off the rig, joined to it by their leads alone. */
  off: z.array(offSchema).max(40).readonly().optional(),
})

export const rigSchema = z.strictObject({
  format: z.literal(RIG_FORMAT),
  version: z.literal(RIG_VERSION),
  id: idSchema,
  name: z.string().trim().min(1).max(80),
  brief: briefSchema,
  kit: z.array(instanceSchema).max(400).readonly(),
  setups: z.array(setupSchema).min(1).max(24).readonly(),
})

export type Instance = z.infer<typeof instanceSchema>
export type Link = z.infer<typeof linkSchema>
export type Pose = z.infer<typeof poseSchema>
export type Orientation = (typeof orientations)[number]
export type Joint = z.infer<typeof jointSchema>
/** Under this name a view of a rig or set-up, whose fields are noted as they are read, gives the thing itself. */
export const WHOLE = Symbol('whole')

/** The rig or set-up itself, where only a view of it is at hand: whoever copies it has read all of it. */
export const wholeOf = <T extends object>(seen: T): T => {
  const whole = (seen as { readonly [WHOLE]?: () => T })[WHOLE]
  return whole ? whole.call(seen) : seen
}

export type OffPlace = (typeof offPlaces)[number]
export type Off = z.infer<typeof offSchema>
export type Setup = z.infer<typeof setupSchema>
export type Rig = z.infer<typeof rigSchema>
export type Support = (typeof supports)[number]

/** A set-up of the bare camera in one low hand. */
export const emptySetup: Setup = {
  id: 'main',
  name: 'main',
  support: 'hand-low',
  orientation: 'level',
  capG: 0,
  root: 'camera',
  joints: [],
  braces: [],
  poses: [],
  links: [],
}

/** A rig with one camera and nothing on it. */
export const newRig = (id: string, name: string, cameraPartId: string): Rig => ({
  format: RIG_FORMAT,
  version: RIG_VERSION,
  id,
  name,
  brief: emptyBrief,
  kit: [{ id: 'camera', partId: cameraPartId, status: 'in' }],
  setups: [{ ...emptySetup, joints: [] }],
})

export const setupOf = (rig: Rig, id: string): Setup | undefined => rig.setups.find((setup) => setup.id === id)
export const instanceOf = (rig: Rig, id: string): Instance | undefined => rig.kit.find((instance) => instance.id === id)

/** An id for a new piece that the rig does not use yet: the part's id, then with -2, -3 ... */
export const freshId = (rig: Rig, partId: string, alsoTaken: readonly string[] = []): string => {
  const taken = new Set([...rig.kit.map((instance) => instance.id), ...alsoTaken])
  const base = partId.slice(0, 56)
  if (!taken.has(base)) return base
  let n = 2
  while (taken.has(`${base}-${n}`)) n++
  return `${base}-${n}`
}

/** Does a set-up of the rig use this piece: on the rig, off it, or plugged in? Else it only lies in the bag. */
export const sitsSomewhere = ({ setups }: Pick<Rig, 'setups'>, id: string): boolean =>
  setups.some(
    ({ joints, links, off, root }) =>
      root === id ||
      joints.some(({ guest }) => guest === id) ||
      links.some(({ cable }) => cable === id) ||
      off?.some(({ instance }) => instance === id),
  )
