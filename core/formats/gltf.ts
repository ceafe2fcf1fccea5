import type { Assembly } from '../assembly/index.ts'
import { type Look, looks } from '../catalogue/index.ts'
import { cross, lengthOf, type Placed, scale, unit, type Vec3 } from '../kernel/index.ts'
import { base64 } from './base64.ts'

// glTF counts in metres.
const METRE = 0.001
const SIDES = 32

interface Mesh {
  readonly positions: readonly number[]
  readonly normals: readonly number[]
  readonly indices: readonly number[]
}

/** A cube of edge 1 about the origin, each face with corners of its own so that its normals stay flat. */
const unitCube = (): Mesh => {
  const positions: number[] = []
  const normals: number[] = []
  const indices: number[] = []
  for (const [axis, sign] of [0, 1, 2].flatMap((i) => [[i, 1] as const, [i, -1] as const])) {
    const first = positions.length / 3
    const normal = [0, 0, 0].map((_, i) => (i === axis ? sign : 0))
    for (const [u, v] of [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const) {
      const corner = [0, 0, 0]
      corner[axis] = sign / 2
      corner[(axis + 1) % 3] = (u * sign) / 2
      corner[(axis + 2) % 3] = v / 2
      positions.push(...corner)
      normals.push(...normal)
    }
    indices.push(first, first + 1, first + 2, first, first + 2, first + 3)
  }
  return { positions, normals, indices }
}

/** A round bar of radius 1 and length 1 along y, about the origin. */
const unitBar = (): Mesh => {
  const positions: number[] = []
  const normals: number[] = []
  const indices: number[] = []
  const ring = (i: number) => [Math.cos((2 * Math.PI * i) / SIDES), Math.sin((2 * Math.PI * i) / SIDES)] as const
  for (let i = 0; i <= SIDES; i++) {
    const [c, s] = ring(i)
    positions.push(c, -0.5, s, c, 0.5, s)
    normals.push(c, 0, s, c, 0, s)
    if (i < SIDES) indices.push(2 * i, 2 * i + 1, 2 * i + 2, 2 * i + 1, 2 * i + 3, 2 * i + 2)
  }
  for (const end of [-1, 1] as const) {
    const middle = positions.length / 3
    positions.push(0, end / 2, 0)
    normals.push(0, end, 0)
    for (let i = 0; i <= SIDES; i++) {
      const [c, s] = ring(i)
      positions.push(c, end / 2, s)
      normals.push(0, end, 0)
      if (i < SIDES)
        indices.push(
          ...(end === 1 ? [middle, middle + i + 2, middle + i + 1] : [middle, middle + i + 1, middle + i + 2]),
        )
    }
  }
  return { positions, normals, indices }
}

/** How each look comes out of the file: red, green, blue (linear), and how metallic and rough. */
const finishes: Readonly<Record<Look, readonly [number, number, number, number, number]>> = {
  plain: [0.09, 0.1, 0.1, 0, 0.8],
  metal: [0.24, 0.25, 0.26, 0.6, 0.5],
  grip: [0.06, 0.06, 0.06, 0, 0.95],
  ribs: [0.12, 0.12, 0.13, 0.1, 0.7],
  glass: [0.2, 0.3, 0.34, 0.1, 0.1],
  screen: [0.03, 0.05, 0.06, 0, 0.2],
  foam: [0.16, 0.16, 0.15, 0, 1],
  knob: [0.2, 0.2, 0.2, 0.4, 0.5],
  detail: [0.14, 0.15, 0.15, 0, 0.8],
}

const FLOAT = 5126
const SHORT = 5123
const VERTICES = 34962
const INDICES = 34963

const spans = (positions: readonly number[]) => {
  const along = (i: number) => positions.filter((_, n) => n % 3 === i)
  const min = [0, 1, 2].map((i) => Math.fround(Math.min(...along(i))))
  const max = [0, 1, 2].map((i) => Math.fround(Math.max(...along(i))))
  return { min, max }
}

/** The columns that carry a unit cube or bar to a placed shape, as glTF wants them: by columns, in metres. */
const matrixOf = (shape: Placed): number[] => {
  const [x, y, z]: readonly Vec3[] =
    shape.kind === 'box' ? shape.edges.map((edge) => scale(edge, 2)) : barAxes(shape.half, shape.radius)
  return [x, y, z, shape.centre].flatMap((column, i) =>
    [...scale(column ?? [0, 0, 0], METRE), i === 3 ? 1 : 0].map(tidy),
  )
}

const barAxes = (half: Vec3, radius: number): Vec3[] => {
  const axis = unit(half)
  const side = unit(cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]))
  return [scale(side, radius), scale(axis, 2 * lengthOf(half)), scale(cross(side, axis), radius)]
}

