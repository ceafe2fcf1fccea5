import { type Assembly, piecesIn } from '../assembly/index.ts'
import { filmedLight, type PhaseLight } from '../brief/index.ts'
import { numberOf, perPairKey, flatMap } from '../kernel/index.ts'
import type { FilterOptics, Mount, Part, SensorOptics } from '../catalogue/index.ts'
import { stepChain, type Step } from './chains.ts'
import { irisWithout, isoFor, ndStops, type Setting } from './exposure.ts'
import { lensOf, sensorOf } from './front.ts'
import { mountsOf, sizeOn } from './kit.ts'
import { answerDay, choicesOf, type Nd, type NdChoice } from './nd.ts'

/** What one part of the day asks of the front of the rig. */
export interface PhaseExposure {
  readonly light: PhaseLight
  /** Stops to take at its brightest and its darkest moment; less than nothing: too dark. */
  readonly mostStops: number
  readonly leastStops: number
  /** One choice that holds all of it, the fewest filters first; else those for its brightest and its darkest moment. */
  readonly by: readonly NdChoice[]
  readonly forMost: NdChoice | undefined
  readonly forLeast: NdChoice | undefined
  /** By how many stops the nearest choice misses the worse of the two. */
  readonly missesBy: number
  /** Without neutral density, but with all other glass left on: the f-number its brightest moment wants. */
  readonly iris: number
  /** The sensitivity its darkest moment wants with no filter on. */
  readonly iso: number
}

/** The light of a day against the filters at hand. */
export interface LightPlan {
  readonly setting: Setting
  /** What nobody asked for and neither camera nor lens states: a usual figure stands in. */
  readonly assumed: readonly ('f-number' | 'iso')[]
  /** What a polariser or mist on the lens takes anyway. */
  readonly lossStops: number
  /** The highest sensitivity still fit to show; undefined when the camera does not state it. */
  readonly isoMax: number | undefined
  readonly filters: readonly Nd[]
  readonly choices: readonly NdChoice[]
  readonly phases: readonly PhaseExposure[]
}

const isNd = ({ effect }: FilterOptics): boolean => effect === 'nd' || effect === 'variable-nd'
export const filterOf = ({ optics }: Part): FilterOptics | undefined => (optics?.kind === 'filter' ? optics : undefined)

/** A part as a choice of neutral density; undefined when it takes colour or sharpness instead. */
export const ndOf = (part: Part, owned: boolean): Nd | undefined => {
  const optics = filterOf(part)
  return optics && isNd(optics)
    ? {
        id: part.id,
        minStops: optics.minStops,
        maxStops: optics.maxStops,
        variable: optics.effect === 'variable-nd',
        costMinor: owned ? 0 : part.price.usual,
      }
    : undefined
}

/** The id of a step of the camera's own neutral density. */
const insideId = (stops: number): string => `camera ${stops}`

/** The camera's own neutral density: each step by itself, or one range. */
export const insideNd = (sensor: SensorOptics | undefined): readonly Nd[] => {
  if (!sensor?.nd) return []
  const steps = sensor.nd.stops.filter((stops) => stops > 0)
  const nd = (id: string, minStops: number, maxStops: number): Nd => ({
    id,
    minStops,
    maxStops,
    variable: false,
    costMinor: 0,
    inside: true,
  })
  if (sensor.nd.smooth) return steps.length > 0 ? [nd('camera', Math.min(...steps), Math.max(...steps))] : []
  return steps.map((stops) => nd(insideId(stops), stops, stops))
}

export const stepOf = (part: Part, owned: boolean): Step | undefined => {
  if (part.role !== 'step-ring') return undefined
  const [fromMm, toMm] = [sizeOn(part, 'filter', 'sits'), sizeOn(part, 'filter')]
  return fromMm !== undefined && toMm !== undefined
    ? { id: part.id, fromMm, toMm, costMinor: owned ? 0 : part.price.usual, massG: part.massG }
    : undefined
}

/** The sizes of drop-in filter a part takes, or is. */
export const traysOf = (part: Part, side: Mount['side']): readonly string[] =>
  mountsOf(part, 'tray', side).map(({ mount }) => mount.family ?? '')

