import { z } from 'zod'
import { briefSchema, emptyBrief } from '../brief/index.ts'
import { idSchema } from '../catalogue/index.ts'

export const RIG_FORMAT = 'zucchini-rig'
export const RIG_VERSION = 1

/** One piece of the kit. Whether it is owned is the locker's knowledge, not the rig's. */
export const instanceSchema = z.strictObject({
  id: idSchema,
  partId: idSchema,
  /** `in`: part of the plan and its cost. `considered`: kept in view, costs nothing yet. */
  status: z.enum(['in', 'considered']),
  notes: z.string().max(400).optional(),
})

/** `guest` sits on `host`: their two mounts face each other, shifted along the travel and turned about the joint's axis. */
export const jointSchema = z.strictObject({
  guest: idSchema,
  guestMount: idSchema,
  host: idSchema,
  hostMount: idSchema,
  slideMm: z.number().min(-3000).max(3000),
  turnDeg: z.number().min(-360).max(360),
})

export const supports = ['hand-low', 'two-hand', 'shoulder', 'tripod', 'gimbal'] as const

export const setupSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(40),
  support: z.enum(supports),
  /** The instance everything else hangs on: the camera. */
  root: idSchema,
  joints: z.array(jointSchema).max(200).readonly(),
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
export type Joint = z.infer<typeof jointSchema>
export type Setup = z.infer<typeof setupSchema>
export type Rig = z.infer<typeof rigSchema>
export type Support = (typeof supports)[number]

/** A rig with one camera and nothing on it. */
export const newRig = (id: string, name: string, cameraPartId: string): Rig => ({
  format: RIG_FORMAT,
  version: RIG_VERSION,
  id,
  name,
  brief: emptyBrief,
  kit: [{ id: 'camera', partId: cameraPartId, status: 'in' }],
  setups: [{ id: 'main', name: 'main', support: 'hand-low', root: 'camera', joints: [] }],
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