/** Short numbers, and never minus zero. */
const tidy = (value: number): number => Math.round(value * 1e9) / 1e9 + 0

/**
 * The placed assembly as glTF 2.0 (one file, its buffer inside): metres, y up, the lens looking along -z, one node a
 * piece with its solids as children, one material a look.
 * @returns the text of a `.gltf` file
 */
export const writeGltf = (assembly: Assembly): string => {
  const shapes = [unitCube(), unitBar()]
  const chunks = shapes.flatMap(({ positions, normals, indices }) => [
    {
      bytes: new Uint8Array(new Float32Array(positions).buffer),
      count: positions.length / 3,
      kind: 'VEC3',
      target: VERTICES,
      ...spans(positions),
    },
    {
      bytes: new Uint8Array(new Float32Array(normals).buffer),
      count: normals.length / 3,
      kind: 'VEC3',
      target: VERTICES,
    },
    { bytes: new Uint8Array(new Uint16Array(indices).buffer), count: indices.length, kind: 'SCALAR', target: INDICES },
  ])
  let offset = 0
  const views = chunks.map(({ bytes, target }) => {
    const view = { buffer: 0, byteOffset: offset, byteLength: bytes.length, target }
    offset += Math.ceil(bytes.length / 4) * 4
    return view
  })
  const buffer = new Uint8Array(offset)
  chunks.forEach(({ bytes }, i) => buffer.set(bytes, views[i]?.byteOffset))
  const used = looks.filter((look) =>
    assembly.placed.some(({ part }) => part.solids.some((solid) => (solid.look ?? 'plain') === look)),
  )
  const meshes = used.flatMap((look, material) =>
    [0, 3].map((first, i) => ({
      name: `${i === 0 ? 'box' : 'bar'}, ${look}`,
      primitives: [{ attributes: { POSITION: first, NORMAL: first + 1 }, indices: first + 2, material }],
    })),
  )
  const meshUsed = new Map<number, number>()
  const meshOf = (look: Look, kind: Placed['kind']): number => {
    const wanted = used.indexOf(look) * 2 + (kind === 'box' ? 0 : 1)
    const known = meshUsed.get(wanted)
    if (known !== undefined) return known
    meshUsed.set(wanted, meshUsed.size)
    return meshUsed.size - 1
  }
  const nodes: object[] = []
  const roots = assembly.placed.map((piece) => {
    const children = piece.solids.map(({ solid, shape }) => {
      nodes.push({ mesh: meshOf(solid.look ?? 'plain', shape.kind), matrix: matrixOf(shape) })
      return nodes.length - 1
    })
    nodes.push({ name: `${piece.part.name} (${piece.instance.id})`, children })
    return nodes.length - 1
  })
  const kept = [...meshUsed.keys()].flatMap((wanted) => meshes[wanted] ?? [])
  return `${JSON.stringify({
    asset: { version: '2.0', generator: 'Zucchini' },
    scene: 0,
    scenes: [{ name: `${assembly.rig.name}, ${assembly.setup.name}`, nodes: roots }],
    nodes,
    meshes: kept,
    materials: used.map((look) => {
      const [r, g, b, metallicFactor, roughnessFactor] = finishes[look]
      return { name: look, pbrMetallicRoughness: { baseColorFactor: [r, g, b, 1], metallicFactor, roughnessFactor } }
    }),
    accessors: chunks.map(({ bytes: _, target, kind, ...rest }, bufferView) => ({
      bufferView,
      componentType: target === INDICES ? SHORT : FLOAT,
      type: kind,
      ...rest,
    })),
    bufferViews: views,
    buffers: [{ byteLength: offset, uri: `data:application/octet-stream;base64,${base64(buffer)}` }],
  })}\n`
}
