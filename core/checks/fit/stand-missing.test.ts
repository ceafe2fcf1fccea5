import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { standMissing } from './stand-missing.ts'

const plate = tinyPart({
  id: 'plate',
  mounts: [plug('screw', 'thread-1/4'), socket('foot', 'dovetail-38', [0, 20, 0], [0, 1, 0], { lengthMm: 40 })],
})
const head = tinyPart({ id: 'head', role: 'head', mounts: [plug('clamp', 'dovetail-38', { lengthMm: 40 })] })
const gimbal = tinyPart({ id: 'gimbal', role: 'gimbal', mounts: [plug('clamp', 'dovetail-38', { lengthMm: 40 })] })
const onPlate = on('plate', 'screw', 'camera', 'hole')
const standing = (support: 'tripod' | 'gimbal', ...on: readonly (typeof head)[]) =>
  tinyRig(
    [plate, ...on],
    [
      onPlate,
      ...on.map(({ id }) => ({ ...onPlate, guest: id, guestMount: 'clamp', host: 'plate', hostMount: 'foot' })),
    ],
    { setup: { support } },
  )

testCheck(standMissing, {
  speaks: [
    { name: 'for a tripod, and none there', message: 'missing', level: 'risk', remedies: 0, ...standing('tripod') },
    {
      name: 'a head lies in the catalogue and the plate takes it',
      message: 'missing',
      remedies: 0,
      ...tinyRig([plate], [onPlate], { setup: { support: 'tripod' }, extra: [head] }),
    },
    { name: 'a head is no gimbal', message: 'missing', ...standing('gimbal', head) },
  ],
  silent: [
    { name: 'on its head', message: 'there', ...standing('tripod', head) },
    { name: 'on its gimbal', message: 'there', ...standing('gimbal', gimbal) },
  ],
})
