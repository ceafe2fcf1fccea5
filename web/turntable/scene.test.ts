import { placeSetup, type Setup } from '@zucchini/core/assembly'
import { type Frame, identity, lengthOf, placeShape, turnAbout, type Vec3 } from '@zucchini/core/kernel'
import { Vector3 } from 'three'
import { on, plug, socket, tinyPart, tinyRig } from '../../core/testing/index.ts'
import { apart, matrixOf } from './scene.ts'

const turned: Frame = { ...turnAbout([0, 0, 1], 30, [0, 0, 0]), at: [10, 20, 30] }
const close = (v: Vector3, wanted: Vec3) => expect(v.distanceTo(new Vector3(...wanted))).toBeLessThan(1e-9)

test('the corner of a unit box lands on the corner of the placed box', () => {
  const shape = placeShape({ kind: 'box', centre: [1, 2, 3], size: [10, 20, 30] }, turned)
  if (shape.kind !== 'box') throw new Error('a box was placed')
  const corner = shape.edges.reduce<Vec3>(
    (sum, edge) => [sum[0] + edge[0], sum[1] + edge[1], sum[2] + edge[2]],
    shape.centre,
  )
  close(new Vector3(0.5, 0.5, 0.5).applyMatrix4(matrixOf(shape)), corner)
})

test('a unit cylinder takes the axis, length and radius of the placed one, right-handed', () => {
  const matrix = matrixOf(
    placeShape({ kind: 'cylinder', centre: [0, 0, 0], axis: [0, 0, -1], radius: 5, length: 40 }, identity),
  )
  close(new Vector3(0, 0.5, 0).applyMatrix4(matrix), [0, 0, -20])
  const rim = new Vector3(1, 0, 0).applyMatrix4(matrix)
  expect([Math.hypot(rim.x, rim.y), rim.z]).toEqual([expect.closeTo(5, 9), expect.closeTo(0, 9)])
  expect(matrix.determinant()).toBeGreaterThan(0)
})

test('drawn apart, each piece stands off its host by as much again as its host does', () => {
  const cube = (id: string) =>
    tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
  const { rig, context } = tinyRig(
    [cube('one'), cube('two')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'one', 'top')],
  )
  const assembly = placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
  const off = (id: string) => lengthOf(apart(assembly.byInstance.get(id) as never, 10))
  expect([off('camera'), off('one'), off('two')]).toEqual([0, expect.closeTo(10, 9), expect.closeTo(20, 9)])
})
