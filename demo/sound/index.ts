import type { Rig } from '@zucchini/core/assembly'
import { held } from './held.ts'
import { standing } from './standing.ts'
import { rigFrom } from './write.ts'

/**
 * Rigs as people shoot with them every day, of every kind of shoot and hold. Nothing of them can't be built, and none
 * harms gear or person: a rule that stops one of them is wrong. What is only risky or dearer than need be may be said.
 */
export const soundRigs: readonly Rig[] = [...held, ...standing].map(rigFrom)
