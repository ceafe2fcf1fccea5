import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { noCommonPlate } from './no-common-plate.ts'
import { testCheck } from '../tester.ts'

const stand = (id: string, standard: string) => tinyPart({ id, role: 'head', mounts: [plug('foot', standard)] })

const stands = (second: string) => {
  const tiny = tinyRig([stand('head', 'thread-1/4'), stand('gimbal', second)], [on('head', 'foot', 'camera', 'hole')], {
    setup: { support: 'tripod', name: 'slip' },
  })
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const other = {
    ...setup,
    id: 'walk',
    name: 'walk',
    joints: [on('gimbal', 'foot', 'camera', second === 'shoe-cold' ? 'shoe' : 'hole')],
  }
  return { ...tiny, rig: { ...tiny.rig, setups: [setup, other] } }
}

testCheck(noCommonPlate, {
  speaks: [
    { name: 'a screw here, a shoe there', message: 'differ', level: 'risk', parts: ['head'], ...stands('shoe-cold') },
  ],
  silent: [{ name: 'the same screw on both', message: 'shared', ...stands('thread-1/4') }],
})
