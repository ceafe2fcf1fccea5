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

test('nothing is said of the balance of a rig without its lens; with one it is', () => {
  // 900 g, 60 mm in front of the handle that it would hang from.
  const heavy = tinyPart({ id: 'block', massG: 900, centre: [0, 10, -60], mounts: [plug('foot', 'thread-1/4')] })
  const handle = tinyPart({
    id: 'handle',
    mounts: [plug('foot', 'thread-1/4-pin')],
    grips: [{ kind: 'top', at: [0, 60, 0], axis: [0, 0, -1] }],
  })
  const joints = [onTop, on('handle', 'foot', 'camera', 'pinned')]
  const setup = { support: 'hand-low' } as const
  const said = (tiny: ReturnType<typeof tinyRig>) =>
    evaluate(tiny.rig, 'main', tiny.context)
      .findings.filter(({ family }) => family === 'balance')
      .map(({ check }) => check)
  const bare = tinyRig([heavy, handle], joints, { extra: [seeingCamera()], setup })
  expect(said(bare)).toEqual([])
  const whole = front([zoom({}), heavy, handle], joints)
  expect(
    said({ ...whole, rig: { ...whole.rig, setups: whole.rig.setups.map((one) => ({ ...one, ...setup })) } }),
  ).toContain('hang-tilt')
})

test('the whole assessment says so where nothing else of glass is on the rig', () => {
  const { rig, context } = tinyRig([block], [onTop], { extra: [seeingCamera()] })
  expect(evaluate(rig, 'main', context).findings.map(({ check }) => check)).toContain('lens-missing')
})
