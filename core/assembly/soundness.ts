import { flatMap } from '../kernel/index.ts'
import { type Catalogue, goesIn, mountOf } from '../catalogue/index.ts'
import type { Issue } from '../kernel/index.ts'
import type { Rig, Setup } from './rig.ts'

const repeated = (ids: readonly string[]): string[] => [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))]

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

/**
 * What the schema can't see: ids that name nothing, pieces that sit twice, rings of joints, parts the catalogue doesn't
 * know.
 * @returns an empty list for a rig that can be placed.
 */
export const soundnessIssues = (rig: Rig, catalogue: Catalogue): readonly Issue[] => [
  ...repeated(rig.kit.map((instance) => instance.id)).map((id) => ({
    code: 'id-repeated',
    path: 'kit',
    names: { id },
  })),
  ...repeated(rig.setups.map((setup) => setup.id)).map((id) => ({
    code: 'id-repeated',
    path: 'setups',
    names: { id },
  })),
  ...flatMap(rig.kit, (instance, i): Issue[] =>
    catalogue.parts.has(instance.partId)
      ? []
      : [{ code: 'part-unknown', path: `kit[${i}].partId`, names: { part: instance.partId } }],
  ),
  ...flatMap(rig.brief.lenses, ({ partId }, i): Issue[] =>
    catalogue.parts.get(partId)?.role === 'lens'
      ? []
      : [{ code: 'lens-unknown', path: `brief.lenses[${i}]`, names: { part: partId } }],
  ),
  ...flatMap(rig.setups, (setup, i) => setupIssues(rig, setup, `setups[${i}]`, catalogue)),
]
