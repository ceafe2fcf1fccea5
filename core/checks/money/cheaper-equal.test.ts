import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { cheaperEqual } from './cheaper-equal.ts'
import { testCheck } from '../tester.ts'
import { cube, bought, held } from '../../testing/money-rigs.ts'

testCheck(cheaperEqual, {
  speaks: [
    {
      name: 'the same for 25.00 less',
      message: 'cheaper',
      level: 'hint',
      numbers: { savesMinor: 2500, priceMinor: 6000, otherMinor: 3500 },
      parts: ['cube'],
      remedies: 1,
      ...bought(
        cube('cube', 6000, { provides: ['screen'] }),
        0,
        [cube('other', 3500, { provides: ['screen', 'sun-view'] }), cube('less', 1000)],
        { brief: { wishes: { 'scratch-sound': 'skip', screen: 'want' } } },
      ),
    },
  ],
  silent: [
    {
      name: 'what is owned costs nothing more',
      message: 'paid',
      ...bought(cube('cube', 6000), 0, [cube('other', 3000)], { owned: { cube: 1 } }),
    },
    {
      name: 'twenty at least',
      message: 'little',
      numbers: { savesMinor: 2000, leastMinor: 2000 },
      ...bought(cube('cube', 6000), 0, [cube('other', 4000)]),
    },
    {
      name: 'what nobody has priced is not cheaper',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [
        tinyPart({ id: 'other', mounts: [plug('foot', 'thread-1/4')], price: { low: 0, usual: 0, high: 0 } }),
      ]),
    },
    {
      // In the set's box lies the clip, which would cost 30.00 by itself: 45.00 and 30.00 are more than 60.00.
      name: 'a set whose other things are used costs less than the single part and those',
      message: 'dear',
      ...tinyRig(
        [cube('set', 6000, { includes: ['clip'] }), cube('clip', 3000)],
        [held('set'), on('clip', 'foot', 'camera', 'pinned')],
        { extra: [cube('single', 4500)] },
      ),
    },
    {
      name: 'one voice is not two',
      message: 'dear',
      ...bought(cube('twin', 6000, { channels: 2 }), 0, [cube('one', 2000)]),
    },
    {
      name: 'what is wider than the old one may have no room there',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [
        cube('wide', 2000, {
          solids: [{ kind: 'box', centre: [0, 10, 0], size: [32, 20, 20], matter: 'body' }],
        }),
      ]),
    },
    {
      name: 'what sits on it would look another way',
      message: 'dear',
      ...tinyRig(
        [
          cube('arm', 6000, { mounts: [plug('foot', 'thread-1/4'), socket('stud', 'thread-1/4', [0, 20, 0])] }),
          cube('rider', 0),
        ],
        [held('arm'), on('rider', 'foot', 'arm', 'stud')],
        {
          extra: [
            cube('leaning', 2000, {
              mounts: [plug('foot', 'thread-1/4'), socket('stud', 'thread-1/4', [0, 20, 0], [0, 0, -1])],
            }),
          ],
        },
      ),
    },
    {
      name: 'what is much heavier is not the same',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [cube('other', 1000, { massG: 126 })]),
    },
  ],
})
