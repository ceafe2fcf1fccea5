import { tzOffset } from '@date-fns/tz'
import { z } from 'zod'
import { capabilityIds, idSchema } from '../catalogue/index.ts'

export const shootKinds = ['desk', 'promo', 'run-and-gun', 'event', 'upright', 'narrative', 'gimbal'] as const
export type ShootKind = (typeof shootKinds)[number]

export const conditionIds = [
  'sun',
  'spray',
  'cold',
  'dark',
  'wind',
  'running',
  'interviews',
  'flight',
  'overhead',
] as const
export type Condition = (typeof conditionIds)[number]

const hours = z.number().min(0).max(24)

/** What the camera does in a part of the day: off, waiting, or recording; setting up is waiting. */
/** What the light falls on and from where, EV at ISO 100 (published exposure tables, rounded). */
export const sceneEv = {
  'water-in-sun': 16,
  sun: 15,
  hazy: 14,
  overcast: 12,
  dusk: 9,
  indoor: 7,
  night: 5,
} as const
export type Scene = keyof typeof sceneEv
export const sceneIds = Object.keys(sceneEv) as [Scene, ...Scene[]]

export const phaseKinds = ['off', 'setup', 'standby', 'roll'] as const
export const phaseSchema = z.strictObject({
  name: z.string().trim().min(1).max(40),
  kind: z.enum(phaseKinds),
  minutes: z.number().positive().max(1440),
  /** Is a wall socket near? Then spent packs charge. */
  mains: z.boolean(),
  /** What is filmed in it; left out: what the conditions and the hour suggest. */
  scene: z.enum(sceneIds).optional(),
})
export type Phase = z.infer<typeof phaseSchema>
export type PhaseKind = Phase['kind']

/** Pictures by their sides, wide to tall; 0: all of the sensor. */
export const aspects = { '16:9': 16 / 9, '9:16': 9 / 16, '2.39': 2.39, full: 0 } as const
export type AspectId = keyof typeof aspects
export const aspectIds = Object.keys(aspects) as [AspectId, ...AspectId[]]

const isZone = (zone: string): boolean => Number.isFinite(tzOffset(zone, new Date(0)))

/** Where the day is spent: for the height of the sun, and for what the clocks show. */
export const placeSchema = z.strictObject({
  name: z.string().trim().max(60),
  latitudeDeg: z.number().min(-90).max(90),
  /** East is positive. */
  longitudeDeg: z.number().min(-180).max(180),
  zone: z.string().max(60).refine(isZone, 'use the name of a time zone such as Europe/Lisbon'),
})
export type Place = z.infer<typeof placeSchema>

/** How the day is exposed, and where the sun stands in it. */
export const lightSchema = z.strictObject({
  fps: z.number().positive().max(1000),
  shutterDeg: z.number().positive().max(360),
  /** The f-number wanted; 0: as wide as the lens opens. */
  stop: z.number().refine((n) => n === 0 || (n >= 0.7 && n <= 64)),
  /** The sensitivity wanted; 0: the camera's lowest native one. */
  iso: z.number().refine((n) => n === 0 || (n >= 25 && n <= 1_000_000)),
  aspect: z.enum(aspectIds),
  /** Other pictures that are cut from the same take. */
  also: z.array(z.enum(aspectIds)).max(aspectIds.length).readonly(),
  /**
   * When the first part of the day begins, minutes after midnight by the clocks of the place, and on which day of which
   * year it is.
   */
  startMin: z.int().min(0).max(1439),
  date: z.iso.date(),
  place: placeSchema,
})
export type Light = z.infer<typeof lightSchema>

/** What changing over in the field may take at most: levers and fingers, or a coin too. */
export const changeWiths = ['hands', 'coin'] as const
export type ChangeWith = (typeof changeWiths)[number]

/** A lens that comes along, and how much of the shooting is done with it, percent. */
export const lensUseSchema = z.strictObject({ partId: idSchema, share: z.number().min(0).max(100) })
export type LensUse = z.infer<typeof lensUseSchema>

