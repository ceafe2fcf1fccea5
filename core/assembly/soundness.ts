import { flatMap, perPair } from '../kernel/index.ts'
import { type Catalogue, goesIn, mountOf } from '../catalogue/index.ts'
import type { Issue } from '../kernel/index.ts'
import { changeBetween } from './change.ts'
import type { Joint, Rig, Setup } from './rig.ts'

/** Those that are there more than once, each told once; mostly there is none. */
const repeated = (ids: readonly string[]): readonly string[] =>
  new Set(ids).size === ids.length ? [] : [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))]

const sameIds = (rig: Rig, of: 'kit' | 'setups'): readonly Issue[] =>
  repeated(rig[of].map(({ id }) => id)).map((id) => ({ code: 'id-repeated', path: of, names: { id } }))

const partIssues = ({ kit }: Rig, { parts }: Catalogue): readonly Issue[] =>
  flatMap(kit, ({ partId }, i): Issue[] =>
    parts.has(partId) ? [] : [{ code: 'part-unknown', path: `kit[${i}].partId`, names: { part: partId } }],
  )

const setupIssues = (rig: Rig, setup: Setup, path: string, catalogue: Catalogue): Issue[] => {
  const issues: Issue[] = []
  const partOf = new Map(rig.kit.map((instance) => [instance.id, catalogue.parts.get(instance.partId)]))
  if (!partOf.has(setup.root))
    issues.push({ code: 'root-missing', path: `${path}.root`, names: { instance: setup.root } })
  for (const guest of repeated(setup.joints.map((joint) => joint.guest)))
    issues.push({ code: 'sits-twice', path: `${path}.joints`, names: { instance: guest } })
  setup.joints.forEach((joint, i) => {
    const at = `${path}.joints[${i}]`
    if (joint.guest === setup.root) issues.push({ code: 'root-is-guest', path: at, names: { instance: joint.guest } })
    for (const [instance, mount, end] of [
      [joint.host, joint.hostMount, 'host'],
      [joint.guest, joint.guestMount, 'guest'],
    ] as const) {
      if (!partOf.has(instance)) issues.push({ code: 'instance-unknown', path: `${at}.${end}`, names: { instance } })
      const part = partOf.get(instance)
      if (part && !mountOf(part, mount))
        issues.push({ code: 'mount-unknown', path: `${at}.${end}Mount`, names: { mount, part: part.name } })
    }
  })
  const off = (setup.off ?? []).map(({ instance }) => instance)
  for (const instance of repeated(off)) issues.push({ code: 'off-twice', path: `${path}.off`, names: { instance } })
  off.forEach((instance, i) => {
    const at = `${path}.off[${i}]`
    if (!partOf.has(instance)) issues.push({ code: 'instance-unknown', path: at, names: { instance } })
    if (instance === setup.root || setup.joints.some(({ guest }) => guest === instance))
      issues.push({ code: 'off-and-on', path: at, names: { instance } })
  })
  const jointed = new Set([setup.root, ...off, ...setup.joints.map((joint) => joint.guest)])
  setup.braces.forEach((brace, i) => {
    const at = `${path}.braces[${i}]`
    for (const [instance, mount, end] of [
      [brace.host, brace.hostMount, 'host'],
      [brace.guest, brace.guestMount, 'guest'],
    ] as const) {
      const part = partOf.get(instance)
      if (!jointed.has(instance) || !part)
        issues.push({ code: 'brace-loose', path: `${at}.${end}`, names: { instance } })
      else if (!mountOf(part, mount))
        issues.push({ code: 'mount-unknown', path: `${at}.${end}Mount`, names: { mount, part: part.name } })
    }
  })
  setup.poses.forEach((pose, i) => {
    const hinge = partOf.get(pose.instance)?.hinges?.find(({ id }) => id === pose.hinge)
    if (!hinge?.positions.some(({ id }) => id === pose.position))
      issues.push({ code: 'pose-unknown', path: `${path}.poses[${i}]`, names: { ...pose } })
  })
  const cables = setup.links.map((link) => link.cable)
  for (const cable of repeated(cables)) issues.push({ code: 'cable-twice', path: `${path}.links`, names: { cable } })
  setup.links.forEach((link, i) => {
    const at = `${path}.links[${i}]`
    if (!partOf.get(link.cable)?.cable)
      issues.push({ code: 'cable-unknown', path: `${at}.cable`, names: { cable: link.cable } })
    for (const end of ['from', 'to'] as const) {
      const { instance, socket } = link[end]
      if (!partOf.get(instance)?.sockets?.some(({ id }) => id === socket))
        issues.push({ code: 'socket-unknown', path: `${at}.${end}`, names: { instance, socket } })
    }
    for (const end of ['from', 'to'] as const) {
      const coupler = link.couplers?.[end]
      if (coupler === undefined) continue
      const plug = partOf.get(coupler)?.coupler?.connector
      const socket = partOf.get(link[end].instance)?.sockets?.find(({ id }) => id === link[end].socket)
      if (!plug) issues.push({ code: 'coupler-unknown', path: `${at}.couplers.${end}`, names: { coupler } })
      else if (socket && !goesIn(plug, socket.connector))
        issues.push({ code: 'coupler-unfit', path: `${at}.couplers.${end}`, names: { coupler, socket: socket.id } })
    }
    for (const instance of link.through)
      if (!partOf.get(instance)?.holdsCable)
        issues.push({ code: 'holds-no-cable', path: `${at}.through`, names: { instance } })
  })
  const couplers = flatMap(setup.links, (link) => Object.values(link.couplers ?? {}))
  for (const coupler of repeated(couplers))
    issues.push({ code: 'coupler-twice', path: `${path}.links`, names: { coupler } })
  const hostOf = new Map(setup.joints.map((joint) => [joint.guest, joint.host]))
  for (const guest of hostOf.keys()) {
    const seen = new Set<string>()
    for (let at: string | undefined = guest; at !== undefined; at = hostOf.get(at)) {
      if (seen.has(at)) {
        issues.push({ code: 'joints-in-a-ring', path: `${path}.joints`, names: { instance: guest } })
        break
      }
      seen.add(at)
    }
  }
  return issues
}

