import type { Check } from '../check.ts'
import { bagSize } from './bag-size.ts'
import { doorBlocked } from './door-blocked.ts'
import { driveCovers } from './drive-covers.ts'
import { eyeBlocked } from './eye-blocked.ts'
import { gloveRoom } from './glove-room.ts'
import { handRoom } from './hand-room.ts'
import { leadInRoom } from './lead-in-room.ts'
import { leadOverGrip } from './lead-over-grip.ts'
import { leverRoom } from './lever-room.ts'
import { monitorTooFar } from './monitor-too-far.ts'
import { monitorTooHigh } from './monitor-too-high.ts'
import { ownGrip } from './own-grip.ts'
import { ownScreen } from './own-screen.ts'
import { plugRoom } from './plug-room.ts'
import { portraitMonitor } from './portrait-monitor.ts'
import { ringRoom } from './ring-room.ts'
import { screenDim } from './screen-dim.ts'
import { screenSwing } from './screen-swing.ts'
import { socketBlocked } from './socket-blocked.ts'
import { socketCrowding } from './socket-crowding.ts'
import { solidClash } from './solid-clash.ts'
import { tooTall } from './too-tall.ts'
import { tooWide } from './too-wide.ts'
import { viewBlocked } from './view-blocked.ts'
import { wasInTheWay } from './was-in-the-way.ts'

/** The rules of this family, in the order of their ids. */
export const clearanceChecks: readonly Check[] = [
  bagSize,
  doorBlocked,
  driveCovers,
  eyeBlocked,
  gloveRoom,
  handRoom,
  leadInRoom,
  leadOverGrip,
  leverRoom,
  monitorTooFar,
  monitorTooHigh,
  ownGrip,
  ownScreen,
  plugRoom,
  portraitMonitor,
  ringRoom,
  screenDim,
  screenSwing,
  socketBlocked,
  socketCrowding,
  solidClash,
  tooTall,
  tooWide,
  viewBlocked,
  wasInTheWay,
]
