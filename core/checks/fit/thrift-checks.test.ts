import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { duplicateOwned } from '../money/duplicate-owned.ts'
import { mountsShared } from './mounts-shared.ts'
import { needTwice } from '../need/need-twice.ts'
import { notNeeded } from '../need/not-needed.ts'
import { partialFit } from './partial-fit.ts'
import { testCheck } from '../tester.ts'

const mic = (id: string, more = {}) =>
  tinyPart({
    id,
    role: 'mic',
    provides: ['scratch-sound'],
    mounts: [plug('foot', 'shoe-cold'), plug('screw', 'thread-1/4-pin')],
    ...more,
  })
const inShoe = on('mic', 'foot', 'camera', 'shoe')
const wants = { brief: { wishes: {} } }

testCheck(needTwice, {
  speaks: [
    {
      name: 'two microphones that do the same: the one on the later point goes, whichever was put on first',
      message: 'twice',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['mic', 'spare'],
      remedies: 1,
      ...tinyRig([mic('mic'), mic('spare')], [inShoe, on('spare', 'screw', 'camera', 'pinned')], wants),
    },
    {
      name: 'one does all the other does and more: the lesser goes',
      message: 'twice',
      parts: ['mic', 'furry'],
      ...tinyRig(
        [mic('mic'), mic('furry', { provides: ['scratch-sound', 'wind-cover'] })],
        [inShoe, on('furry', 'screw', 'camera', 'pinned')],
        wants,
      ),
    },
  ],
  silent: [{ name: 'one microphone', message: 'alone', ...tinyRig([mic('mic')], [inShoe], wants) }],
})

testCheck(notNeeded, {
  speaks: [
    {
      name: 'XLR inputs at the desk',
      message: 'unasked',
      level: 'hint',
      numbers: { massG: 100, priceMinor: 1000, seconds: 15 },
      parts: ['preamp'],
      remedies: 1,
      ...tinyRig(
        [tinyPart({ id: 'preamp', role: 'preamp', provides: ['xlr'], mounts: [plug('foot', 'shoe-cold')] })],
        [on('preamp', 'foot', 'camera', 'shoe')],
      ),
    },
    {
      name: 'an owned arm that carries nothing',
      message: 'idle',
      numbers: { priceMinor: 0, seconds: 25 },
      ...tinyRig(
        [tinyPart({ id: 'arm', role: 'arm', mounts: [plug('foot', 'thread-1/4')] })],
        [on('arm', 'foot', 'camera', 'hole')],
        {
          owned: { arm: 1 },
        },
      ),
    },
  ],
  silent: [{ name: 'a microphone that is asked for', message: 'needed', ...tinyRig([mic('mic')], [inShoe], wants) }],
})

testCheck(duplicateOwned, {
  speaks: [
    {
      name: 'the locker has one',
      message: 'owned',
      level: 'hint',
      numbers: { priceMinor: 1000 },
      parts: ['mic'],
      remedies: 1,
      ...tinyRig([mic('mic')], [inShoe], { ...wants, extra: [mic('old')], owned: { old: 1 } }),
    },
  ],
  silent: [
    {
      name: 'the locker has none',
      message: 'none',
      ...tinyRig([mic('mic')], [inShoe], { ...wants, extra: [mic('old')] }),
    },
    {
      name: 'the one in the locker would turn where this one is pinned',
      message: 'none',
      ...tinyRig([mic('mic')], [on('mic', 'screw', 'camera', 'pinned')], {
        ...wants,
        extra: [mic('old', { mounts: [plug('screw', 'thread-1/4')] })],
        owned: { old: 1 },
      }),
    },
  ],
})

const bay = tinyPart({
  id: 'bay',
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('slot', 'pack', [0, 20, 0], [0, 1, 0], { family: 'p72', almost: ['p72-old'] }),
  ],
})
const pack = (id: string, family: string) =>
  tinyPart({ id, role: 'battery', massG: 60, mounts: [plug('back', 'pack', { family })] })
const inBay = (id: string, family: string, extra: ReturnType<typeof pack>[] = []) =>
  tinyRig([bay, pack(id, family)], [on('bay', 'foot', 'camera', 'hole'), on(id, 'back', 'bay', 'slot')], { extra })

testCheck(partialFit, {
  speaks: [
    {
      name: 'an older pack goes in without latching; the right one is known',
      message: 'almost',
      level: 'risk',
      parts: ['older'],
      remedies: 2,
      ...inBay('older', 'p72-old', [pack('right', 'p72')]),
    },
  ],
  silent: [{ name: 'the right pack', message: 'holds', ...inBay('right', 'p72') }],
})

const block = tinyPart({
  id: 'block',
  solids: [{ kind: 'box', centre: [0, 10, 0], size: [80, 20, 20], matter: 'body' }],
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('a', 'thread-1/4', [-30, 20, 0], [0, 1, 0], { shares: ['b'] }),
    socket('b', 'thread-1/4', [0, 20, 0], [0, 1, 0], { shares: ['a'] }),
    socket('c', 'thread-1/4', [30, 20, 0]),
  ],
})
const screw = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
const both = (b: string) =>
  tinyRig(
    [block, screw('one'), screw('two')],
    [on('block', 'foot', 'camera', 'hole'), on('one', 'foot', 'block', 'a'), on('two', 'foot', 'block', b)],
  )

testCheck(mountsShared, {
  speaks: [
    {
      name: 'two holes in the same metal',
      message: 'blocked',
      level: 'stop',
      parts: ['two', 'one'],
      remedies: 2,
      ...both('b'),
    },
  ],
  silent: [{ name: 'two that do not disturb each other', message: 'free', ...both('c') }],
})
