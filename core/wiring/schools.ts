import {
  type Assembly,
  type Command,
  edit,
  freshId,
  type PlacedPart,
  placeSetup,
  type Rig,
  setupOf,
} from '../assembly/index.ts'
import { mate, type Mount, type Part, standardOf, cheapestFirst } from '../catalogue/index.ts'
import { type Plan, planWiring } from './plan.ts'
import type { Stock } from './leads.ts'

/** The ways to keep a camera going that practitioners disagree about. */
export const schools = ['own', 'trickle', 'dummy'] as const
export type School = (typeof schools)[number]

/** One way to power the camera: what goes into its bay, and the leads that go with it. */
export interface SchoolPlan {
  readonly school: School
  readonly commands: readonly Command[]
  readonly plan: Plan
  /** The rig as it would be; undefined when the camera can't be powered this way, and why. */
  readonly rig: Rig | undefined
  readonly why: 'no-bay' | 'no-part' | 'no-inlet' | 'no-source' | undefined
}

const bayOf = (camera: PlacedPart): Mount | undefined =>
  camera.part.mounts.find((mount) => mount.side === 'holds' && standardOf(mount.standard).kind === 'battery')

/** Parts of a role that go into the bay: those of the kit, then of the locker, then the cheapest. */
const forBay = (
  assembly: Assembly,
  stock: Stock,
  camera: PlacedPart,
  bay: Mount,
  role: 'battery' | 'dummy',
): Part | undefined => {
  const idle = new Set(assembly.loose.map(({ part }) => part.id))
  const rank = (part: Part) => (idle.has(part.id) ? 0 : stock.owned.has(part.id) ? 1 : 2)
  const fits = (part: Part) =>
    part.mounts.some((mount) => {
      const made = mount.side === 'sits' ? mate({ part: camera.part, mount: bay }, { part, mount }) : undefined
      return made?.ok === true && !made.value.fault
    })
  return [...(stock.catalogue.byRole.get(role) ?? [])]
    .filter(fits)
    .sort((a, b) => rank(a) - rank(b) || cheapestFirst(a, b))[0]
}

/** The edits that put a part into the camera's bay, whatever was in it. */
const intoBay = (assembly: Assembly, camera: PlacedPart, bay: Mount, part: Part): readonly Command[] => {
  const setup = assembly.setup.id
  const seated = assembly.placed.find(({ joint }) => joint?.host === camera.instance.id && joint.hostMount === bay.id)
  if (seated?.part.id === part.id) return []
  const idle = assembly.loose.find(({ part: other }) => other.id === part.id)?.instance
  const id = idle?.id ?? freshId(assembly.rig, part.id)
  const foot = part.mounts.find(({ side }) => side === 'sits')
  return [
    ...(seated ? [{ do: 'take-off', setup, instance: seated.instance.id } as const] : []),
    ...(idle ? [] : [{ do: 'add', instance: { id, partId: part.id, status: 'in' } } as const]),
    {
      do: 'place',
      setup,
      joint: {
        guest: id,
        guestMount: foot?.id ?? '',
        host: camera.instance.id,
        hostMount: bay.id,
        slideMm: 0,
        turnDeg: 0,
      },
    },
  ]
}

const nothing: Plan = { leads: [], unmet: [], commands: [], exact: true, tried: 0, toBuyMinor: 0, massG: 0 }

/**
 * What another way of powering the camera undoes first: the lead to the camera's own input, or to a dummy in its bay.
 */
const unplugged = (assembly: Assembly, camera: PlacedPart, stock: Stock): readonly Command[] =>
  assembly.setup.links
    .filter(({ to, cable }) => {
      const part = stock.catalogue.parts.get(assembly.rig.kit.find(({ id }) => id === cable)?.partId ?? '')
      const sink = assembly.byInstance.get(to.instance)
      return part?.cable?.carries.includes('power') === true && (sink === camera || sink?.host === camera)
    })
    .map(({ cable }) => ({ do: 'unlink', setup: assembly.setup.id, cable }))

/** Is the camera powered this way already, with what sits in its bay? */
const isSo = (assembly: Assembly, camera: PlacedPart, stock: Stock, school: School): boolean => {
  const leads = unplugged(assembly, camera, stock).length > 0
  return school === 'own' ? !leads : leads
}

const oneSchool = (assembly: Assembly, stock: Stock, school: School): SchoolPlan => {
  const [camera] = assembly.placed
  const none = (why: SchoolPlan['why']): SchoolPlan => ({ school, commands: [], plan: nothing, rig: undefined, why })
  if (!camera) return none('no-bay')
  const bay = bayOf(camera)
  if (!bay) return none('no-bay')
  const role = school === 'dummy' ? 'dummy' : 'battery'
  const seated = assembly.placed.find(
    ({ joint, part: { role: own } }) =>
      joint?.host === camera.instance.id && joint.hostMount === bay.id && own === role,
  )
  if (seated && isSo(assembly, camera, stock, school))
    return { school, commands: [], plan: nothing, rig: assembly.rig, why: undefined }
  const part = seated?.part ?? forBay(assembly, stock, camera, bay, role)
  if (!part) return none('no-part')
  if (
    school === 'trickle' &&
    !camera.part.sockets?.some(({ direction, carries }) => direction !== 'out' && carries?.includes('power'))
  )
    return none('no-inlet')
  const first = [...unplugged(assembly, camera, stock), ...intoBay(assembly, camera, bay, part)]
  const edited = edit(assembly.rig, first, stock.catalogue)
  const setup = edited.ok ? setupOf(edited.value, assembly.setup.id) : undefined
  if (!edited.ok || !setup) return none('no-part')
  const next = placeSetup(edited.value, setup, stock.catalogue)
  const plan = planWiring(next, stock, school === 'trickle')
  if (
    plan.unmet.some(
      ({ demand }) =>
        demand.what === 'power' && (demand.piece.part.role === 'camera' || demand.piece.part.role === 'dummy'),
    )
  )
    return none('no-source')
  const wired = edit(edited.value, plan.commands, stock.catalogue)
  return {
    school,
    commands: [...first, ...plan.commands],
    plan,
    rig: wired.ok ? wired.value : undefined,
    why: undefined,
  }
}

/**
 * The set-up wired after each school: the camera's own packs; its own pack as a buffer with power trickling in by
 * USB-C; a dummy pack fed from a battery on the rig. Everything else is wired the same way.
 */
export const schoolsOf = (assembly: Assembly, stock: Stock): readonly SchoolPlan[] =>
  schools.map((school) => oneSchool(assembly, stock, school))
