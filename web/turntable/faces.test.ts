import { type BufferGeometry, Vector3 } from 'three'
import { second } from '../testing/demo.ts'
import { onFacesOf } from './faces.ts'

const cornersOf = (geometry: BufferGeometry): readonly Vector3[] => {
  const at = geometry.getAttribute('position')
  return Array.from({ length: at.count }, (_, i) => new Vector3().fromBufferAttribute(at, i))
}
/** Which way a flat shape faces: by the order of its first three corners. */
const facing = (geometry: BufferGeometry): Vector3 => {
  const [a, b, c] = cornersOf(geometry)
  if (!a || !b || !c) throw new Error('it has a triangle')
  return b.clone().sub(a).cross(c.clone().sub(a)).normalize()
}

test('what lies on a face lies a hair off it, looks outwards, and stays within the face', () => {
  const { assembly } = second()
  let shapes = 0
  for (const piece of assembly.placed)
    piece.solids.forEach((solid, i) => {
      const { min, max } = solid.bounds
      for (const { geometry } of onFacesOf(piece, solid, i).shapes) {
        const corners = cornersOf(geometry)
        if (corners.length === 0) continue
        shapes++
        for (const corner of corners)
          for (const [k, axis] of (['x', 'y', 'z'] as const).entries()) {
            expect([piece.instance.id, i, corner[axis] >= (min[k] ?? 0) - 2]).toEqual([piece.instance.id, i, true])
            expect([piece.instance.id, i, corner[axis] <= (max[k] ?? 0) + 2]).toEqual([piece.instance.id, i, true])
          }
        const middle = corners.reduce((sum, one) => sum.add(one), new Vector3()).divideScalar(corners.length)
        const out = middle.sub(new Vector3(...solid.shape.centre))
        expect(facing(geometry).dot(out)).toBeGreaterThan(0)
      }
    })
  expect(shapes).toBeGreaterThan(60)
})

test('lines come in pairs of points; a solid without a form has nothing on it', () => {
  const { assembly } = second()
  const [camera] = assembly.placed
  if (!camera?.solids[0]) throw new Error('a camera')
  const drawn = camera.solids.map((one, i) => onFacesOf(camera, one, i))
  expect(drawn.some(({ lines }) => lines.length > 0)).toBe(true)
  for (const { lines } of drawn) expect(lines.length % 2).toBe(0)
  const bare = { ...camera, part: { ...camera.part, figure: { like: 'solids' as const } } }
  expect(onFacesOf(bare, camera.solids[0], 0)).toEqual({ shapes: [], lines: [] })
})

test('the front of a filter is of glass, on the end that looks ahead and a hair before it', () => {
  const filter = second().assembly.placed.find(({ part }) => part.role === 'filter')
  if (!filter) throw new Error('the second mark has a filter')
  const glass = filter.solids.flatMap((solid, i) =>
    onFacesOf(filter, solid, i)
      .shapes.filter(({ look }) => look === 'glass')
      .map(({ geometry }) => ({ solid, geometry })),
  )
  expect(glass.length).toBeGreaterThan(0)
  const ahead = glass.filter(({ geometry }) => facing(geometry).z < -0.9)
  expect(ahead.length).toBeGreaterThan(0)
  for (const { solid, geometry } of ahead)
    for (const { z } of cornersOf(geometry)) {
      const off = (solid.bounds.min[2] ?? 0) - z
      expect(off).toBeGreaterThan(0.17)
      expect(off).toBeLessThan(1)
    }
})
