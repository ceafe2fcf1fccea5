import { disc, nd, zoom } from '../../testing/glass.ts'
import { on } from '../../testing/index.ts'
import { filterStack } from './filter-stack.ts'
import { testCheck } from '../tester.ts'
import { front, screwed } from '../../testing/front-rigs.ts'

testCheck(filterStack, {
  speaks: [
    {
      name: 'three panes; the last comes off',
      message: 'many',
      level: 'risk',
      numbers: { count: 3, most: 2 },
      parts: ['a', 'b', 'c'],
      ...front(['a', 'b', 'c'].map((id) => disc(id, 3, nd(1))).concat([zoom()]), [
        screwed('a'),
        on('b', 'rear', 'a', 'front'),
        on('c', 'rear', 'b', 'front'),
      ]),
    },
  ],
  silent: [
    {
      name: 'two are plenty',
      message: 'few',
      numbers: { count: 2 },
      ...front([zoom(), disc('a', 3, nd(1)), disc('b', 3, nd(1))], [screwed('a'), on('b', 'rear', 'a', 'front')]),
    },
  ],
})
