import { evaluate } from '@zucchini/core/assess'
import { adoptRig, type Rig } from '@zucchini/core/assembly'
import type { Context } from '@zucchini/core/context'
import { api } from '../api.ts'

const MOST_LOOKED_AT = 40

/** Can every set-up of this rig be laid out and judged? */
export const isGood = (rig: Rig, context: Context): boolean => {
  try {
    const taken = adoptRig(rig, context.catalogue)
    if (!taken.ok) return false
    const { rig: mended, catalogue } = taken.value
    return mended.setups.every(({ id }) => evaluate(mended, id, { ...context, catalogue }).findings.length >= 0)
  } catch {
    return false
  }
}

/**
 * Looks back through the history for the newest revision that can be laid out, and makes it the newest. @returns its
 * number, if there is one
 */
export const backToGood = async (id: string, context: Context): Promise<number | undefined> => {
  const { revisions } = await api.revisions(id)
  const [newest] = revisions
  if (!newest) return undefined
  for (const { revision } of revisions.slice(0, MOST_LOOKED_AT)) {
    const { rig } = await api.revision(id, revision)
    if (!isGood(rig, context)) continue
    if (revision !== newest.revision)
      await api.save(rig, newest.revision, `back to revision ${revision}, the last that could be laid out`, {
        same: revision,
      })
    return revision
  }
  return undefined
}
