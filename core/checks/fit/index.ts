import type { Check } from '../check.ts'
import { adapterStack } from './adapter-stack.ts'
import { bodyUnfit } from './body-unfit.ts'
import { braceGap } from './brace-gap.ts'
import { buildKnot } from './build-knot.ts'
import { buildScratch } from './build-scratch.ts'
import { cameLoose } from './came-loose.ts'
import { dovetailEntry } from './dovetail-entry.ts'
import { frictionHolder } from './friction-holder.ts'
import { gapSeen } from './gap-seen.ts'
import { jointOverload } from './joint-overload.ts'
import { liftByShoe } from './lift-by-shoe.ts'
import { mixedRods } from './mixed-rods.ts'
import { mountMismatch } from './mount-mismatch.ts'
import { mountTaken } from './mount-taken.ts'
import { mountsShared } from './mounts-shared.ts'
import { needsPart } from './needs-part.ts'
import { noCommonPlate } from './no-common-plate.ts'
import { offPlace } from './off-place.ts'
import { padOverload } from './pad-overload.ts'
import { partGone } from './part-gone.ts'
import { partialFit } from './partial-fit.ts'
import { railEntry } from './rail-entry.ts'
import { railTooShort } from './rail-too-short.ts'
import { rodSingle } from './rod-single.ts'
import { rodsOverlong } from './rods-overlong.ts'
import { rodsShort } from './rods-short.ts'
import { screwTooLong } from './screw-too-long.ts'
import { shoeOverload } from './shoe-overload.ts'
import { shoeSlides } from './shoe-slides.ts'
import { singleScrew } from './single-screw.ts'
import { standMissing } from './stand-missing.ts'
import { twoScrewSpacing } from './two-screw-spacing.ts'
import { untetheredOverhead } from './untethered-overhead.ts'

/** The rules of this family, in the order of their ids. */
export const fitChecks: readonly Check[] = [
  adapterStack,
  bodyUnfit,
  braceGap,
  buildKnot,
  buildScratch,
  cameLoose,
  dovetailEntry,
  frictionHolder,
  gapSeen,
  jointOverload,
  liftByShoe,
  mixedRods,
  mountMismatch,
  mountTaken,
  mountsShared,
  needsPart,
  noCommonPlate,
  offPlace,
  padOverload,
  partGone,
  partialFit,
  railEntry,
  railTooShort,
  rodSingle,
  rodsOverlong,
  rodsShort,
  screwTooLong,
  shoeOverload,
  shoeSlides,
  singleScrew,
  standMissing,
  twoScrewSpacing,
  untetheredOverhead,
]
