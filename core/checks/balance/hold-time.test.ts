import { rohmertMinutes } from '../../balance/index.ts'
import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { holdTime } from './hold-time.ts'
import { testCheck } from '../tester.ts'

// In two hands 320 mm out: half the rig at the hand and 3.5 kg of arm half way, against 60 N m.
const held = (massG: number) =>
  tinyRig(
    [tinyPart({ id: 'weight', massG: massG - 1000, mounts: [plug('foot', 'thread-1/4')] })],
    [on('weight', 'foot', 'camera', 'hole')],
    { setup: { support: 'two-hand' } },
  )

const shareOf = (massG: number) => ((massG / 2000) * GRAVITY * 0.32 + 3.5 * GRAVITY * 0.16) / 60

const massFor = (wantedMinutes: number) => {
  let [low, high] = [2000, 40_000]
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2
    if (rohmertMinutes(shareOf(middle)) > wantedMinutes) low = middle
    else high = middle
  }
  return low
}

testCheck(holdTime, {
  speaks: [
    {
      name: '8 kg',
      message: 'tires',
      level: 'hint',
      numbers: { heldMinutes: -1.5 + 2.1 / shareOf(8000) - 0.6 / shareOf(8000) ** 2 + 0.1 / shareOf(8000) ** 3 },
      ...held(8000),
    },
    { name: '25 kg', message: 'tires', level: 'risk', ...held(25_000) },
  ],
  silent: [
    { name: 'exactly a take', message: 'holds', ...held(massFor(3)) },
    { name: 'the bare camera and a little', message: 'holds', ...held(1500) },
  ],
})
