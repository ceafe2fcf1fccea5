import type { MountStandard } from '../standard.ts'
import { body } from './body.ts'
import { dovetail38 } from './dovetail-38.ts'
import { filterThread } from './filter-thread.ts'
import { lensMount } from './lens-mount.ts'
import { nato } from './nato.ts'
import { shoeCold } from './shoe-cold.ts'
import { shoeHot } from './shoe-hot.ts'
import { threadQuarterPinned } from './thread-1-4-pin.ts'
import { threadQuarter } from './thread-1-4.ts'
import { threadThreeEighthsPinned } from './thread-3-8-pin.ts'
import { threadThreeEighths } from './thread-3-8.ts'

/** Every mounting standard, in the order of their ids. A test holds this list to the directory and the docs. */
export const standards: readonly MountStandard[] = [
  body,
  dovetail38,
  filterThread,
  lensMount,
  nato,
  shoeCold,
  shoeHot,
  threadQuarter,
  threadQuarterPinned,
  threadThreeEighths,
  threadThreeEighthsPinned,
]

const byId = new Map(standards.map((standard) => [standard.id, standard]))

/** The standard with this id. @throws {RangeError} for an id nobody registered. */
export const standardOf = (id: string): MountStandard => {
  const found = byId.get(id)
  if (!found) throw new RangeError(`No mounting standard "${id}"; known: ${[...byId.keys()].join(', ')}`)
  return found
}

export const isStandard = (id: string): boolean => byId.has(id)
