import { on, tinyRig } from '../../testing/index.ts'
import { needUnmet } from './need-unmet.ts'
import { testCheck } from '../tester.ts'
import { mic, spare, second } from '../../testing/kit-rigs.ts'

const wants = { brief: { wishes: {} } }

const elsewhere = (() => {
  const tiny = tinyRig([mic], [], wants)
  return { ...tiny, rig: { ...tiny.rig, setups: [...tiny.rig.setups, second] } }
})()

testCheck(needUnmet, {
  speaks: [
    {
      name: 'no mic; one is known and a shoe is free',
      message: 'unmet',
      level: 'risk',
      remedies: 1,
      ...tinyRig([], [], { ...wants, extra: [mic] }),
    },
    { name: 'no mic known', message: 'unmet', remedies: 0, ...tinyRig([], [], wants) },
    { name: 'a mic in another set-up', message: 'elsewhere', level: 'hint', ...elsewhere },
    {
      name: 'two are known: both are offered',
      message: 'unmet',
      remedies: 2,
      ...tinyRig([], [], { ...wants, extra: [mic, spare] }),
    },
    {
      name: 'the owned one is enough of an offer',
      message: 'unmet',
      remedies: 1,
      ...tinyRig([], [], { ...wants, extra: [mic, spare], owned: { 'spare-mic': 1 } }),
    },
  ],
  silent: [
    { name: 'a mic in the shoe', message: 'met', ...tinyRig([mic], [on('mic', 'foot', 'camera', 'shoe')], wants) },
  ],
})
