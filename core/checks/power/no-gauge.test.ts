import { tank } from '../../testing/wired.ts'
import { noGauge } from './no-gauge.ts'
import { testCheck } from '../tester.ts'
import { withStore, trickled } from '../../testing/power-rigs.ts'

const blindTank = (id: string, gauge: boolean) => withStore(tank(id), { gauge })

testCheck(noGauge, {
  speaks: [
    {
      name: 'a tank without a gauge behind the camera; one with a gauge takes its place and its leads',
      message: 'none',
      level: 'hint',
      parts: ['tank'],
      remedies: 1,
      ...trickled(30, { tank: blindTank('tank', false), extra: [blindTank('seeing', true)] }),
    },
  ],
  silent: [{ name: 'with a gauge', message: 'gauge', ...trickled(30) }],
})
