import { on, plug } from '../../testing/index.ts'
import { hdmiLead, link, pack, screen, wiredRig } from '../../testing/wired.ts'
import { chainBroken } from './chain-broken.ts'
import { testCheck } from '../tester.ts'

const loop = screen('loop', {
  sockets: [
    ...(screen().sockets ?? []),
    { id: 'on', connector: 'hdmi-a', direction: 'out', at: [0, 15, 10], out: [0, 0, 1], carries: ['picture'] },
  ],
})

const chain = (first: boolean, powered: boolean) =>
  wiredRig(
    [loop, screen('far'), hdmiLead(), hdmiLead('next'), ...(powered ? [slab] : [])],
    [
      on('loop', 'foot', 'camera', 'hole'),
      on('far', 'foot', 'camera', 'pinned'),
      ...(powered ? [on('slab', 'contacts', 'loop', 'seat')] : []),
    ],
    [...(first ? [link('hdmi', 'camera/hdmi', 'loop/in')] : []), link('next', 'loop/on', 'far/in')],
  )

const slab = pack('slab', { mounts: [plug('contacts', 'slab-l', { family: 'l' })] })

testCheck(chainBroken, {
  speaks: [
    {
      name: 'it starts at a screen that gets no picture',
      message: 'source',
      level: 'risk',
      parts: ['far'],
      ...chain(false, true),
    },
    { name: 'through a screen without power', message: 'dark', parts: ['far'], ...chain(true, false) },
  ],
  silent: [{ name: 'through a screen that is on', message: 'whole', ...chain(true, true) }],
})
