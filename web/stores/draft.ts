import { liftRig, rigSchema } from '@zucchini/core/assembly'
import { z } from 'zod'

const schema = z.object({ base: z.int().min(1), rig: rigSchema })
const key = (id: string): string => `zucchini:draft:${id}`

/** An edit the server has not confirmed yet, kept in the browser so that closing the page loses nothing. */
export type Draft = z.infer<typeof schema>

/** @returns whether the browser had room for it */
export const keepDraft = (draft: Draft): boolean => {
  try {
    localStorage.setItem(key(draft.rig.id), JSON.stringify(draft))
    return true
  } catch {
    return false
  }
}

export const dropDraft = (id: string): void => {
  try {
    localStorage.removeItem(key(id))
  } catch {
    // Nothing kept, nothing to drop.
  }
}

export const readDraft = (id: string): Draft | undefined => {
  try {
    const text = localStorage.getItem(key(id))
    if (text === null) return undefined
    const kept = JSON.parse(text) as { rig?: unknown }
    const parsed = schema.safeParse({ ...kept, rig: liftRig(kept.rig) })
    return parsed.success ? parsed.data : undefined
  } catch {
    return undefined
  }
}
