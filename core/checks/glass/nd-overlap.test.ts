import { dayOfScenes, disc, nd } from '../../testing/glass.ts'
import { on } from '../../testing/index.ts'
import { ndOverlap } from './nd-overlap.ts'
import { testCheck } from '../tester.ts'
import { shot, sun } from '../../testing/light-rigs.ts'

testCheck(ndOverlap, {
  speaks: [
    {
      name: 'a fixed one beside a variable one that does the same',
      message: 'spare',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['four'],
      remedies: 1,
      ...shot({
        brief: dayOfScenes(['hazy']),
        bag: [disc('v', 7, nd(2, 5)), disc('four', 5, nd(4))],
        joints: [on('v', 'rear', 'lens', 'thread')],
      }),
    },
    {
      name: 'two variable ones on each other',
      message: 'crossed',
      level: 'risk',
      parts: ['w', 'v'],
      remedies: 1,
      ...shot({
        brief: sun,
        bag: [disc('v', 7, nd(2, 5)), disc('w', 7, nd(2, 5))],
        joints: [on('v', 'rear', 'lens', 'thread'), on('w', 'rear', 'v', 'front')],
      }),
    },
  ].map((given) => given as never),
  silent: [
    {
      name: 'both are needed: four stops and six',
      message: 'useful',
      ...shot({ brief: dayOfScenes(['hazy', 'water-in-sun']), bag: [disc('four', 5, nd(4)), disc('six', 5, nd(6))] }),
    },
    { name: 'the only one', message: 'only', ...shot({ brief: sun, bag: [disc('six', 5, nd(6))] }) },
  ],
})
