import {
  type Catalogue,
  goesIn,
  type Mount,
  mountOf,
  type Part,
  type Socket,
  unknownStandard,
  withPlaceholders,
} from '../catalogue/index.ts'
import { good, type Issue, type Outcome, flatMap } from '../kernel/index.ts'
import type { Joint, Link, Rig, Setup } from './rig.ts'
import { soundnessIssues } from './soundness.ts'

/** A rig that can be placed, whatever state it was found in. */
export interface Adopted {
  /** The same object when nothing had to be mended. */
  readonly rig: Rig
  /** The catalogue, with a placeholder for every part nobody knows. */
  readonly catalogue: Catalogue
  /** What did not hold together, and was mended or stood in for; empty for a sound rig. */
  readonly mended: readonly Issue[]
}

/** Half the edge of the block that stands for a part nobody knows, mm. */
const HALF_MM = 20

const opposite = { holds: 'sits', sits: 'holds' } as const

/** Every joint and brace of the rig. */
const jointsOf = ({ setups }: Rig): readonly Joint[] => flatMap(setups, ({ joints, braces }) => [...joints, ...braces])

const blockMounts = (partId: string, rig: Rig, catalogue: Catalogue): readonly Mount[] => {
  const partOf = new Map(rig.kit.map((instance) => [instance.id, instance.partId]))
  const sideOf = (instance: string, mount: string) => {
    const part = catalogue.parts.get(partOf.get(instance) ?? '')
    return part && mountOf(part, mount)?.side
  }
  const found = new Map<string, Mount>()
  const note = (id: string, side: Mount['side'], up: 1 | -1) => {
    if (!found.has(id))
      found.set(id, {
        id,
        standard: unknownStandard.id,
        side,
        at: [0, up * HALF_MM, 0],
        out: [0, up, 0],
        up: [0, 0, -1],
      })
  }
  for (const joint of jointsOf(rig)) {
    if (partOf.get(joint.guest) === partId)
      note(joint.guestMount, opposite[sideOf(joint.host, joint.hostMount) ?? 'holds'], -1)
    if (partOf.get(joint.host) === partId)
      note(joint.hostMount, opposite[sideOf(joint.guest, joint.guestMount) ?? 'sits'], 1)
  }
  return [...found.values()]
}

const blockSockets = (partId: string, rig: Rig, catalogue: Catalogue): readonly Socket[] => {
  const partOf = new Map(rig.kit.map((instance) => [instance.id, instance.partId]))
  const socketAt = ({ instance, socket }: Link['from']) =>
    catalogue.parts.get(partOf.get(instance) ?? '')?.sockets?.find(({ id }) => id === socket)
  const found = new Map<string, Socket>()
  for (const { links } of rig.setups)
    for (const { from, to } of links)
      for (const [here, there] of [
        [from, to],
        [to, from],
      ] as const)
        if (partOf.get(here.instance) === partId && !found.has(here.socket))
          found.set(here.socket, {
            id: here.socket,
            connector: socketAt(there)?.connector ?? 'usb-c',
            direction: 'both',
            at: [0, 0, HALF_MM],
            out: [0, 0, 1],
          })
  return [...found.values()]
}

/**
 * A plain block for a part that is no longer known, with just the points, sockets and hinges the rig uses of it, so
 * that all else stays where it is.
 */
export const placeholderFor = (partId: string, rig: Rig, catalogue: Catalogue): Part => {
  const instances = new Set(rig.kit.filter((instance) => instance.partId === partId).map(({ id }) => id))
  const poses = flatMap(rig.setups, (setup) => setup.poses).filter((pose) => instances.has(pose.instance))
  const hinges = [...new Set(poses.map(({ hinge }) => hinge))].map((id) => ({
    id,
    label: id,
    at: [0, 0, 0] as const,
    axis: [0, 1, 0] as const,
    solids: [],
    mounts: [],
    positions: [
      { id: 'rest-of-it', label: 'as drawn', deg: 0 },
      ...[...new Set(poses.filter(({ hinge }) => hinge === id).map(({ position }) => position))].map((position) => ({
        id: position,
        label: position,
        deg: 0,
      })),
    ],
  }))
  return {
    id: partId,
    role: rig.setups.some(({ root }) => instances.has(root)) ? 'camera' : 'adapter',
    name: `a part that is no longer known (${partId})`,
    maker: '',
    massG: 0,
    unknown: ['massG', 'drawW'],
    centre: [0, 0, 0],
    solids: [{ kind: 'box', centre: [0, 0, 0], size: [2 * HALF_MM, 2 * HALF_MM, 2 * HALF_MM], matter: 'soft' }],
    rooms: [],
    mounts: blockMounts(partId, rig, catalogue),
    grips: [],
    ...(hinges.length > 0 ? { hinges } : {}),
    sockets: blockSockets(partId, rig, catalogue),
    provides: [],
    fits: [],
    price: { low: 0, usual: 0, high: 0 },
  }
}

const firstOfEach = <T>(list: readonly T[], keyOf: (item: T) => string): readonly T[] => {
  const seen = new Set<string>()
  return list.filter((item) => !seen.has(keyOf(item)) && seen.add(keyOf(item)))
}

