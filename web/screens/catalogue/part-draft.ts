import {
  type Cable,
  type FigureData,
  type FigureFeature,
  figureFeatures,
  figureSchema,
  type Mount,
  type Optics,
  type Part,
  partIssues,
  partSchema,
  type Power,
  type Room,
  type Socket,
  type Solid,
} from '@zucchini/core/catalogue'
import { middleOf, type Vec3 } from '@zucchini/core/kernel'
import type { z } from 'zod'

export interface DraftIssue {
  readonly path: string
  readonly where: string
  readonly words: string
}

export const directions = {
  up: [0, 1, 0],
  down: [0, -1, 0],
  left: [-1, 0, 0],
  right: [1, 0, 0],
  ahead: [0, 0, -1],
  back: [0, 0, 1],
} as const satisfies Record<string, Vec3>
export type Direction = keyof typeof directions

/** The word for a direction; undefined when it is none of the six. */
export const directionName = (v: Vec3): Direction | undefined =>
  (Object.keys(directions) as Direction[]).find((name) =>
    directions[name].every((value, i) => Math.abs(value - (v[i] ?? 0)) < 1e-6),
  )

/** On level faces the height of a mount points ahead, on upright ones up. */
export const heightFor = (out: Vec3): Vec3 => (Math.abs(out[1]) > 0.5 ? directions.ahead : directions.up)

/** What the figure's ticks are called. */
export const featureWords: Readonly<Record<FigureFeature, string>> = {
  closed: 'no windows',
  smooth: 'no ribs',
}

/** The figure of a draft after a change; none when it says nothing more than its role. */
export const figureFrom = (
  was: FigureData | undefined,
  { like = was?.like ?? '', toggle }: { readonly like?: string; readonly toggle?: FigureFeature },
): FigureData | undefined => {
  const before = was?.features ?? []
  const features = toggle
    ? figureFeatures.filter((feature) => before.includes(feature) !== (feature === toggle))
    : before
  const kind = figureSchema.shape.like.safeParse(like === '' ? undefined : like)
  const figure = {
    ...(kind.success && kind.data ? { like: kind.data } : {}),
    ...(features.length > 0 ? { features } : {}),
  }
  return Object.keys(figure).length > 0 ? figure : undefined
}

export const newSolid = (): Solid => ({
  kind: 'box',
  centre: [0, 10, 0],
  size: [40, 20, 30],
  matter: 'body',
  look: 'plain',
})
export const newBar = (): Solid => ({
  kind: 'cylinder',
  centre: [0, 10, 0],
  axis: directions.up,
  radius: 10,
  length: 20,
  matter: 'body',
  look: 'plain',
})
export const newMount = (id: string): Mount => ({
  id,
  standard: 'thread-1/4',
  side: 'sits',
  at: [0, 0, 0],
  out: directions.down,
  up: directions.ahead,
})
export const newRoom = (): Room => ({
  kind: 'hand',
  shape: { kind: 'box', centre: [0, -14, 0], size: [24, 28, 70] },
  lost: 'fingers do not fit',
})

export const newSocket = (id: string): Socket => ({
  id,
  connector: 'hdmi-a',
  direction: 'in',
  at: [0, 10, 15],
  out: directions.back,
  carries: ['picture', 'sound'],
})
export const newStore = (): NonNullable<Power['store']> => ({
  capacityWh: 16,
  volts: { min: 6, max: 8.4 },
  maxW: 40,
  gauge: false,
})
export const newCable = (): Cable => ({
  a: { connector: 'hdmi-a', angle: 'straight' },
  b: { connector: 'hdmi-a', angle: 'straight' },
  lengthMm: 300,
  thickMm: 4,
  carries: ['picture', 'sound'],
})
/** What a part of a role does with light, before anything is known of it; undefined for a role that does nothing. */
export const newOptics = (role: Part['role']): Optics | undefined => {
  switch (role) {
    case 'lens':
      return { kind: 'lens', focalMinMm: 35, focalMaxMm: 35, stop: 2.8, pupilMm: 30, imageCircleMm: 43.3 }
    case 'camera':
      return { kind: 'sensor', wideMm: 36, tallMm: 24 }
    case 'filter':
      return { kind: 'filter', effect: 'clear', minStops: 0, maxStops: 0 }
    case 'lens-adapter':
      return { kind: 'adapter', contacts: false }
    case 'lens-support':
      return { kind: 'support', lowMm: 20, highMm: 40 }
    default:
      return undefined
  }
}
/**
 * What a part of a role can not do without: a lead its ends, a battery its charge; what belongs to another role goes.
 */
export const asRole = (part: Part, role: Part['role']): Part => {
  const { cable, power, optics, opening, ...plain } = part
  // Glass stays with a part only as long as its role still has some.
  const rest = {
    ...plain,
    ...(optics && (optics.kind === newOptics(role)?.kind || optics.kind === 'screen') ? { optics } : {}),
    ...(opening && ['filter', 'step-ring', 'matte-box', 'hood'].includes(role) ? { opening } : {}),
  }
  if (role.endsWith('-cable')) return { ...rest, role, mounts: [], cable: cable ?? newCable() }
  const { store, ...draws } = power ?? {}
  if (role === 'battery') return { ...rest, role, power: { store: store ?? newStore() } }
  return Object.keys(draws).length > 0 ? { ...rest, role, power: draws } : { ...rest, role }
}

