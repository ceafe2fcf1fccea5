import { flatMap } from '../kernel/index.ts'
import type { Assembly } from '../assembly/index.ts'
import { type AspectId, aspects, type LensUse } from '../brief/index.ts'
import type { Context } from '../context/index.ts'
import {
  type Clean,
  cleanOf,
  type Delivery,
  drivesOf,
  economyOf,
  type Front,
  frontOf,
  lensFits,
  lightPlan,
  pictureOf,
  sensorOf,
  supportsOf,
} from '../optics/index.ts'
import { fact, type FactTable } from './define.ts'
import type { Delivered } from './figures.ts'

type Names = 'front' | 'deliveries' | 'picture' | 'clean' | 'lensKit' | 'light' | 'economy' | 'supports' | 'drives'

/**
 * The pictures a take of this set-up is for. A camera is turned on its side for the upright ones of the brief; held
 * level it takes the chief one and all that are cut from it.
 */
const aspectsOf = ({ rig, setup }: Assembly): readonly AspectId[] => {
  const all = [...new Set([rig.brief.light.aspect, ...rig.brief.light.also])]
  const tall = all.filter((id) => aspects[id] > 0 && aspects[id] < 1)
  return setup.orientation === 'upright' && tall.length > 0 ? tall : all
}

/** The chief picture of a set-up. */
export const deliveryOf = (assembly: Assembly): Delivery => ({
  aspect: aspects[aspectsOf(assembly)[0] ?? 'full'],
  upright: assembly.setup.orientation === 'upright',
})

/** The picture that is clear last counts; one that never is, most of all. */
const cleanOfAll = (front: Front, deliveries: readonly Delivered[]): Clean | undefined =>
  deliveries
    .map(({ picture }) => cleanOf(front, picture))
    .reduce<Clean | undefined>(
      (worst, one) => (!worst || (one.fromMm ?? Infinity) > (worst.fromMm ?? Infinity) ? one : worst),
      undefined,
    )

/** What is owned, and what the kit brings anyway. */
const atHand = ({ rig }: Assembly, { owned }: Context): ReadonlyMap<string, number> => {
  const all = new Map(owned)
  for (const { partId, status } of rig.kit) if (status === 'in') all.set(partId, Math.max(1, all.get(partId) ?? 0))
  return all
}

const lensUses = ({ rig }: Assembly, { catalogue }: Context): readonly LensUse[] => {
  if (rig.brief.lenses.length > 0) return rig.brief.lenses
  const ids = [...new Set(rig.kit.filter(({ status }) => status === 'in').map(({ partId }) => partId))]
  const lenses = ids.filter((id) => catalogue.parts.get(id)?.role === 'lens')
  return lenses.map((partId) => ({ partId, share: 100 / lenses.length }))
}

/** What is before the sensor: lens, front, filters, light. */
export const glassFacts: FactTable<Names> = {
  /** The lens on the camera and what stands before it. */
  front: fact([], ({ assembly }) => frontOf(assembly), 'glass'),
  /** All pictures that are delivered from a take of this set-up, the chief one first. */
  deliveries: fact(
    [],
    ({ assembly }) => {
      const sensor = sensorOf(assembly)
      const upright = assembly.setup.orientation === 'upright'
      return flatMap(aspectsOf(assembly), (aspect) =>
        sensor ? [{ aspect, picture: pictureOf(sensor, aspects[aspect], upright) }] : [],
      )
    },
    'glass',
  ),
  /** The part of the sensor that the chief picture uses, as this set-up holds the camera. */
  picture: fact(['deliveries'], ({ deliveries: [chief] }) => chief?.picture, 'glass'),
  /** From where on the front of the lens is clear of every picture that is delivered. */
  clean: fact(['front', 'deliveries'], ({ front, deliveries }) => front && cleanOfAll(front, deliveries), 'glass'),
  /** The lenses that come along on this camera: the brief's, or else those on the set-ups. */
  lensKit: fact(
    [],
    ({ assembly, context }) => {
      const [camera] = assembly.placed
      if (!camera) return []
      const { catalogue } = context
      const uses = lensUses(assembly, context)
      return lensFits(camera.part, uses, catalogue, atHand(assembly, context), deliveryOf(assembly))
    },
    'glass',
  ),
  light: fact([], ({ assembly }) => lightPlan(assembly), 'glass'),
  economy: fact(
    ['lensKit'],
    ({ context, lensKit }) =>
      (['variable-nd', 'nd'] as const).map((effect) => ({
        effect,
        ways: economyOf(lensKit, effect, context.catalogue, context.owned),
      })),
    'glass',
  ),
  supports: fact([], ({ assembly }) => supportsOf(assembly)),
  drives: fact([], ({ assembly }) => drivesOf(assembly), 'glass'),
}
