import { type Assembly, newRig, placeSetup } from '@zucchini/core/assembly'
import { catalogueOf, type Part } from '@zucchini/core/catalogue'
import { perThing } from '@zucchini/core/kernel'

/** A part by itself, placed so that it can be drawn like any rig. */
export const alone = perThing('a part alone', (part: Part): Assembly => {
  const rig = newRig('alone', part.name || 'part', part.id)
  const [setup] = rig.setups
  if (!setup) throw new RangeError('a new rig has a set-up')
  return placeSetup(rig, setup, catalogueOf([part]))
})
