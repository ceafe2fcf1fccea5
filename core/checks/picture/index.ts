import type { Check } from '../check.ts'
import { cableLong } from './cable-long.ts'
import { cableShort } from './cable-short.ts'
import { chainBroken } from './chain-broken.ts'
import { codecUnmet } from './codec-unmet.ts'
import { driveSlow } from './drive-slow.ts'
import { driveUnheld } from './drive-unheld.ts'
import { noCable } from './no-cable.ts'
import { noMonitoringPath } from './no-monitoring-path.ts'
import { noStrainRelief } from './no-strain-relief.ts'
import { plugDirection } from './plug-direction.ts'
import { portWear } from './port-wear.ts'
import { recordTimeShort } from './record-time-short.ts'
import { signalUnsupported } from './signal-unsupported.ts'
import { socketTwice } from './socket-twice.ts'
import { timecodePath } from './timecode-path.ts'
import { triggerPath } from './trigger-path.ts'
import { wrongEnds } from './wrong-ends.ts'

/** The rules of this family, in the order of their ids. */
export const pictureChecks: readonly Check[] = [
  cableLong,
  cableShort,
  chainBroken,
  codecUnmet,
  driveSlow,
  driveUnheld,
  noCable,
  noMonitoringPath,
  noStrainRelief,
  plugDirection,
  portWear,
  recordTimeShort,
  signalUnsupported,
  socketTwice,
  timecodePath,
  triggerPath,
  wrongEnds,
]
