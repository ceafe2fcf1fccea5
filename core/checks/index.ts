import { type Check, type Finding, levels } from './check.ts'
import { type Facts } from './facts.ts'
import { bodyUnfit } from './body-unfit.ts'
import { duplicateOwned } from './duplicate-owned.ts'
import { handRoom } from './hand-room.ts'
import { hangRoll } from './hang-roll.ts'
import { hangTilt } from './hang-tilt.ts'
import { jointOverload } from './joint-overload.ts'
import { liftByShoe } from './lift-by-shoe.ts'
import { loosePart } from './loose-part.ts'
import { mountMismatch } from './mount-mismatch.ts'
import { mountMoment } from './mount-moment.ts'
import { mountTaken } from './mount-taken.ts'
import { mountsShared } from './mounts-shared.ts'
import { needTwice } from './need-twice.ts'
import { needUnmet } from './need-unmet.ts'
import { notNeeded } from './not-needed.ts'
import { overBudget } from './over-budget.ts'
import { overMass } from './over-mass.ts'
import { overPayload } from './over-payload.ts'
import { partialFit } from './partial-fit.ts'
import { screenSwing } from './screen-swing.ts'
import { shoeOverload } from './shoe-overload.ts'
import { singleScrew } from './single-screw.ts'
import { solidClash } from './solid-clash.ts'
import { standsCrooked } from './stands-crooked.ts'
import { tooTall } from './too-tall.ts'

export * from './check.ts'
export { type FactName, factNames, type Facts, factsOf, type Shelf } from './facts.ts'
export { byReadiness, pointName, spareOwned } from './places.ts'

/** Every check, in the order of their ids. A test holds this list to the directory and the docs. */
export const checks: readonly Check[] = [
  bodyUnfit,
  duplicateOwned,
  handRoom,
  hangRoll,
  hangTilt,
  jointOverload,
  liftByShoe,
  loosePart,
  mountMismatch,
  mountMoment,
  mountTaken,
  mountsShared,
  needTwice,
  needUnmet,
  notNeeded,
  overBudget,
  overMass,
  overPayload,
  partialFit,
  screenSwing,
  shoeOverload,
  singleScrew,
  solidClash,
  standsCrooked,
  tooTall,
]

/** All that the checks have to say, worst first; within a level in the order of the registry. */
export const findingsOf = (facts: Facts, withRemedies = true): readonly Finding[] => {
  const found = checks.flatMap((check) => check.run(facts, withRemedies))
  return levels.flatMap((level) => found.filter((finding) => finding.level === level))
}

/** What makes two findings of different assessments the same trouble. */
export const findingKey = (finding: Finding): string =>
  [finding.check, finding.level, finding.names['capability'] ?? '', ...[...finding.parts].sort()].join(' ')
