import type { Check } from '../check.ts'
import { gripSpread } from './grip-spread.ts'
import { hangRoll } from './hang-roll.ts'
import { hangTilt } from './hang-tilt.ts'
import { headMoment } from './head-moment.ts'
import { holdTime } from './hold-time.ts'
import { massUnknown } from './mass-unknown.ts'
import { overMass } from './over-mass.ts'
import { overPayload } from './over-payload.ts'
import { plateOffset } from './plate-offset.ts'
import { rodsSag } from './rods-sag.ts'
import { shoulderFrontHeavy } from './shoulder-front-heavy.ts'
import { slipsOutward } from './slips-outward.ts'
import { standsCrooked } from './stands-crooked.ts'
import { tipOver } from './tip-over.ts'
import { underPayload } from './under-payload.ts'

/** The rules of this family, in the order of their ids. */
export const balanceChecks: readonly Check[] = [
  gripSpread,
  hangRoll,
  hangTilt,
  headMoment,
  holdTime,
  massUnknown,
  overMass,
  overPayload,
  plateOffset,
  rodsSag,
  shoulderFrontHeavy,
  slipsOutward,
  standsCrooked,
  tipOver,
  underPayload,
]
