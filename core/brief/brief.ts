import { z } from 'zod'
import { capabilityIds } from '../catalogue/index.ts'

export const shootKinds = ['desk', 'promo', 'run-and-gun', 'event', 'upright', 'narrative', 'gimbal'] as const
export type ShootKind = (typeof shootKinds)[number]

export const conditionIds = ['sun', 'spray', 'cold', 'dark', 'wind', 'running', 'interviews', 'flight', 'overhead'] as const
export type Condition = (typeof conditionIds)[number]

const hours = z.number().min(0).max(24)

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
  wishes: {},
}
