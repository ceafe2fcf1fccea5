import { type Brief, dayOf, type Phase, type Scene, sceneEv } from './brief.ts'
import { perKey, perPair, flatMap } from '../kernel/index.ts'
import {
  instantOf,
  lowCloudStops,
  lowSunStops,
  NIGHT_DEG,
  RISE_DEG,
  sunAt,
  type SunPosition,
  type Whereabouts,
} from './sun.ts'

/** One part of the day and the light in it. */
export interface PhaseLight {
  readonly phase: Phase
  /** Minutes after midnight by the clocks of the place. */
  readonly fromMin: number
  readonly toMin: number
  /** The scene in the middle of it; and all there are, from its first moment to its last. */
  readonly scene: Scene
  readonly scenes: readonly Scene[]
  /** Did the operator name the scene? */
  readonly named: boolean
  /**
   * A scene in the sun was named for a part that begins after sunset or ends before sunrise: what the hour gives is
   * taken instead.
   */
  readonly refused: 'sun-is-down' | undefined
  /** Where the sun is seen in the middle of it, degrees; and its bearing from north over east. */
  readonly sunDeg: number
  readonly bearingDeg: number
  /** EV at ISO 100 at its brightest and its darkest moment. */
  readonly brightEv: number
  readonly darkEv: number
}

const sunlit: ReadonlySet<Scene> = new Set(['water-in-sun', 'sun', 'hazy'])

const suggested = ({ conditions }: Pick<Brief, 'conditions'>, sunDeg: number): Scene => {
  if (sunDeg <= NIGHT_DEG) return 'night'
  if (sunDeg <= RISE_DEG) return 'dusk'
  if (!conditions.includes('sun')) return 'overcast'
  return conditions.includes('spray') ? 'water-in-sun' : 'sun'
}

/** From sunset to the end of twilight the light falls from that of dusk to that of a lit street, evenly in stops. */
const twilightEv = (sunDeg: number): number => {
  const gone = Math.min(1, (RISE_DEG - sunDeg) / (RISE_DEG - NIGHT_DEG))
  return sceneEv.dusk + gone * (sceneEv.night - sceneEv.dusk)
}

/**
 * EV of a scene with the sun where it is: in the sun and under cloud it dims as the sun sinks, down to dusk, and after
 * sunset to night; dusk dims likewise; indoors and in a lit street it is what it is.
 * @param sunDeg the sun's true height
 */
export const evAt = (scene: Scene, sunDeg: number): number => {
  const open = sunlit.has(scene) || scene === 'overcast' || scene === 'dusk'
  if (!open) return sceneEv[scene]
  if (sunDeg <= RISE_DEG) return twilightEv(sunDeg)
  if (scene === 'dusk') return sceneEv.dusk
  return Math.max(sceneEv.dusk, sceneEv[scene] - (sunlit.has(scene) ? lowSunStops(sunDeg) : lowCloudStops(sunDeg)))
}

/** Within one part the light is looked at this often, minutes. */
const LOOK_MIN = 5

/**
 * The light of the day, part by part: the scene the operator names, or else what hour and conditions suggest from
 * moment to moment, dimmed by a low sun. Parts in which the camera is off are left out.
 */
export const dayLight = (brief: Brief): readonly PhaseLight[] => {
  // All that it hangs on is read here: whoever asks hangs on it as well.
  const { light, phases, hoursOnLocation, hoursRolling, conditions } = brief
  const hours = `${hoursOnLocation} ${hoursRolling} ${conditions.join()}`
  return daysOf(light, phases)(light, hours, () =>
    workedOut({ light, phases, hoursOnLocation, hoursRolling, conditions }),
  )
}

/** The light of a day, once worked out: every rig with this brief asks for it again. */
const daysOf = perPair('days', (_: Brief['light'], __: Brief['phases']) =>
  perKey<Brief['light'], readonly PhaseLight[]>('light of a day'),
)

/** The sun over a part of a day: its true heights from moment to moment, degrees, and where it is in the middle. */
interface SunOver {
  readonly heights: readonly number[]
  readonly middle: SunPosition
}
/** Nothing of it hangs on the rig: all that are planned for one day share it. */
const sunsKept = new Map<string, SunOver>()
const MOST_SUNS = 300
const sunOver = (date: string, place: Whereabouts, fromMin: number, minutes: number): SunOver => {
  const key = JSON.stringify([date, place.zone, place.latitudeDeg, place.longitudeDeg, fromMin, minutes])
  const known = sunsKept.get(key)
  if (known) return known
  const sunOf = (minute: number) => sunAt(instantOf(date, minute, place.zone), place)
  const looks = Math.max(1, Math.ceil(minutes / LOOK_MIN))
  const made: SunOver = {
    heights: Array.from({ length: looks + 1 }, (_, i) => sunOf(fromMin + (minutes * i) / looks).trueDeg),
    middle: sunOf(fromMin + minutes / 2),
  }
  if (sunsKept.size >= MOST_SUNS) sunsKept.clear()
  sunsKept.set(key, made)
  return made
}

const workedOut = (
  brief: Pick<Brief, 'light' | 'phases' | 'hoursOnLocation' | 'hoursRolling' | 'conditions'>,
): readonly PhaseLight[] => {
  const { startMin, date, place } = brief.light
  let at = startMin
  return flatMap(dayOf(brief), (phase): PhaseLight[] => {
    const [fromMin, toMin] = [at, at + phase.minutes]
    at = toMin
    if (phase.kind === 'off') return []
    const { heights, middle } = sunOver(date, place, fromMin, phase.minutes)
    const down = heights.every((deg) => deg <= RISE_DEG)
    const refused = phase.scene && sunlit.has(phase.scene) && down ? ('sun-is-down' as const) : undefined
    const named = refused ? undefined : phase.scene
    const sceneAt = (deg: number): Scene => named ?? suggested(brief, deg)
    const evs = heights.map((deg) => evAt(sceneAt(deg), deg))
    return [
      {
        phase,
        fromMin,
        toMin,
        scene: sceneAt(middle.trueDeg),
        scenes: [...new Set(heights.map(sceneAt))],
        named: named !== undefined,
        refused,
        sunDeg: middle.apparentDeg,
        bearingDeg: middle.azimuthDeg,
        brightEv: Math.max(...evs),
        darkEv: Math.min(...evs),
      },
    ]
  })
}

/** The parts of the day in which something is filmed; if nobody said, all of them. */
export const filmedLight = (brief: Brief): readonly PhaseLight[] => {
  const all = dayLight(brief)
  const filmed = all.filter(({ phase }) => phase.kind === 'roll')
  return filmed.length > 0 ? filmed : all
}

/**
 * The range of scene light to film in, EV at ISO 100; night is in it when the brief says dark; overcast when nothing is
 * known.
 */
export const lightOf = (
  brief: Brief,
): { readonly lowEv: number; readonly highEv: number; readonly scenes: readonly Scene[] } => {
  const filmed = filmedLight(brief)
  const night: readonly Scene[] = brief.conditions.includes('dark') ? ['night'] : []
  const scenes = [...new Set([...flatMap(filmed, (part) => part.scenes), ...night])]
  if (scenes.length === 0) return { lowEv: sceneEv.overcast, highEv: sceneEv.overcast, scenes: ['overcast'] }
  const nightEvs = night.map((scene) => sceneEv[scene])
  return {
    lowEv: Math.min(...filmed.map(({ darkEv }) => darkEv), ...nightEvs),
    highEv: Math.max(...filmed.map(({ brightEv }) => brightEv), ...nightEvs),
    scenes,
  }
}