/** What is shot, where, how long and within which limits; the question the rig answers. */
export const briefSchema = z
  .strictObject({
    kind: z.enum(shootKinds),
    about: z.string().max(600),
    conditions: z.array(z.enum(conditionIds)).max(conditionIds.length).readonly(),
    hoursOnLocation: hours,
    hoursRolling: hours,
    budgetMinor: z.int().min(0).max(1e9),
    currency: z.string().regex(/^[A-Z]{3}$/, 'use a three-letter currency code such as EUR'),
    /** What can be spent each month from now on, beside the money there is. */
    monthlyMinor: z.int().min(0).max(1e9),
    inHandG: z.number().min(0).max(60_000),
    tallMm: z.number().min(0).max(3000),
    /** 0: as wide as it likes. */
    wideMm: z.number().min(0).max(3000),
    /** The day in its parts; empty: made up from the hours. */
    phases: z.array(phaseSchema).max(24).readonly(),
    /** The recording to plan with; empty: the camera's usual one. */
    codec: z.string().max(30),
    light: lightSchema,
    /** The lenses that come along; empty: those on the set-ups. */
    lenses: z.array(lensUseSchema).max(12).readonly(),
    /** Fields of view the film wants, as focal lengths on 36 x 24 mm. */
    fieldsMm: z.array(z.number().min(4).max(2000)).max(12).readonly(),
    /** The operator's own word on a need, over what the shoot suggests. */
    wishes: z.partialRecord(z.enum(capabilityIds), z.enum(['want', 'skip'])),
    /** With which tools one set-up is made from another; left out: with any. */
    changeWith: z.enum(changeWiths).optional(),
  })
  .refine((b) => b.hoursRolling <= b.hoursOnLocation, {
    path: ['hoursRolling'],
    error: 'rolling hours can not exceed the hours on location',
  })

export type Brief = z.infer<typeof briefSchema>

/** Where nobody said: in the middle of a zone whose clocks go by the sun. */
const nowhere: Place = { name: '', latitudeDeg: 50, longitudeDeg: 0, zone: 'UTC' }

export const emptyBrief: Brief = {
  kind: 'run-and-gun',
  about: '',
  conditions: [],
  hoursOnLocation: 6,
  hoursRolling: 2,
  budgetMinor: 90_000,
  currency: 'EUR',
  monthlyMinor: 0,
  inHandG: 2600,
  tallMm: 340,
  wideMm: 0,
  phases: [],
  codec: '',
  light: {
    fps: 25,
    shutterDeg: 180,
    stop: 2.8,
    iso: 0,
    aspect: '16:9',
    also: [],
    startMin: 540,
    date: '2026-06-21',
    place: nowhere,
  },
  lenses: [],
  fieldsMm: [],
  wishes: {},
}

const MINUTES = 60
const SETUP_MIN = 30
/** A made-up day takes turns this often, so that a pack's end falls about where it would. */
const TURNS = 4

/**
 * The parts of the day: the operator's own, or half an hour of setting up and then waiting and recording by turns.
 * @example 6 h on location with 2 h rolling: 30 min setup, then four times 52.5 min standby and 30 min roll
 */
export const dayOf = (brief: Pick<Brief, 'phases' | 'hoursOnLocation' | 'hoursRolling'>): readonly Phase[] => {
  if (brief.phases.length > 0) return brief.phases
  const [all, roll] = [brief.hoursOnLocation * MINUTES, brief.hoursRolling * MINUTES]
  const setup = Math.min(SETUP_MIN, all - roll)
  const standby = all - roll - setup
  const phase = (name: string, kind: PhaseKind, minutes: number): Phase[] =>
    minutes > 0 ? [{ name, kind, minutes, mains: false }] : []
  return [
    ...phase('set-up', 'setup', setup),
    ...Array.from({ length: TURNS }, (_, i) => [
      ...phase(`waiting ${i + 1}`, 'standby', standby / TURNS),
      ...phase(`rolling ${i + 1}`, 'roll', roll / TURNS),
    ]).flat(),
  ]
}

/** Minutes of one kind in a day. */
export const minutesOf = (day: readonly Phase[], kind: PhaseKind): number =>
  day.reduce((sum, phase) => sum + (phase.kind === kind ? phase.minutes : 0), 0)

/** The temperature to reckon with, degrees C: freezing when the brief is cold, a room otherwise. */
export const temperatureOf = (brief: Pick<Brief, 'conditions'>): number => (brief.conditions.includes('cold') ? 0 : 20)
