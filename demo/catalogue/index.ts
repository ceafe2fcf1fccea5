import type { Part } from '@zucchini/core/catalogue'
import { bagThings, plates, smallAdapters, stands } from './base.ts'
import { between } from './between.ts'
import { cables, savers } from './cables.ts'
import { cages } from './cages.ts'
import { cameras } from './cameras.ts'
import { withElectrics } from './electrics.ts'
import { withFoot } from './feet.ts'
import { withHearing } from './hearing.ts'
import { filters, lensAdapters, lenses } from './glass.ts'
import { sideHandles, topHandles } from './grips.ts'
import { moreCages, moreCameras } from './more-bodies.ts'
import { frontGear } from './front-gear.ts'
import { clamps, moreBag, moreMonitors, morePlates, moreSmall, moreSound, moreStands } from './more-gear.ts'
import { moreFilters, moreLensAdapters, moreLenses } from './more-glass.ts'
import { jaws, moreArms, moreHandles, shoulderPads, straps } from './more-holds.ts'
import { moreMedia, morePower } from './more-power.ts'
import { powerParts, rodParts } from './rods.ts'
import { withSensor } from './sensors.ts'
import { sound } from './sound.ts'
import { monitors, viewMounts } from './view.ts'

export { between } from './between.ts'
export { bodies } from './cameras.ts'

/** The invented catalogue that ships with the program. */
export const demoParts: readonly Part[] = [
  ...cables,
  ...savers,
  ...cameras,
  ...cages,
  ...lenses,
  ...lensAdapters,
  ...filters,
  ...topHandles,
  ...sideHandles,
  ...monitors,
  ...viewMounts,
  ...sound,
  ...plates,
  ...stands,
  ...smallAdapters,
  ...bagThings,
  ...rodParts,
  ...powerParts,
  ...moreCameras,
  ...moreCages,
  ...moreLenses,
  ...moreLensAdapters,
  ...moreFilters,
  ...moreHandles,
  ...straps,
  ...shoulderPads,
  ...moreArms,
  ...jaws,
  ...moreMonitors,
  ...moreSound,
  ...frontGear,
  ...morePower,
  ...moreMedia,
  ...morePlates,
  ...moreSmall,
  ...between,
  ...clamps,
  ...moreStands,
  ...moreBag,
].map((part) => withHearing(withFoot(withSensor(withElectrics(part)))))
