/** A simulated scale: what lies on it, where its zero is, and how it behaves. */
export interface Scale {
  readonly seed: number
  readonly loadG: number
  readonly tareG: number
  /** Seconds since the load last changed. */
  readonly settledS: number
  readonly tick: number
  readonly plugged: boolean
}

export interface Reading {
  readonly grams: number
  readonly stable: boolean
}

/** The display steps by this much, and shakes by about this much at rest. g */
export const SCALE_STEP_G = 1
const NOISE_G = 0.6
/** It swings by this share of the load when something is put on, and comes to rest in about this time. */
const SWING = 0.06
const REST_S = 0.8
/** It is called steady when what is left of the swing is under a step. */
const STEADY_G = 0.75
/** It creeps by this much in a minute, g. */
const CREEP_G_MIN = 0.4

export const newScale = (seed: number): Scale => ({ seed, loadG: 0, tareG: 0, settledS: 60, tick: 0, plugged: true })

/** Two even chances made one that is bell-shaped (Box and Muller), the same for the same seed and tick. */
const noise = (seed: number, tick: number): number => {
  const even = (salt: number): number => {
    let x = Math.imul(seed ^ (tick * 0x9e3779b1) ^ salt, 0x85ebca6b)
    x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35)
    return ((x ^ (x >>> 16)) >>> 0) / 4294967296
  }
  return Math.sqrt(-2 * Math.log(Math.max(1e-12, even(1)))) * Math.cos(2 * Math.PI * even(2))
}

/** The scale a moment later. */
export const later = (scale: Scale, seconds: number): Scale => ({
  ...scale,
  settledS: scale.settledS + seconds,
  tick: scale.tick + 1,
})
/** Something else lies on it: it swings. */
export const laidOn = (scale: Scale, loadG: number): Scale => ({ ...scale, loadG, settledS: 0, tick: scale.tick + 1 })

/** What it shows; undefined when it is not plugged in. Noise, swing and creep are simulated. */
export const readingOf = (scale: Scale): Reading | undefined => {
  if (!scale.plugged) return undefined
  const left = SWING * scale.loadG * Math.exp(-scale.settledS / REST_S)
  const swing = left * Math.cos(scale.settledS * 9)
  const creep = (CREEP_G_MIN * Math.min(scale.settledS, 300)) / 60
  const raw =
    scale.loadG + swing + creep * Math.min(1, scale.loadG / 500) + noise(scale.seed, scale.tick) * NOISE_G - scale.tareG
  return { grams: Math.round(raw / SCALE_STEP_G) * SCALE_STEP_G, stable: Math.abs(left) < STEADY_G }
}

/** Nought is where it stands now; undefined while it swings or is not plugged in. */
export const tared = (scale: Scale): Scale | undefined => {
  const now = readingOf(scale)
  return now?.stable ? { ...scale, tareG: scale.tareG + now.grams } : undefined
}

/**
 * What a real piece of a part weighs in the simulation: its datasheet's figure, off by up to four in a hundred, the
 * same for ever.
 */
export const trueMassG = (partId: string, statedG: number): number => {
  let hash = 7
  for (const char of partId) hash = (Math.imul(hash, 31) + char.charCodeAt(0)) | 0
  return Math.round(statedG * (1 + ((((hash >>> 0) % 1000) / 1000) * 2 - 1) * 0.04) * 10) / 10
}

/** A piece on a rig that was weighed whole. */
export interface WeighedPiece {
  readonly name: string
  readonly massG: number
  /** Was this very part put on the scale by itself? */
  readonly measured: boolean
}

/** A rig on the scale against the sum of its pieces. */
export interface RigWeighing {
  readonly sumG: number
  readonly scaleG: number
  /** What the scale shows over the sum; less than nothing: under it. */
  readonly unexplainedG: number
  /** What datasheets and the scale itself may be off by, together. */
  readonly allowedG: number
  readonly explained: boolean
  /** Pieces nobody weighed, the heaviest first: where the grams may hide. */
  readonly unweighed: readonly WeighedPiece[]
}

/** Datasheets round and leave out screws: their figures are trusted to this share; weighed ones to a gram. */
const STATED_SHARE = 0.03
const MEASURED_G = 1
/** The scale itself, on a whole rig. g */
const SCALE_G = 2

/**
 * Sets a whole rig's weight against its pieces; errors of single pieces add up as independent ones do, by their
 * squares.
 */
export const rigWeighing = (pieces: readonly WeighedPiece[], scaleG: number): RigWeighing => {
  const sumG = pieces.reduce((sum, { massG }) => sum + massG, 0)
  const allowedG = Math.hypot(
    SCALE_G,
    ...pieces.map(({ massG, measured }) => (measured ? MEASURED_G : massG * STATED_SHARE)),
  )
  const unexplainedG = scaleG - sumG
  return {
    sumG,
    scaleG,
    unexplainedG,
    allowedG,
    explained: Math.abs(unexplainedG) <= allowedG,
    unweighed: pieces.filter(({ measured }) => !measured).sort((a, b) => b.massG - a.massG),
  }
}
