import { placeSetup, type Setup } from '@zucchini/core/assembly'
import { type Frame, identity, lengthOf, placeShape, turnAbout, type Vec3 } from '@zucchini/core/kernel'
import { secondMark } from '@zucchini/demo/scenario'
import { type BufferGeometry, InstancedMesh, Line, Mesh, type Object3D, Vector3 } from 'three'
import { on, plug, socket, tinyPart, tinyRig } from '../../core/testing/index.ts'
import { demoContext, first, second } from '../testing/demo.ts'
import { bodyOf } from './bodies.ts'
import { apart, buildScene, matrixOf, pickedOf } from './scene.ts'
import { footprintOf } from './shadow.ts'

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

const palette = { look: () => '#cccccc', ink: '#222222', leaf: '#228833', brick: '#bb3322', amber: '#bb7700' }
const options = { picked: '', point: '', rooms: false, leads: true, apartMm: 0 }
const drawsOf = (scene: Object3D): number => {
  let draws = 0
  scene.traverse((one) => void (one instanceof Mesh || one instanceof Line ? draws++ : 0))
  return draws
}

test('the turntable of both marks is drawn in at most 60 draws, also drawn apart', () => {
  for (const assessment of [first(), second()]) {
    expect(drawsOf(buildScene(assessment, palette, options))).toBeLessThanOrEqual(60)
    expect(drawsOf(buildScene(assessment, palette, { ...options, apartMm: 30 }))).toBeLessThanOrEqual(60)
  }
})

test('every body stays within what its solid takes up, for both marks; a pose carries it along', () => {
  for (const assembly of [first().assembly, second().assembly])
    for (const piece of assembly.placed)
      piece.solids.forEach((placed, i) => {
        const { min, max } = placed.bounds
        const body = bodyOf(piece, placed, i)
        body.computeBoundingBox()
        const { boundingBox } = body
        for (const [k, axis] of (['x', 'y', 'z'] as const).entries()) {
          expect([piece.instance.id, i, (boundingBox?.min[axis] ?? 0) >= (min[k] ?? 0) - 0.01]).toEqual([
            piece.instance.id,
            i,
            true,
          ])
          expect([piece.instance.id, i, (boundingBox?.max[axis] ?? 0) <= (max[k] ?? 0) + 0.01]).toEqual([
            piece.instance.id,
            i,
            true,
          ])
        }
      })
})

/** Volume of a closed body by the sum of its tetrahedra (Gauss). */
const volumeOf = (body: BufferGeometry): number => {
  const p = (body.index ? body.toNonIndexed() : body).getAttribute('position')
  let six = 0
  for (let i = 0; i < p.count; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => new Vector3().fromBufferAttribute(p, i + k)) as [Vector3, Vector3, Vector3]
    six += a.dot(b.cross(c))
  }
  return six / 6
}

test('bodies are right side out, a window takes its volume away, and a ring is hollow', () => {
  const bodyIn = (id: string) => {
    const part = demoContext.catalogue.parts.get(id)
    if (!part) throw new Error(`the demo has ${id}`)
    const setup = { ...(secondMark.setups[0] as Setup), root: 'it', joints: [], braces: [], links: [], poses: [] }
    const rig = { ...secondMark, kit: [{ id: 'it', partId: id, status: 'in' as const }], setups: [setup] }
    const [piece] = placeSetup(rig, setup, demoContext.catalogue).placed
    if (!piece) throw new Error('it is placed')
    return piece.solids.map((placed, i) => ({ volume: volumeOf(bodyOf(piece, placed, i)), placed }))
  }
  for (const id of ['reedsmith-full-h1', 'calabash-h1', 'reedsmith-top-38', 'typha-gear-64', 'kabocha-24-70'])
    for (const { volume } of bodyIn(id)) expect([id, volume > 0]).toEqual([id, true])
  // The base of the cage is 150.2 x 8 x 38 mm less its windows.
  const base = bodyIn('reedsmith-full-h1')[0]?.volume ?? 0
  expect(base).toBeLessThan(150.2 * 8 * 38 * 0.95)
  expect(base).toBeGreaterThan(150.2 * 8 * 38 * 0.3)
  // A gear ring of 37.5 mm, 9 mm wide, whose band is 6 mm.
  const ring = bodyIn('typha-gear-64')[1]?.volume ?? 0
  expect(ring / (Math.PI * (37.5 ** 2 - 31.5 ** 2) * 9)).toBeCloseTo(1, 1)
})

test('a press on the picture finds the piece or the open point under it', () => {
  const scene = buildScene(second(), palette, options)
  const marks: InstancedMesh[] = []
  scene.traverse((one) => void (one instanceof InstancedMesh && marks.push(one)))
  const [points] = marks
  if (!points) throw new Error('open points are drawn')
  const open = second().points.filter((one) => one.open)
  expect(points.count).toBe(open.length)
  expect(pickedOf({ object: points, instanceId: 1 })).toEqual({
    point: `${open[1]?.piece.instance.id}/${open[1]?.mount.id}`,
  })
  const body = new Mesh()
  body.userData['instance'] = 'cage'
  expect(pickedOf({ object: body })).toEqual({ instance: 'cage' })
  expect(pickedOf({ object: new Mesh() })).toEqual({})
})

test('the shadow is painted from what is in the hand, on the ground under it', () => {
  const { assembly, size } = second()
  const footprint = footprintOf(assembly)
  expect(footprint?.floorMm).toBeCloseTo(size.bounds.min[1], 6)
  expect(footprint?.wideMm).toBeGreaterThan(Math.max(size.longMm, size.wideMm))
  expect(footprintOf({ ...assembly, placed: [] })).toBeUndefined()
})
