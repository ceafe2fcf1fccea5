import { plug } from '../../testing/index.ts'
import { inBay, pack, tank, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { tooManyBatteryKinds } from './too-many-battery-kinds.ts'

const slab = (id: string) => pack(id, { mounts: [plug('contacts', 'slab-l', { family: 'l' })] })

testCheck(tooManyBatteryKinds, {
  speaks: [
    {
      name: 'packs, slabs and a tank',
      message: 'many',
      level: 'hint',
      numbers: { kinds: 3, mostKinds: 2 },
      ...wiredRig([pack(), slab('slab'), tank()], [inBay()]),
    },
  ],
  silent: [
    { name: 'packs and slabs', message: 'few', numbers: { kinds: 2 }, ...wiredRig([pack(), slab('slab')], [inBay()]) },
  ],
})
