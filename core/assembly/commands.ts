import { z } from 'zod'
import { briefSchema } from '../brief/index.ts'
import { type Catalogue, idSchema } from '../catalogue/index.ts'
import { bad, good, type Outcome } from '../kernel/index.ts'
import {
  type Instance,
  instanceSchema,
  type Joint,
  jointSchema,
  type Link,
  linkSchema,
  type Off,
  offPlaces,
  orientations,
  poseSchema,
  type Rig,
  type Setup,
  setupSchema,
  supports,
  wholeOf,
} from './rig.ts'
import { soundnessAfter } from './soundness.ts'

const inSetup = { setup: idSchema }
const settings = { slideMm: jointSchema.shape.slideMm, turnDeg: jointSchema.shape.turnDeg }

/** Every edit there is. Each can be written down, sent, replayed and undone. */
export const commandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('add'), instance: instanceSchema }),
  z.strictObject({ do: z.literal('discard'), instance: idSchema }),
  z.strictObject({ do: z.literal('place'), ...inSetup, joint: jointSchema }),
  z.strictObject({ do: z.literal('take-off'), ...inSetup, instance: idSchema }),
  /** Off the rig, and what sits on it goes along; only its leads join it to the rig from then on. */
  z.strictObject({ do: z.literal('stow'), ...inSetup, instance: idSchema, at: z.enum(offPlaces) }),
  z.strictObject({
    do: z.literal('set'),
    ...inSetup,
    instance: idSchema,
    slideMm: settings.slideMm.optional(),
    turnDeg: settings.turnDeg.optional(),
  }),
  z.strictObject({ do: z.literal('swap'), instance: idSchema, partId: idSchema }),
  z.strictObject({ do: z.literal('note'), instance: idSchema, notes: z.string().max(400) }),
  z.strictObject({ do: z.literal('status'), instance: idSchema, status: instanceSchema.shape.status }),
  z.strictObject({ do: z.literal('health'), instance: idSchema, health: instanceSchema.shape.health.unwrap() }),
  /** Without a tier it is found anew from what hangs on the piece. */
  z.strictObject({ do: z.literal('tier'), instance: idSchema, tier: instanceSchema.shape.tier }),
  /** When a set-up has to work and how much it is used; without a month: whenever. */
  z.strictObject({
    do: z.literal('need'),
    ...inSetup,
    neededBy: setupSchema.shape.neededBy,
    weight: setupSchema.shape.weight,
  }),
  z.strictObject({ do: z.literal('brief'), brief: briefSchema }),
  z.strictObject({ do: z.literal('rename'), name: z.string().trim().min(1).max(80) }),
  z.strictObject({ do: z.literal('copy-setup'), ...inSetup, id: idSchema, name: z.string().min(1).max(40) }),
  z.strictObject({
    do: z.literal('change-setup'),
    ...inSetup,
    name: z.string().min(1).max(40).optional(),
    support: z.enum(supports).optional(),
    orientation: z.enum(orientations).optional(),
    capG: setupSchema.shape.capG.optional(),
  }),
  z.strictObject({ do: z.literal('drop-setup'), ...inSetup }),
  z.strictObject({ do: z.literal('pose'), ...inSetup, ...poseSchema.shape }),
  z.strictObject({ do: z.literal('link'), ...inSetup, link: linkSchema }),
  z.strictObject({ do: z.literal('unlink'), ...inSetup, cable: idSchema }),
  z.strictObject({ do: z.literal('brace'), ...inSetup, joint: jointSchema }),
  z.strictObject({ do: z.literal('unbrace'), ...inSetup, guest: idSchema, host: idSchema }),
])
export type Command = z.infer<typeof commandSchema>

const withSetup = (rig: Rig, id: string, change: (setup: Setup) => Setup): Outcome<Rig> => {
  if (!rig.setups.some((setup) => setup.id === id)) return bad('setup-unknown', 'setup', { names: { id } })
  return good({ ...rig, setups: rig.setups.map((setup) => (setup.id === id ? change(setup) : setup)) })
}

const withInstance = (rig: Rig, id: string, change: (instance: Instance) => Instance): Outcome<Rig> => {
  if (!rig.kit.some((instance) => instance.id === id))
    return bad('instance-unknown', 'instance', { names: { instance: id } })
  return good({ ...rig, kit: rig.kit.map((instance) => (instance.id === id ? change(instance) : instance)) })
}

