import { placeSetup, type Rig } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { block } from '../../testing/view-rigs.ts'
import { pack, wiredRig } from '../../testing/wired.ts'
import { loosePart } from './loose-part.ts'
import { disc, nd, seeingCamera, stepUp, zoom } from '../../testing/glass.ts'
import { shot, sun, wanted } from '../../testing/light-rigs.ts'
import { testCheck } from '../tester.ts'
import { mic, second, spare } from '../../testing/kit-rigs.ts'

const withOther = (() => {
  const tiny = tinyRig([mic], [])
  return { ...tiny, rig: { ...tiny.rig, setups: [...tiny.rig.setups, second] } }
})()

const shoeBlock = tinyPart({
  id: 'shoe-block',
  mounts: [plug('foot', 'thread-1/4'), socket('shoe', 'shoe-cold', [0, 20, 0])],
})
const inShoe = (extra: readonly Part[]) => tinyRig([mic, spare], [on('spare-mic', 'foot', 'camera', 'shoe')], { extra })

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
    {
      // The mic would stand 40 to 60 mm up, 15 to 35 left of the middle; the wall hangs over that from 45 mm on.
      name: 'a wall over the only shoe',
      message: 'blocked',
      numbers: { depthMm: 15 },
      remedies: 1,
      ...tinyRig([mic, block('wall', [-50, 15, 0])], [on('wall', 'foot', 'camera', 'pinned')]),
    },
    { name: 'another mic in the only shoe', message: 'taken', remedies: 1, ...inShoe([]) },
    { name: 'a screw-on shoe in the shop makes a place', message: 'taken', remedies: 2, ...inShoe([shoeBlock]) },
    {
      name: 'a foot that nothing on the rig takes',
      message: 'foreign',
      remedies: 1,
      ...tinyRig([tinyPart({ id: 'brick', role: 'mic', mounts: [plug('back', 'v-lock')] })], []),
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
    {
      name: 'a filter of the day, in the bag: whether the day wants it is for another rule',
      message: 'light',
      ...shot({ brief: { ...sun, ...wanted }, bag: [disc('six', 5, nd(6))] }),
    },
    {
      name: 'the ring it takes on the mounted lens',
      message: 'light',
      ...shot({
        lens: zoom({ threadMm: 77 }),
        brief: { ...sun, ...wanted },
        bag: [disc('six', 5, nd(6)), stepUp(77, 82)],
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
