import type { LensUse } from '../brief/index.ts'
import {
  type Catalogue,
  diameterOf,
  type Kind,
  type LensOptics,
  mate,
  type Mount,
  type MountEnd,
  type Part,
  type SensorOptics,
  standardOf,
  cheapestFirst,
} from '../catalogue/index.ts'
import { perKey, flatMap } from '../kernel/index.ts'
import { angleDeg, diagonalMm, equivalentMm } from './field.ts'
import { pictureOf } from './front.ts'

/** A lens of the kit on one camera: how it goes on, and what it shows there. */
export interface LensFit {
  readonly part: Part
  readonly glass: LensOptics
  readonly share: number
  readonly way: 'direct' | 'adapter' | 'none'
  readonly adapter: Part | undefined
  /** Do focus and iris obey the body? */
  readonly contacts: boolean
  /** Focus by the camera, or by the hand on the ring. */
  readonly focus: 'auto' | 'hand'
  /** By how much the camera has to crop so that the lens fills the picture; 1: not at all. */
  readonly crop: number
  /** Does the camera have a mode for that crop? */
  readonly cropMode: boolean
  /** What it shows, as focal lengths on 36 x 24 mm, at its short and long end. */
  readonly fromMm: number
  readonly toMm: number
  /** Angle of view across the picture at both ends, degrees. */
  readonly wideDeg: number
  readonly narrowDeg: number
  readonly threadMm: number | undefined
  /** Outer diameter of its front, when a matte box can clamp on it. */
  readonly frontMm: number | undefined
}

/** The mounts of a part by what sort of joint they make and which end they are. */
export const mountsOf = (part: Part, kind: Kind, side: Mount['side']): readonly MountEnd[] =>
  part.mounts
    .filter((mount) => mount.side === side && standardOf(mount.standard).kind === kind)
    .map((mount) => ({ part, mount }))

/** The size of a lens's filter thread or clamp-on front, mm. */
const sizes = perKey<Part, number | undefined>('sizes of a part')
export const sizeOn = (part: Part, kind: 'filter' | 'clamp', side: Mount['side'] = 'holds'): number | undefined =>
  sizes(part, `${kind} ${side}`, () => diameterOf(mountsOf(part, kind, side)[0]?.mount.family))

const goTogether = (hosts: readonly MountEnd[], guests: readonly MountEnd[]): boolean =>
  hosts.some((host) => guests.some((guest) => mate(host, guest).ok))

const hasContacts = (adapter: Part): boolean => adapter.optics?.kind === 'adapter' && adapter.optics.contacts

/** Adapters that put a lens on a body: owned first, then with contacts, then the cheapest. */
export const adaptersFor = (
  camera: Part,
  lens: Part,
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
): readonly Part[] => {
  const [body, bayonet] = [mountsOf(camera, 'bayonet', 'holds'), mountsOf(lens, 'bayonet', 'sits')]
  return (catalogue.byRole.get('lens-adapter') ?? [])
    .filter(
      (part) =>
        goTogether(body, mountsOf(part, 'bayonet', 'sits')) && goTogether(mountsOf(part, 'bayonet', 'holds'), bayonet),
    )
    .sort(
      (a, b) =>
        Number((owned.get(b.id) ?? 0) > 0) - Number((owned.get(a.id) ?? 0) > 0) ||
        Number(hasContacts(b)) - Number(hasContacts(a)) ||
        cheapestFirst(a, b),
    )
}

/** Image circles are stated to the tenth of a millimetre. */
const ROUNDING_MM = 0.1

/**
 * How a picture is delivered: width over height, 0 for all of the sensor, from a camera that is held level or upright.
 */
export interface Delivery {
  readonly aspect: number
  readonly upright: boolean
}
const wholeSensor: Delivery = { aspect: 0, upright: false }

/**
 * The least crop of a camera in which a lens fills the picture that is delivered, and whether the camera has a mode for
 * it.
 */
export const cropFor = (
  sensor: SensorOptics,
  circleMm: number,
  { aspect, upright }: Delivery = wholeSensor,
): { readonly crop: number; readonly cropMode: boolean } => {
  const across = diagonalMm(pictureOf(sensor, aspect, upright))
  if (circleMm + ROUNDING_MM >= across) return { crop: 1, cropMode: true }
  const mode = [...(sensor.crops ?? [])].sort((a, b) => a - b).find((crop) => across / crop <= circleMm + ROUNDING_MM)
  return mode === undefined ? { crop: across / circleMm, cropMode: false } : { crop: mode, cropMode: true }
}

/**
 * How each lens of a kit goes on a camera, and what it shows of the picture that is delivered. Lenses or cameras
 * without optical data are left out.
 */
export const lensFits = (
  camera: Part,
  uses: readonly LensUse[],
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
  delivery: Delivery = wholeSensor,
): readonly LensFit[] => {
  const sensor = camera.optics
  if (sensor?.kind !== 'sensor') return []
  return flatMap(uses, ({ partId, share }): LensFit[] => {
    const part = catalogue.parts.get(partId)
    const glass = part?.optics
    if (!part || glass?.kind !== 'lens') return []
    const direct = goTogether(mountsOf(camera, 'bayonet', 'holds'), mountsOf(part, 'bayonet', 'sits'))
    const adapter = direct ? undefined : adaptersFor(camera, part, catalogue, owned)[0]
    const contacts = direct || (adapter !== undefined && hasContacts(adapter))
    const { crop, cropMode } = cropFor(sensor, glass.imageCircleMm, delivery)
    const used = pictureOf(sensor, delivery.aspect, delivery.upright, crop)
    const acrossMm = delivery.upright ? used.tallMm : used.wideMm
    return [
      {
        part,
        glass,
        share,
        way: direct ? 'direct' : adapter ? 'adapter' : 'none',
        adapter,
        contacts,
        focus: contacts && glass.autofocus ? 'auto' : 'hand',
        crop,
        cropMode,
        fromMm: equivalentMm(glass.focalMinMm, used),
        toMm: equivalentMm(glass.focalMaxMm, used),
        wideDeg: angleDeg(glass.focalMinMm, acrossMm),
        narrowDeg: angleDeg(glass.focalMaxMm, acrossMm),
        threadMm: sizeOn(part, 'filter'),
        frontMm: sizeOn(part, 'clamp'),
      },
    ]
  })
}