const sameEnds = (a: { guest: string; host: string }, b: { guest: string; host: string }): boolean =>
  a.guest === b.guest && a.host === b.host

/** A piece and whatever hangs on it. */
const ridersOf = (joints: readonly Joint[], instance: string): ReadonlySet<string> => {
  const all = new Set([instance])
  for (let size = 0; size !== all.size;) {
    size = all.size
    for (const joint of joints) if (all.has(joint.host)) all.add(joint.guest)
  }
  return all
}
/** The joints left when a piece comes off: whatever hung on it comes off with it. */
const without = (joints: readonly Joint[], instance: string): Joint[] => {
  const gone = ridersOf(joints, instance)
  return joints.filter((joint) => !gone.has(joint.guest))
}

/** A set-up in which no piece is off the rig that is not told; without the list when it is empty. */
const withOff = (setup: Setup, off: readonly Off[]): Setup => {
  if (off.length === (setup.off?.length ?? 0) && off.every((one, i) => one === setup.off?.[i])) return setup
  const { off: _, ...rest } = setup
  return off.length > 0 ? { ...rest, off } : rest
}
const notOff = (setup: Setup, instance: string): readonly Off[] =>
  (setup.off ?? []).filter((one) => one.instance !== instance)

/**
 * A piece taken off its mount and worn, clamped or stood elsewhere: what sits on it goes along, and no brace is left
 * between the two.
 */
const stowed = (setup: Setup, { instance, at }: Off): Setup => {
  const along = ridersOf(setup.joints, instance)
  return {
    ...setup,
    joints: setup.joints.filter(({ guest }) => guest !== instance),
    braces: setup.braces.filter(({ guest, host }) => along.has(guest) === along.has(host)),
    off: [...notOff(setup, instance), { instance, at }],
  }
}

/** Links that are led only through what is there. */
const unheld = (links: readonly Link[], there: (id: string) => boolean): readonly Link[] =>
  links.map((link) => (link.through.every(there) ? link : { ...link, through: link.through.filter(there) }))
const sameLinks = (a: readonly Link[], b: readonly Link[]): boolean =>
  a.length === b.length && a.every((link, i) => link === b[i])

/** A set-up without some pieces: their joints, all that hung on them, and every brace to what came off. */
const stripped = (setup: Setup, instance: string): Setup => {
  const joints = without(setup.joints, instance)
  const off = notOff(setup, instance)
  if (joints.length === setup.joints.length && off.length === (setup.off?.length ?? 0)) return setup
  const on = new Set([setup.root, ...off.map((one) => one.instance), ...joints.map((joint) => joint.guest)])
  const braces = setup.braces.filter((brace) => on.has(brace.guest) && on.has(brace.host))
  const links = unheld(
    setup.links.filter((link) => on.has(link.from.instance) && on.has(link.to.instance)),
    (id) => on.has(id),
  )
  return {
    ...withOff(setup, off),
    joints,
    braces: braces.length === setup.braces.length ? setup.braces : braces,
    links: sameLinks(setup.links, links) ? setup.links : links,
  }
}

/** Links without a port saver that is gone. */
const uncoupled = (links: readonly Link[], gone: string): readonly Link[] =>
  links.map((link) => {
    const { couplers, ...rest } = link
    if (couplers?.from !== gone && couplers?.to !== gone) return link
    const kept = Object.entries(couplers).filter(([, id]) => id !== gone)
    return kept.length > 0 ? { ...rest, couplers: Object.fromEntries(kept) } : rest
  })

/** A set-up in which nothing is remembered of how a piece was posed, braced or wired. */
const forgotten = (setup: Setup, instance: string): Setup => {
  const poses = setup.poses.filter((pose) => pose.instance !== instance)
  const links = unheld(
    uncoupled(setup.links, instance).filter(
      (link) => link.cable !== instance && link.from.instance !== instance && link.to.instance !== instance,
    ),
    (id) => id !== instance,
  )
  const braces = setup.braces.filter((brace) => brace.guest !== instance && brace.host !== instance)
  const same =
    poses.length === setup.poses.length && braces.length === setup.braces.length && sameLinks(setup.links, links)
  return same ? setup : { ...setup, poses, braces, links }
}