/** Joints without those that would close a ring. */
const withoutRings = (joints: readonly Joint[]): readonly Joint[] => {
  const hosts = new Map<string, string>()
  return joints.filter(({ guest, host }) => {
    for (let at: string | undefined = host; at !== undefined; at = hosts.get(at)) if (at === guest) return false
    hosts.set(guest, host)
    return true
  })
}

const mendSetup = (setup: Setup, partOf: ReadonlyMap<string, Part>, camera: string | undefined): Setup => {
  const root = partOf.has(setup.root) ? setup.root : (camera ?? setup.root)
  const has = (instance: string, mount: string) => {
    const part = partOf.get(instance)
    return part !== undefined && mountOf(part, mount) !== undefined
  }
  const meet = (joint: Joint) => has(joint.guest, joint.guestMount) && has(joint.host, joint.hostMount)
  const joints = withoutRings(
    firstOfEach(setup.joints, ({ guest }) => guest).filter((joint) => joint.guest !== root && meet(joint)),
  )
  const sits = new Set([root, ...joints.map(({ guest }) => guest)])
  const off = firstOfEach(setup.off ?? [], ({ instance }) => instance).filter(
    ({ instance }) => partOf.has(instance) && !sits.has(instance),
  )
  const on = new Set([...sits, ...off.map(({ instance }) => instance)])
  const saving = new Set<string>()
  const saves = (id: string, { instance, socket }: Link['from']): boolean => {
    const plug = partOf.get(id)?.coupler?.connector
    const own = partOf.get(instance)?.sockets?.find((one) => one.id === socket)
    return plug !== undefined && own !== undefined && goesIn(plug, own.connector)
  }
  /** Port savers that are such and go in, each once. */
  const savers = (couplers: NonNullable<Link['couplers']>, ends: Pick<Link, 'from' | 'to'>): Pick<Link, 'couplers'> => {
    const kept = Object.entries(couplers).filter(
      ([end, id]) => saves(id, ends[end as 'from' | 'to']) && !saving.has(id) && saving.add(id),
    )
    return kept.length > 0 ? { couplers: Object.fromEntries(kept) } : {}
  }
  const reaches = ({ instance, socket }: Link['from']) =>
    partOf.get(instance)?.sockets?.some(({ id }) => id === socket) ?? false
  return {
    ...setup,
    root,
    joints,
    ...(setup.off ? { off } : {}),
    braces: setup.braces.filter((brace) => on.has(brace.guest) && on.has(brace.host) && meet(brace)),
    poses: setup.poses.filter(({ instance, hinge, position }) =>
      partOf
        .get(instance)
        ?.hinges?.find(({ id }) => id === hinge)
        ?.positions.some(({ id }) => id === position),
    ),
    links: firstOfEach(setup.links, ({ cable }) => cable)
      .filter(({ cable, from, to }) => partOf.get(cable)?.cable !== undefined && reaches(from) && reaches(to))
      .map(({ couplers = {}, ...link }) => ({
        ...link,
        through: link.through.filter((id) => partOf.get(id)?.holdsCable !== undefined),
        ...savers(couplers, link),
      })),
  }
}

const mend = (rig: Rig, catalogue: Catalogue): Rig => {
  const kit = firstOfEach(rig.kit, ({ id }) => id)
  const partOf = new Map(
    flatMap(kit, ({ id, partId }) => {
      const part = catalogue.parts.get(partId)
      return part ? [[id, part] as const] : []
    }),
  )
  const camera = kit.find(({ id }) => partOf.get(id)?.role === 'camera')?.id
  return {
    ...rig,
    brief: {
      ...rig.brief,
      lenses: rig.brief.lenses.filter(({ partId }) => catalogue.parts.get(partId)?.role === 'lens'),
    },
    kit: [...kit],
    setups: firstOfEach(rig.setups, ({ id }) => id).map((setup) => mendSetup(setup, partOf, camera)),
  }
}

/**
 * Takes a rig up from wherever it comes: server, undo, a draft, another window, a file, a backup. A part nobody knows
 * gets a placeholder, and what names something that is not there comes off or is unplugged, so that the rig can always
 * be placed. The rig given is not touched.
 * @returns the rig with what was mended, or the issues that nothing can be made of, such as a kit without any piece to
 * hang the rest on
 */
export const adoptRig = (rig: Rig, catalogue: Catalogue): Outcome<Adopted> => {
  const found = soundnessIssues(rig, catalogue)
  if (found.length === 0) return good({ rig, catalogue, mended: [] })
  const unknown = [...new Set(rig.kit.map(({ partId }) => partId))].filter((id) => !catalogue.parts.has(id))
  const known = withPlaceholders(
    catalogue,
    unknown.map((id) => placeholderFor(id, rig, catalogue)),
  )
  if (soundnessIssues(rig, known).length === 0) return good({ rig, catalogue: known, mended: found })
  const mended = mend(rig, known)
  const left = soundnessIssues(mended, known)
  return left.length > 0 ? { ok: false, issues: left } : good({ rig: mended, catalogue: known, mended: found })
}
