import { type Command, edit, type Rig } from '../assembly/index.ts'
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

const compare = (before: Assessment, after: Assessment): Effect => {
  const had = new Set(before.findings.map(findingKey))
  const has = new Set(after.findings.map(findingKey))
  const gained = after.findings.filter((finding) => !had.has(findingKey(finding)))
  return {
    massG: after.mass.inHandG - before.mass.inHandG,
    toBuyMinor: after.cost.usual - before.cost.usual,
    tiltFromDeg: before.hang?.tiltDeg,
    tiltToDeg: after.hang?.tiltDeg,
    tallMm: after.size.tallMm - before.size.tallMm,
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
  return edited.ok ? compare(before, tryOut(edited.value, before)) : { issues: edited.issues }
}
