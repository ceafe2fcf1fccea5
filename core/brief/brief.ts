import { z } from 'zod'
import { capabilityIds } from '../catalogue/index.ts'

export const shootKinds = ['desk', 'promo', 'run-and-gun', 'event', 'upright', 'narrative', 'gimbal'] as const
export type ShootKind = (typeof shootKinds)[number]

export const conditionIds = ['sun', 'spray', 'cold', 'dark', 'wind', 'running', 'interviews', 'flight', 'overhead'] as const
export type Condition = (typeof conditionIds)[number]

const hours = z.number().min(0).max(24)

/** What the camera does in a part of the day: off, waiting, or recording; setting up is waiting. */
export const phaseKinds = ['off', 'setup', 'standby', 'roll'] as const
export const phaseSchema = z.strictObject({
  name: z.string().trim().min(1).max(40),
  kind: z.enum(phaseKinds),
  minutes: z.number().positive().max(1440),
  /** Is a wall socket near? Then spent packs charge. */
  mains: z.boolean(),
})
export type Phase = z.infer<typeof phaseSchema>
export type PhaseKind = Phase['kind']

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
    inHandG: z.number().min(0).max(60_000),
    tallMm: z.number().min(0).max(3000),
    /** 0: as wide as it likes. */
    wideMm: z.number().min(0).max(3000),
    /** The operator's own word on a need, over what the shoot suggests. */
    /** The day in its parts; empty: made up from the hours. */
    phases: z.array(phaseSchema).max(24).readonly(),
    /** The recording to plan with; empty: the camera's usual one. */
    codec: z.string().max(30),
    wishes: z.partialRecord(z.enum(capabilityIds), z.enum(['want', 'skip'])),
  })
  .refine((b) => b.hoursRolling <= b.hoursOnLocation, {
    path: ['hoursRolling'],
    error: 'rolling hours can not exceed the hours on location',
  })

export type Brief = z.infer<typeof briefSchema>

export const emptyBrief: Brief = {
  kind: 'run-and-gun',
  about: '',
  conditions: [],
  hoursOnLocation: 6,
  hoursRolling: 2,
  budgetMinor: 90_000,
  currency: 'EUR',
  inHandG: 2600,
  tallMm: 340,
  wideMm: 0,
  phases: [],
  codec: '',
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
  const phase = (name: string, kind: PhaseKind, minutes: number): Phase[] => (minutes > 0 ? [{ name, kind, minutes, mains: false }] : [])
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
