import type { Part } from '../../catalogue/index.ts'
import { on, tinyRig } from '../../testing/index.ts'
import { overPayload } from './over-payload.ts'
import { testCheck } from '../tester.ts'
import { head, foot } from '../../testing/balance-rigs.ts'

const onHead = (limitG: number, extra: ReturnType<typeof head>[] = [], more: Partial<Part> = {}) =>
  tinyRig(
    [{ ...foot, ...more }, head('head', limitG)],
    [on('foot', 'seat', 'camera', 'seat'), on('head', 'clamp', 'foot', 'dovetail')],
    {
      extra,
    },
  )

testCheck(overPayload, {
  speaks: [
    {
      name: 'a gram too much; a stronger head is known',
      message: 'over',
      level: 'stop',
      numbers: { carriedG: 1100, limitG: 1099 },
      parts: ['head'],
      remedies: 2,
      ...onHead(1099, [head('strong', 4000)]),
    },
    { name: 'no stronger one', message: 'over', remedies: 1, ...onHead(1000) },
  ],
  cannotTell: [
    {
      name: 'within its rating, but a piece was never weighed',
      message: 'unweighed',
      numbers: { carriedG: 1000, limitG: 1100 },
      parts: ['foot'],
      ...onHead(1100, [], { massG: 0, unknown: ['massG'] }),
    },
  ],
  silent: [
    { name: 'exactly its rating', message: 'within', numbers: { carriedG: 1100, limitG: 1100 }, ...onHead(1100) },
  ],
})
