import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { partialFit } from './partial-fit.ts'
import { testCheck } from '../tester.ts'

const bay = tinyPart({
  id: 'bay',
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('slot', 'pack', [0, 20, 0], [0, 1, 0], { family: 'p72', almost: ['p72-old'] }),
  ],
})

const pack = (id: string, family: string) =>
  tinyPart({ id, role: 'battery', massG: 60, mounts: [plug('back', 'pack', { family })] })

const inBay = (id: string, family: string, extra: ReturnType<typeof pack>[] = []) =>
  tinyRig([bay, pack(id, family)], [on('bay', 'foot', 'camera', 'hole'), on(id, 'back', 'bay', 'slot')], { extra })

testCheck(partialFit, {
  speaks: [
    {
      name: 'an older pack goes in without latching; the right one is known',
      message: 'almost',
      level: 'risk',
      parts: ['older'],
      remedies: 2,
      ...inBay('older', 'p72-old', [pack('right', 'p72')]),
    },
  ],
  silent: [{ name: 'the right pack', message: 'holds', ...inBay('right', 'p72') }],
})
