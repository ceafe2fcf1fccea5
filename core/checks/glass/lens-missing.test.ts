import { evaluate } from '../../assess/index.ts'
import { front } from '../../testing/front-rigs.ts'
import { seeingCamera, zoom } from '../../testing/glass.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { lensMissing } from './lens-missing.ts'

const block = tinyPart({ id: 'block', mounts: [plug('foot', 'thread-1/4')] })
const onTop = on('block', 'foot', 'camera', 'hole')

testCheck(lensMissing, {
  speaks: [
    {
      name: 'a block on top and no lens before it',
      message: 'missing',
      level: 'risk',
      parts: ['camera'],
      remedies: 0,
      ...tinyRig([block], [onTop], { extra: [seeingCamera()] }),
    },
    {
      name: 'one that fits is known',
      message: 'missing',
      remedies: 1,
      ...tinyRig([block], [onTop], { extra: [seeingCamera(), zoom({})] }),
    },
  ],
  silent: [{ name: 'a lens on it', message: 'there', ...front([zoom({}), block], [onTop]) }],
})

test('the whole assessment says so where nothing else of glass is on the rig', () => {
  const { rig, context } = tinyRig([block], [onTop], { extra: [seeingCamera()] })
  expect(evaluate(rig, 'main', context).findings.map(({ check }) => check)).toContain('lens-missing')
})
