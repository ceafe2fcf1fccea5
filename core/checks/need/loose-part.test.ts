import { placeSetup, type Rig } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, tinyPart, tinyRig } from '../../testing/index.ts'
import { pack, wiredRig } from '../../testing/wired.ts'
import { loosePart } from './loose-part.ts'
import { disc, nd, seeingCamera, zoom } from '../../testing/glass.ts'
import { testCheck } from '../tester.ts'
import { mic, second } from '../../testing/kit-rigs.ts'

const withOther = (() => {
  const tiny = tinyRig([mic], [])
  return { ...tiny, rig: { ...tiny.rig, setups: [...tiny.rig.setups, second] } }
})()

testCheck(loosePart, {
  speaks: [
    {
      name: 'in the kit, on nothing',
      message: 'loose',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['mic'],
      remedies: 2,
      ...tinyRig([mic], []),
    },
  ],
  silent: [
    { name: 'used in another set-up', message: 'used', ...withOther },
    { name: 'a battery in the bag', message: 'spare', ...wiredRig([pack()], []) },
    {
      name: 'a filter for another lens of the kit',
      message: 'glass',
      ...tinyRig([zoom(), disc('six', 5, nd(6), {}, 67)], [on('lens', 'bayonet', 'camera', 'lens')], {
        extra: [seeingCamera(), zoom({ id: 'small', threadMm: 67 })],
        brief: {
          lenses: [
            { partId: 'lens', share: 50 },
            { partId: 'small', share: 50 },
          ],
        },
      }),
    },
  ],
})

test('what is only considered, or belongs in the bag, is not loose', () => {
  const tool = tinyPart({ id: 'keys', role: 'tool' })
  const { rig, context } = tinyRig([mic, tool], [], {
    kit: [
      { id: 'mic', partId: 'mic', status: 'considered' },
      { id: 'keys', partId: 'keys', status: 'in' },
    ],
  })
  expect(
    loosePart.judgements(factsOf(placeSetup(rig, rig.setups[0] as Rig['setups'][number], context.catalogue), context)),
  ).toEqual([])
})