export const emptyPart = (): Part => ({
  id: '',
  role: 'adapter',
  name: '',
  maker: '',
  massG: 0,
  unknown: ['massG'],
  centre: [0, 10, 0],
  solids: [newSolid()],
  rooms: [],
  mounts: [newMount('foot')],
  grips: [],
  provides: [],
  fits: [],
  // Nobody has entered a price yet.
  price: { low: 0, usual: 0, high: 0 },
})

/** The middle of some solids to a hundredth of a millimetre, as one would type it. */
export const middleTyped = (solids: readonly Solid[]): Vec3 =>
  middleOf(solids).map((value) => Math.round(value * 100) / 100 + 0) as unknown as Vec3

const axes = ['right', 'up', 'towards you']
const names: Readonly<Record<string, string>> = {
  massG: 'mass',
  name: 'name',
  maker: 'maker',
  id: 'short name',
  centre: 'centre of mass',
  price: 'price',
  low: 'low',
  usual: 'usual',
  high: 'high',
  solids: 'solid',
  mounts: 'mount',
  sockets: 'socket',
  cable: 'lead',
  power: 'power',
  store: 'battery',
  capacityWh: 'charge',
  volts: 'volts',
  min: 'lowest',
  max: 'highest',
  maxW: 'most it gives',
  drawW: 'draw',
  standbyW: 'draw waiting',
  fullW: 'draw turned up',
  ownMin: 'own battery',
  watts: 'most it passes',
  carries: 'what it passes',
  connector: 'connector',
  thickMm: 'thickness',
  rooms: 'room',
  grips: 'grip',
  size: 'size',
  radius: 'radius',
  length: 'length',
  lengthMm: 'length',
  limitG: 'rating',
  at: 'place',
  out: 'direction',
  up: 'height',
  travel: 'travel',
  minMm: 'from',
  maxMm: 'to',
  stepMm: 'step',
  standard: 'standard',
  family: 'family',
  notes: 'notes',
  lost: 'what is lost',
  label: 'label',
  shape: '',
  optics: 'glass',
  focalMinMm: 'short end',
  focalMaxMm: 'long end',
  stop: 'f-number',
  pupilMm: 'entrance pupil',
  imageCircleMm: 'image circle',
  throwDeg: 'focus turn',
  isos: 'native ISO',
  isoMax: 'highest ISO',
  wideMm: 'width',
  tallMm: 'height',
  minStops: 'takes at least',
  maxStops: 'takes at most',
  lowMm: 'cradle, lowest',
  highMm: 'cradle, highest',
  opening: 'opening',
  clearMm: 'clear diameter',
}

/** Where an issue is, as one reads it: "solid 2, size, up". */
export const whereOf = (path: readonly PropertyKey[]): string => {
  const words: string[] = []
  path.forEach((key, i) => {
    const before = path[i - 1]
    if (typeof key === 'number') {
      if (typeof before === 'string' && ['solids', 'mounts', 'rooms', 'grips', 'sockets'].includes(before))
        words[words.length - 1] += ` ${key + 1}`
      else words.push(axes[key] ?? String(key + 1))
    } else {
      const name = names[String(key)] ?? String(key)
      if (name) words.push(name)
    }
  })
  return words.join(', ')
}

/** What is wrong with a value, in words that say what to do. */
export const wordsOf = (issue: z.core.$ZodIssue): string => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.expected === 'number' ? 'give a number' : issue.expected === 'string' ? 'give a word' : 'is missing'
    case 'too_small':
      if (issue.origin === 'string') return 'must not be empty'
      if (issue.origin === 'array') return `give at least ${String(issue.minimum)}`
      return issue.inclusive ? `must be ${String(issue.minimum)} or more` : `must be more than ${String(issue.minimum)}`
    case 'too_big':
      if (issue.origin === 'string') return `at most ${String(issue.maximum)} letters`
      if (issue.origin === 'array') return `at most ${String(issue.maximum)}`
      return `must be ${String(issue.maximum)} or less`
    default:
      return issue.message
  }
}

const coreWords: Readonly<Record<string, string>> = {
  'id-repeated': 'has the same id as another',
  'standard-unknown': 'is of no known standard',
  'not-square': 'must have its height square to the way it faces',
  'mass-missing': 'give it, or leave it empty for unknown',
  'off-the-skin': 'hangs in the air: put it on the skin of a solid',
  'no-size': 'is no size: write the diameter in mm, such as 77',
  'shares-unknown': 'shares its place with a mount that is not there',
  'order-unknown': 'names a mount that is not there',
  'hinge-moves-nothing': 'moves something that is not there',
  'adapter-backwards': 'would put a lens too far off: an adapter only goes from a longer flange distance to a shorter',
  'adapter-thickness':
    'must stand as far apart as the two flange distances differ, or the lens does not reach infinity',
}

/** Everything that keeps a draft from being a part; the part itself when nothing does. */
export const checkDraft = (draft: Part): { readonly part?: Part; readonly issues: readonly DraftIssue[] } => {
  const parsed = partSchema.safeParse(draft)
  if (!parsed.success)
    return {
      issues: parsed.error.issues.map((issue) => ({
        path: issue.path.map(String).join('.'),
        where: whereOf(issue.path),
        words: wordsOf(issue),
      })),
    }
  const issues = partIssues(parsed.data).map(({ code, path }) => {
    const keys = path
      .split(/[.[\]]+/)
      .filter(Boolean)
      .map((key) => (/^\d+$/.test(key) ? Number(key) : key))
    return { path: keys.join('.'), where: whereOf(keys), words: coreWords[code] ?? code }
  })
  return issues.length > 0 ? { issues } : { part: parsed.data, issues: [] }
}
