import { type Command, edit, placeSetup, type PlacedPart, type Rig, setupOf } from '../assembly/index.ts'
import { countLevels, findingKey, type Level } from '../checks/index.ts'
import type { Issue } from '../kernel/index.ts'
import { type Assessment, tryOut } from './evaluate.ts'

/** What an edit would change, without doing it. */
export interface Effect {
  readonly massG: number
  readonly toBuyMinor: number
  readonly tiltFromDeg: number | undefined
  readonly tiltToDeg: number | undefined
  readonly tallMm: number
  readonly gained: Readonly<Record<Level, number>>
  readonly lost: Readonly<Record<Level, number>>
}

/** What differs between a set-up and the same after an edit. */
export const changeOf = (before: Assessment, { facts, findings }: Pick<Assessment, 'facts' | 'findings'>): Effect => {
  const had = new Set(before.findings.map(findingKey))
  const has = new Set(findings.map(findingKey))
  const gained = findings.filter((finding) => !had.has(findingKey(finding)))
  return {
    massG: facts.mass.inHandG - before.mass.inHandG,
    toBuyMinor: facts.cost.usual - before.cost.usual,
    tiltFromDeg: before.hang?.tiltDeg,
    tiltToDeg: facts.hang?.tiltDeg,
    tallMm: facts.size.tallMm - before.size.tallMm,
    gained: countLevels(gained),
    lost: countLevels(before.findings.filter((finding) => !has.has(findingKey(finding)))),
  }
}

/** The effect of some edits on a set-up, or why they can't be done. */
export const effectOf = (
  rig: Rig,
  commands: readonly Command[],
  before: Assessment,
): Effect | { readonly issues: readonly Issue[] } => {
  const edited = edit(rig, commands, before.facts.context.catalogue)
  return edited.ok ? changeOf(before, tryOut(edited.value, before)) : { issues: edited.issues }
}

/**
 * The pieces that would stand elsewhere after some edits, where they would stand, and those that would be new: what a
 * drawing shows beside the rig as it is. Nothing where the edits can't be done.
 */
export const ghostsOf = ({ rig, assembly, facts }: Assessment, commands: readonly Command[]): readonly PlacedPart[] => {
  const { catalogue } = facts.context
  const edited = edit(rig, commands, catalogue)
  const setup = edited.ok ? setupOf(edited.value, assembly.setup.id) : undefined
  if (!edited.ok || !setup) return []
  return placeSetup(edited.value, setup, catalogue).placed.filter(
    (piece) => !sameStand(assembly.byInstance.get(piece.instance.id), piece),
  )
}

const STANDS_STILL_MM = 0.05
const sameStand = (before: PlacedPart | undefined, now: PlacedPart): boolean =>
  before !== undefined &&
  before.part === now.part &&
  now.solids.every(({ bounds }, i) => {
    const was = before.solids[i]?.bounds
    return (
      was !== undefined &&
      ([0, 1, 2] as const).every(
        (k) =>
          Math.abs(bounds.min[k] - was.min[k]) < STANDS_STILL_MM &&
          Math.abs(bounds.max[k] - was.max[k]) < STANDS_STILL_MM,
      )
    )
  })
