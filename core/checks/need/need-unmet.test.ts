import type { Vec3 } from '../../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { needUnmet } from './need-unmet.ts'
import { testCheck } from '../tester.ts'
import { mic, spare, second } from '../../testing/kit-rigs.ts'

const wants = { brief: { wishes: {} } }

const elsewhere = (() => {
  const tiny = tinyRig([mic], [], wants)
  return { ...tiny, rig: { ...tiny.rig, setups: [...tiny.rig.setups, second] } }
})()

/** A rig turned so that its right side is up, with a side grip on one of its sides, that wants a handle on top. */
const turned = (at: Vec3, out: Vec3) => {
  const grip = tinyPart({
    id: 'grip',
    role: 'side-handle',
    provides: ['side-grip'],
    grips: [{ kind: 'side', at: [0, 30, 0] }],
    mounts: [plug('foot', 'thread-1/4')],
  })
  return tinyRig([grip], [on('grip', 'foot', 'camera', 'side')], {
    brief: { wishes: { 'scratch-sound': 'skip', 'top-handle': 'want' } },
    setup: { support: 'two-hand', orientation: 'upright' },
    extra: [{ ...tinyCamera, mounts: [...tinyCamera.mounts, socket('side', 'thread-1/4', at, out)] }],
  })
}

testCheck(needUnmet, {
  speaks: [
    {
      name: 'no mic; one is known and a shoe is free',
      message: 'unmet',
      level: 'risk',
      ...tinyRig([], [], { ...wants, extra: [mic] }),
    },
    { name: 'a grip below is no handle on top', message: 'unmet', ...turned([-50, 0, 0], [-1, 0, 0]) },
    { name: 'no mic known', message: 'unmet', ...tinyRig([], [], wants) },
    { name: 'a mic in another set-up', message: 'elsewhere', level: 'hint', ...elsewhere },
    {
      name: 'two are known: both are offered',
      message: 'unmet',
      ...tinyRig([], [], { ...wants, extra: [mic, spare] }),
    },
    {
      name: 'the owned one is enough of an offer',
      message: 'unmet',
      ...tinyRig([], [], { ...wants, extra: [mic, spare], owned: { 'spare-mic': 1 } }),
    },
  ],
  silent: [
    { name: 'turned on its side, a side grip stands on top', message: 'met', ...turned([50, 0, 0], [1, 0, 0]) },
    { name: 'a mic in the shoe', message: 'met', ...tinyRig([mic], [on('mic', 'foot', 'camera', 'shoe')], wants) },
  ],
})
