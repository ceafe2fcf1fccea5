import { type Assembly, carriedBy, type PlacedPart } from '@zucchini/core/assembly'
import type { useRig } from '../../stores/rig.ts'
import { shortName } from '../../wording.ts'

/** What comes off with a piece: what sits on it, and the leads that are plugged into any of that. */
export interface Along {
  readonly riders: readonly PlacedPart[]
  readonly leads: number
}

export const alongWith = (assembly: Assembly, piece: PlacedPart): Along => {
  const off = carriedBy(assembly, piece)
  const ids = new Set(off.map(({ instance }) => instance.id))
  return {
    riders: off.filter((other) => other !== piece),
    leads: assembly.setup.links.filter(({ from, to }) => ids.has(from.instance) || ids.has(to.instance)).length,
  }
}

/** In words: "the receiver on it", "the 3 pieces on it and 2 leads"; nothing when it comes off alone. */
export const alongWords = ({ riders, leads }: Along): string => {
  const [only] = riders
  const pieces =
    riders.length === 1 && only
      ? `the ${shortName(only.part.name)} on it`
      : riders.length > 1
        ? `the ${riders.length} pieces on it`
        : ''
  const plugged = leads === 0 ? '' : leads === 1 ? '1 lead' : `${leads} leads`
  return [pieces, plugged].filter(Boolean).join(' and ')
}

/** Takes a piece off the open set-up and says what went with it. @returns whether it was done */
export const takeOff = (store: ReturnType<typeof useRig>, piece: PlacedPart): boolean => {
  const { setup, assessment } = store
  if (!setup || !assessment) return false
  const along = alongWords(alongWith(assessment.assembly, piece))
  const done = store.apply(
    [{ do: 'take-off', setup: setup.id, instance: piece.instance.id }],
    `take off ${piece.part.name}`,
  )
  if (done && along) store.notice = `${piece.part.name} is off, and ${along}. Undo puts everything back.`
  return done
}
