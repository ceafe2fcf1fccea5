import { emptyBrief } from '../brief/index.ts'
import { RIG_VERSION } from './rig.ts'

type Raw = Record<string, unknown>

const isRaw = (value: unknown): value is Raw => value !== null && typeof value === 'object' && !Array.isArray(value)
const each = (value: unknown, change: (item: Raw) => Raw): unknown =>
  Array.isArray(value) ? value.map((item: unknown) => (isRaw(item) ? change(item) : item)) : value

/** How a day was exposed before the brief knew of it, and the latitude that was taken. */
const { place: usualPlace, also: _, ...usualLight } = emptyBrief.light
const lightOf4 = { ...usualLight, latitudeDeg: usualPlace.latitudeDeg }

const placed = (brief: Raw): Raw => {
  if (!isRaw(brief['light'])) return brief
  const { latitudeDeg, ...light } = brief['light']
  return { ...brief, light: { also: [], place: { name: '', latitudeDeg, longitudeDeg: 0, zone: 'UTC' }, ...light } }
}

/** What each older version lacks, by the version it starts from. */
const lifts: Readonly<Record<number, (rig: Raw) => Raw>> = {
  // Set-ups were always level, without braces, poses or a cap of their own, and the brief knew no width.
  1: (rig) => ({
    ...rig,
    version: 2,
    brief: isRaw(rig['brief']) ? { wideMm: 0, ...rig['brief'] } : rig['brief'],
    setups: each(rig['setups'], (setup) => ({ orientation: 'level', capG: 0, braces: [], poses: [], ...setup })),
  }),
  // Nothing was wired.
  2: (rig) => ({ ...rig, version: 3, setups: each(rig['setups'], (setup) => ({ links: [], ...setup })) }),
  // Leads ran straight, and the brief knew no parts of the day and no recording.
  3: (rig) => ({
    ...rig,
    version: 4,
    brief: isRaw(rig['brief']) ? { phases: [], codec: '', ...rig['brief'] } : rig['brief'],
    setups: each(rig['setups'], (setup) => ({
      ...setup,
      links: each(setup['links'], (link) => ({ through: [], ...link })),
    })),
  }),
  // The brief knew no lens kit, no exposure and no monthly money.
  4: (rig) => ({
    ...rig,
    version: 5,
    brief: isRaw(rig['brief'])
      ? { light: lightOf4, lenses: [], fieldsMm: [], monthlyMinor: 0, ...rig['brief'] }
      : rig['brief'],
  }),
  // The day knew a latitude and went by the sun: that is a place on the meridian of Greenwich.
  5: (rig) => ({ ...rig, version: 6, brief: isRaw(rig['brief']) ? placed(rig['brief']) : rig['brief'] }),
}

/**
 * Brings a rig written by an older version of the program up to the present one; anything else comes back as it is, for
 * the schema to judge.
 * @example a version 1 set-up comes out level, with no braces, no poses and no leads
 */
export const liftRig = (rig: unknown): unknown => {
  let now = rig
  while (isRaw(now) && typeof now['version'] === 'number' && now['version'] < RIG_VERSION) {
    const lift = lifts[now['version']]
    if (!lift) return now
    now = lift(now)
  }
  return now
}