/**
 * Can a filter be put before a lens with these rings and boxes: by its thread, through rings, or dropped into a tray?
 */
export const goesBefore = (filter: Part, lens: Part, others: readonly Part[]): boolean => {
  const trays = traysOf(filter, 'sits')
  if (trays.length > 0)
    return others.some((box) => box.role === 'matte-box' && traysOf(box, 'holds').some((tray) => trays.includes(tray)))
  const [lensMm, filterMm] = [sizeOn(lens, 'filter'), sizeOn(filter, 'filter', 'sits')]
  if (lensMm === undefined || filterMm === undefined) return false
  const rings = others.filter((part) => stepOf(part, true) !== undefined)
  const key = rings.map(numberOf).join()
  return chained(filter, lens, key, () => {
    const steps = flatMap(rings, (part) => stepOf(part, true) ?? [])
    return stepChain(lensMm, filterMm, steps) !== undefined
  })
}
const chained = perPairKey<Part, Part, boolean>('filters through rings')

/** What polarisers and mists on the rig take of the light whether one wants it or not. */
const lossOf = ({ placed }: Assembly): number =>
  placed.reduce((sum, { part }) => {
    const optics = filterOf(part)
    return optics && !isNd(optics) ? sum + optics.minStops : sum
  }, 0)

/** What the operator asked for, or else the lens wide open at the camera's lowest native sensitivity. */
export const settingOf = (assembly: Assembly): Setting => {
  const { light } = assembly.rig.brief
  const widest = lensOf(assembly)?.glass.stop ?? 0
  return {
    fNumber: Math.max(light.stop, widest) || 2.8,
    iso: light.iso || (sensorOf(assembly)?.isos?.[0] ?? 100),
    fps: light.fps,
    shutterDeg: light.shutterDeg,
  }
}

/** Which figures of the setting are only assumed. */
export const assumedIn = (assembly: Assembly): LightPlan['assumed'] => {
  const { light } = assembly.rig.brief
  return [
    ...(light.stop === 0 && !lensOf(assembly) ? (['f-number'] as const) : []),
    ...(light.iso === 0 && !sensorOf(assembly)?.isos?.length ? (['iso'] as const) : []),
  ]
}

const exposureOf = (light: PhaseLight, setting: Setting, lossStops: number, filters: readonly Nd[]): PhaseExposure => {
  const [mostStops, leastStops] = [
    ndStops(light.brightEv, setting) - lossStops,
    ndStops(light.darkEv, setting) - lossStops,
  ]
  const [most, least] = answerDay([mostStops, leastStops], filters)
  const holdsLeast = new Set(least?.by.map(({ ids }) => ids.join()))
  return {
    light,
    mostStops,
    leastStops,
    by: (most?.by ?? []).filter(({ ids }) => holdsLeast.has(ids.join())),
    forMost: most?.by[0],
    forLeast: least?.by[0],
    missesBy: Math.max(most?.missesBy ?? 0, least?.missesBy ?? 0),
    iris: irisWithout(light.brightEv - lossStops, setting),
    iso: isoFor(light.darkEv - lossStops, setting),
  }
}

/**
 * The day's light against the neutral density of the kit that can go before the mounted lens, and the camera's own.
 * @param extra filters to try beside those of the kit
 */
export const lightPlan = (
  assembly: Assembly,
  extra: readonly Part[] = [],
  without: ReadonlySet<string> = new Set(),
): LightPlan => {
  const setting = settingOf(assembly)
  const lens = lensOf(assembly)?.lens.part
  const kit = piecesIn(assembly)
    .filter(({ instance }) => !without.has(instance.id))
    .map(({ part }) => part)
  const screwed = lens ? kit.filter((part) => goesBefore(part, lens, kit)) : []
  const filters = flatMap([...new Set([...screwed, ...extra])], (part) => ndOf(part, true) ?? [])
  const all = [...filters, ...insideNd(sensorOf(assembly))]
  const lossStops = lossOf(assembly)
  return {
    setting,
    assumed: assumedIn(assembly),
    lossStops,
    isoMax: sensorOf(assembly)?.isoMax,
    filters: all,
    choices: choicesOf(all),
    phases: filmedLight(assembly.rig.brief).map((light) => exposureOf(light, setting, lossStops, all)),
  }
}
