import type { MountStandard } from '../standard.ts'
import { unknownStandard } from '../unknown-standard.ts'
import { body } from './body.ts'
import { clampOn } from './clamp-on.ts'
import { dovetail38 } from './dovetail-38.ts'
import { face } from './face.ts'
import { filterThread } from './filter-thread.ts'
import { gear08 } from './gear-0-8.ts'
import { lensMount } from './lens-mount.ts'
import { lensRing } from './lens-ring.ts'
import { nato } from './nato.ts'
import { pack } from './pack.ts'
import { pad } from './pad.ts'
import { rod15 } from './rod-15.ts'
import { rod15Pair } from './rod-15-pair.ts'
import { rosetteM6 } from './rosette-m6.ts'
import { shoeCold } from './shoe-cold.ts'
import { shoeHot } from './shoe-hot.ts'
import { slabL } from './slab-l.ts'
import { slide50 } from './slide-50.ts'
import { threadQuarter } from './thread-1-4.ts'
import { threadQuarterPinned } from './thread-1-4-pin.ts'
import { threadThreeEighths } from './thread-3-8.ts'
import { threadThreeEighthsPinned } from './thread-3-8-pin.ts'
import { threeStud } from './three-stud.ts'
import { tray } from './tray.ts'
import { twoScrew } from './two-screw.ts'
import { vLock } from './v-lock.ts'

/** Every mounting standard, in the order of their ids. A test holds this list to the directory and the docs. */
export const standards: readonly MountStandard[] = [
  body,
  clampOn,
  dovetail38,
  face,
  filterThread,
  gear08,
  lensMount,
  lensRing,
  nato,
  pack,
  pad,
  rod15,
  rod15Pair,
  rosetteM6,
  shoeCold,
  shoeHot,
  slabL,
  slide50,
  threadQuarter,
  threadQuarterPinned,
  threadThreeEighths,
  threadThreeEighthsPinned,
  threeStud,
  tray,
  twoScrew,
  vLock,
]

/** With the one of parts that are no longer known, which nobody can choose. */
const byId = new Map([...standards, unknownStandard].map((standard) => [standard.id, standard]))

/** The standard with this id. @throws {RangeError} for an id nobody registered. */
export const standardOf = (id: string): MountStandard => {
  const found = byId.get(id)
  if (!found) throw new RangeError(`No mounting standard "${id}"; known: ${[...byId.keys()].join(', ')}`)
  return found
}

/** Is this a standard a part may name? */
export const isStandard = (id: string): boolean => id !== unknownStandard.id && byId.has(id)