const carry = (rig: Rig, command: Command): Outcome<Rig> => {
  switch (command.do) {
    case 'add':
      return good({ ...rig, kit: [...rig.kit, command.instance] })
    case 'discard':
      if (rig.setups.some((setup) => setup.root === command.instance))
        return bad('root-stays', 'instance', { names: { instance: command.instance } })
      return good({
        ...rig,
        kit: rig.kit.filter((instance) => instance.id !== command.instance),
        setups: rig.setups.map((setup) => forgotten(stripped(setup, command.instance), command.instance)),
      })
    case 'place':
      return withSetup(rig, command.setup, (setup) => ({
        ...withOff(setup, notOff(setup, command.joint.guest)),
        joints: setup.joints.some((joint) => joint.guest === command.joint.guest)
          ? setup.joints.map((joint) => (joint.guest === command.joint.guest ? command.joint : joint))
          : [...setup.joints, command.joint],
      }))
    case 'stow':
      return withSetup(rig, command.setup, (setup) => stowed(setup, command))
    case 'take-off':
      return withSetup(rig, command.setup, (setup) => stripped(setup, command.instance))
    case 'set':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        joints: setup.joints.map((joint) =>
          joint.guest === command.instance
            ? { ...joint, slideMm: command.slideMm ?? joint.slideMm, turnDeg: command.turnDeg ?? joint.turnDeg }
            : joint,
        ),
      }))
    case 'swap':
      return withInstance(
        { ...rig, setups: rig.setups.map((setup) => forgotten(setup, command.instance)) },
        command.instance,
        (instance) => ({
          ...instance,
          partId: command.partId,
        }),
      )
    case 'note':
      return withInstance(rig, command.instance, ({ notes: _, ...rest }) =>
        command.notes ? { ...rest, notes: command.notes } : rest,
      )
    case 'status':
      return withInstance(rig, command.instance, (instance) => ({ ...instance, status: command.status }))
    case 'health':
      return withInstance(rig, command.instance, (instance) => ({ ...instance, health: command.health }))
    case 'tier':
      return withInstance(rig, command.instance, ({ tier: _, ...rest }) =>
        command.tier ? { ...rest, tier: command.tier } : rest,
      )
    case 'need':
      return withSetup(rig, command.setup, ({ neededBy: _, ...rest }) => ({
        ...rest,
        ...(command.neededBy === undefined ? {} : { neededBy: command.neededBy }),
        ...(command.weight === undefined ? {} : { weight: command.weight }),
      }))
    case 'brief':
      return good({ ...rig, brief: command.brief })
    case 'rename':
      return good({ ...rig, name: command.name })
    case 'copy-setup': {
      const source = rig.setups.find((setup) => setup.id === command.setup)
      return source
        ? good({ ...rig, setups: [...rig.setups, { ...source, id: command.id, name: command.name }] })
        : bad('setup-unknown', 'setup', { names: { id: command.setup } })
    }
    case 'change-setup':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        name: command.name ?? setup.name,
        support: command.support ?? setup.support,
        orientation: command.orientation ?? setup.orientation,
        capG: command.capG ?? setup.capG,
      }))
    case 'pose': {
      const { instance, hinge, position } = command
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        poses: [
          ...setup.poses.filter((pose) => pose.instance !== instance || pose.hinge !== hinge),
          { instance, hinge, position },
        ],
      }))
    }
    case 'link':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        links: [...setup.links.filter((link) => link.cable !== command.link.cable), command.link],
      }))
    case 'unlink':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        links: setup.links.filter((link) => link.cable !== command.cable),
      }))
    case 'brace':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        braces: [...setup.braces.filter((brace) => !sameEnds(brace, command.joint)), command.joint],
      }))
    case 'unbrace':
      return withSetup(rig, command.setup, (setup) => ({
        ...setup,
        braces: setup.braces.filter((brace) => !sameEnds(brace, command)),
      }))
    case 'drop-setup':
      return rig.setups.length > 1
        ? good({ ...rig, setups: rig.setups.filter((setup) => setup.id !== command.setup) })
        : bad('last-setup', 'setup')
  }
}

/**
 * Carries out edits one after the other, all or none. The rig given is not touched; branches that did not change stay
 * the same objects.
 * @returns the new rig, or why the edits can't be done (`instance-unknown`, `joints-in-a-ring`, ...).
 */
export const edit = (seen: Rig, commands: readonly Command[], catalogue: Catalogue): Outcome<Rig> => {
  const was = wholeOf(seen)
  let now: Outcome<Rig> = good(was)
  for (const command of commands) {
    if (!now.ok) return now
    now = carry(now.value, command)
  }
  if (!now.ok) return now
  const issues = soundnessAfter(was, now.value, catalogue)
  return issues.length > 0 ? { ok: false, issues } : now
}