const lensIssues = ({ brief }: Rig, { parts }: Catalogue): readonly Issue[] =>
  flatMap(brief.lenses, ({ partId }, i): Issue[] =>
    parts.get(partId)?.role === 'lens'
      ? []
      : [{ code: 'lens-unknown', path: `brief.lenses[${i}]`, names: { part: partId } }],
  )

/**
 * What the schema can't see: ids that name nothing, pieces that sit twice, rings of joints, parts the catalogue doesn't
 * know.
 * @returns an empty list for a rig that can be placed.
 */
export const soundnessIssues = (rig: Rig, catalogue: Catalogue): readonly Issue[] => [
  ...sameIds(rig, 'kit'),
  ...sameIds(rig, 'setups'),
  ...partIssues(rig, catalogue),
  ...lensIssues(rig, catalogue),
  ...flatMap(rig.setups, (setup, i) => setupIssues(rig, setup, `setups[${i}]`, catalogue)),
]

/** What is known of a rig and a catalogue: has it been found sound? */
const known = perPair('rigs that can be placed', (_rig: Rig, _catalogue: Catalogue): { sound?: boolean } => ({}))
const isSound = (rig: Rig, catalogue: Catalogue): boolean =>
  (known(rig, catalogue).sound ??= soundnessIssues(rig, catalogue).length === 0)

/** Are the pieces of a kit that stand behind the first so many known, each under an id of its own? */
const restIsSound = ({ kit }: Rig, from: number, { parts }: Catalogue): boolean =>
  kit.slice(from).every(({ id, partId }) => parts.has(partId) && kit.filter((one) => one.id === id).length === 1)

/** Do the ends of a joint name mounts that there are? */
const endsAreThere = ({ kit }: Rig, { host, hostMount, guest, guestMount }: Joint, { parts }: Catalogue): boolean => {
  const has = (instance: string, mount: string): boolean => {
    const part = parts.get(kit.find(({ id }) => id === instance)?.partId ?? '')
    return part !== undefined && mountOf(part, mount) !== undefined
  }
  return has(host, hostMount) && has(guest, guestMount)
}

/** Does a piece sit on itself, by however many others? */
const ridesOnItself = (joints: Setup['joints'], guest: string): boolean => {
  let at: string | undefined = guest
  for (let steps = 0; at !== undefined; steps++) {
    if (steps > joints.length) return true
    const now: string = at
    at = joints.find((joint) => joint.guest === now)?.host
  }
  return false
}

/** Is a set-up that was sound still so when nothing but joints of it changed? False where that can't be told so. */
const stillHolds = (was: Setup, now: Setup, rig: Rig, catalogue: Catalogue): boolean => {
  if (was === now) return true
  const { joints, root, off = [], braces } = now
  const rest: readonly (keyof Setup)[] = ['id', 'root', 'off', 'braces', 'poses', 'links']
  if (rest.some((field) => was[field] !== now[field])) return false
  const change = changeBetween(was.joints, joints)
  if (!change) return false
  const sits = (instance: string): number => joints.filter(({ guest }) => guest === instance).length
  return (
    change.came.every(
      (joint) =>
        joint.guest !== root &&
        sits(joint.guest) === 1 &&
        !off.some(({ instance }) => instance === joint.guest) &&
        endsAreThere(rig, joint, catalogue) &&
        !ridesOnItself(joints, joint.guest),
    ) &&
    // What a second hold holds has to sit somewhere.
    (braces.length === 0 || change.went.every(({ guest }) => sits(guest) === 1))
  )
}

/** Is a rig that was made of a sound one by edits still sound? False where that is not told by what changed alone. */
const stillSound = (was: Rig, rig: Rig, catalogue: Catalogue): boolean =>
  was.kit.length <= rig.kit.length &&
  (was.kit === rig.kit || was.kit.every((instance, i) => instance === rig.kit[i])) &&
  restIsSound(rig, was.kit.length, catalogue) &&
  was.brief === rig.brief &&
  was.setups.length === rig.setups.length &&
  rig.setups.every((setup, i) => {
    const before = was.setups[i]
    return before !== undefined && stillHolds(before, setup, rig, catalogue)
  })

/**
 * What `soundnessIssues` says of a rig that was made of another by edits. Of most that were sound it is soon told that they
 * still are; all others are looked at whole.
 */
export const soundnessAfter = (was: Rig, rig: Rig, catalogue: Catalogue): readonly Issue[] => {
  const issues = isSound(was, catalogue) && stillSound(was, rig, catalogue) ? [] : soundnessIssues(rig, catalogue)
  known(rig, catalogue).sound = issues.length === 0
  return issues
}
