import { type Brief, dayOf, type Phase, type Scene, sceneEv } from './brief.ts'
import { lowSunStops, sunAltitudeDeg } from './sun.ts'

/** One part of the day and the light in it. */
export interface PhaseLight {
  readonly phase: Phase
  /** Minutes after midnight. */
  readonly fromMin: number
  readonly toMin: number
  readonly scene: Scene
  /** Did the operator name the scene? */
  readonly named: boolean
  /** Where the sun stands in the middle of it, degrees. */
  readonly sunDeg: number
  /** EV at ISO 100 at its brightest and its darkest moment. */
  readonly brightEv: number
  readonly darkEv: number
}

/** The sun is this far under the horizon when the last of the day is gone, degrees. */
const NIGHT_DEG = -6
const sunlit: ReadonlySet<Scene> = new Set(['water-in-sun', 'sun', 'hazy'])

const suggested = ({ conditions }: Pick<Brief, 'conditions'>, sunDeg: number): Scene => {
  if (sunDeg <= NIGHT_DEG) return 'night'
  if (sunDeg <= 0) return 'dusk'
  if (!conditions.includes('sun')) return 'overcast'
  return conditions.includes('spray') ? 'water-in-sun' : 'sun'
}

/** EV of a scene with the sun where it is: sunlit ones dim as it sinks, down to dusk; the others are what they are. */
export const evAt = (scene: Scene, sunDeg: number): number =>
  sunlit.has(scene) ? Math.max(sceneEv.dusk, sceneEv[scene] - lowSunStops(sunDeg)) : sceneEv[scene]

/** Within one part the light is looked at this often, minutes. */
const LOOK_MIN = 5

/**
 * The light of the day, part by part: the scene the operator names, or else what hour and conditions suggest, dimmed by a low sun.
 * Parts in which the camera is off are left out.
 */
export const dayLight = (brief: Brief): readonly PhaseLight[] => {
  const before = known.get(brief)
  if (before) return before
  const found = workedOut(brief)
  known.set(brief, found)
  return found
}

/** The light of a brief, once worked out: every evaluation of its rig asks for it again. */
const known = new WeakMap<Brief, readonly PhaseLight[]>()

const workedOut = (brief: Brief): readonly PhaseLight[] => {
  let at = brief.light.startMin
  return dayOf(brief).flatMap((phase): PhaseLight[] => {
    const [fromMin, toMin] = [at, at + phase.minutes]
    at = toMin
    if (phase.kind === 'off') return []
    const altitude = (minute: number) => sunAltitudeDeg(brief.light.latitudeDeg, brief.light.date, minute)
    const sunDeg = altitude((fromMin + toMin) / 2)
    const scene = phase.scene ?? suggested(brief, sunDeg)
    const looks = Math.max(1, Math.ceil(phase.minutes / LOOK_MIN))
    const evs = Array.from({ length: looks + 1 }, (_, i) => evAt(scene, altitude(fromMin + (phase.minutes * i) / looks)))
    return [
      { phase, fromMin, toMin, scene, named: phase.scene !== undefined, sunDeg, brightEv: Math.max(...evs), darkEv: Math.min(...evs) },
    ]
  })
}

/** The parts of the day in which something is filmed; if nobody said, all of them. */
export const filmedLight = (brief: Brief): readonly PhaseLight[] => {
  const all = dayLight(brief)
  const filmed = all.filter(({ phase }) => phase.kind === 'roll')
  return filmed.length > 0 ? filmed : all
}

/** The range of scene light to film in, EV at ISO 100; night is in it when the brief says dark; overcast when nothing is known. */
export const lightOf = (brief: Brief): { readonly lowEv: number; readonly highEv: number; readonly scenes: readonly Scene[] } => {
  const filmed = filmedLight(brief)
  const night: readonly Scene[] = brief.conditions.includes('dark') ? ['night'] : []
  const scenes = [...new Set([...filmed.map(({ scene }) => scene), ...night])]
  if (scenes.length === 0) return { lowEv: sceneEv.overcast, highEv: sceneEv.overcast, scenes: ['overcast'] }
  const nightEvs = night.map((scene) => sceneEv[scene])
  return {
    lowEv: Math.min(...filmed.map(({ darkEv }) => darkEv), ...nightEvs),
    highEv: Math.max(...filmed.map(({ brightEv }) => brightEv), ...nightEvs),
    scenes,
  }
}
