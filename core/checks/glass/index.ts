import type { Check } from '../check.ts'
import { adapterLoad } from './adapter-load.ts'
import { adapterNoElectronics } from './adapter-no-electronics.ts'
import { clampOnSize } from './clamp-on-size.ts'
import { fieldUncovered } from './field-uncovered.ts'
import { filterOrder } from './filter-order.ts'
import { filterPerLens } from './filter-per-lens.ts'
import { filterStack } from './filter-stack.ts'
import { filterThread } from './filter-thread.ts'
import { followFocusOnAf } from './follow-focus-on-af.ts'
import { gearMissing } from './gear-missing.ts'
import { gradUp } from './grad-up.ts'
import { imageCircle } from './image-circle.ts'
import { inShot } from './in-shot.ts'
import { lensMissing } from './lens-missing.ts'
import { lensMount } from './lens-mount.ts'
import { motorReach } from './motor-reach.ts'
import { mountMoment } from './mount-moment.ts'
import { ndOverlap } from './nd-overlap.ts'
import { ndShort } from './nd-short.ts'
import { rotatingBase } from './rotating-base.ts'
import { stackVignettes } from './stack-vignettes.ts'
import { supportReach } from './support-reach.ts'

/** The rules of this family, in the order of their ids. */
export const glassChecks: readonly Check[] = [
  adapterLoad,
  adapterNoElectronics,
  clampOnSize,
  fieldUncovered,
  filterOrder,
  filterPerLens,
  filterStack,
  filterThread,
  followFocusOnAf,
  gearMissing,
  gradUp,
  imageCircle,
  inShot,
  lensMissing,
  lensMount,
  motorReach,
  mountMoment,
  ndOverlap,
  ndShort,
  rotatingBase,
  stackVignettes,
  supportReach,
]
