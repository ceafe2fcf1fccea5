import type { Assembly } from '@zucchini/core/assembly'
import { figureOf } from '@zucchini/core/drawing'
import { type BufferGeometry, Group, Mesh, MeshStandardMaterial, Scene } from 'three'
import { GLTFExporter } from 'three/addons/exporters/GLTFExporter.js'
import { bodyOf } from './bodies.ts'
import { onFacesOf } from './faces.ts'

/** glTF counts in metres. */
const METRE = 0.001

/** How each look comes out of the file: red, green, blue, and how metallic and rough. */
const finishes: Readonly<Record<string, readonly [number, number, number, number, number]>> = {
  plain: [0.09, 0.1, 0.1, 0, 0.8],
  metal: [0.24, 0.25, 0.26, 0.6, 0.5],
  grip: [0.06, 0.06, 0.06, 0, 0.95],
  ribs: [0.12, 0.12, 0.13, 0.1, 0.7],
  glass: [0.2, 0.3, 0.34, 0.1, 0.1],
  screen: [0.03, 0.05, 0.06, 0, 0.2],
  foam: [0.16, 0.16, 0.15, 0, 1],
  fur: [0.16, 0.16, 0.15, 0, 1],
  knob: [0.2, 0.2, 0.2, 0.4, 0.5],
  detail: [0.14, 0.15, 0.15, 0, 0.8],
  hole: [0.02, 0.02, 0.02, 0, 1],
  gold: [0.6, 0.42, 0.1, 0.8, 0.4],
  mark: [0.45, 0.05, 0.02, 0, 0.7],
  leaf: [0.05, 0.2, 0.08, 0, 0.8],
  sensor: [0.12, 0.16, 0.24, 0.2, 0.2],
}
const plain = [0.09, 0.1, 0.1, 0, 0.8] as const

/** Where a turned body closes to a point it has no normal; the file wants each of length 1. */
const wholeNormals = (geometry: BufferGeometry): void => {
  const normals = geometry.getAttribute('normal')
  for (let i = 0; i < normals.count; i++) {
    const long = Math.hypot(normals.getX(i), normals.getY(i), normals.getZ(i))
    if (long < 1e-6) normals.setXYZ(i, 0, 1, 0)
    else normals.setXYZ(i, normals.getX(i) / long, normals.getY(i) / long, normals.getZ(i) / long)
  }
}

/**
 * The placed rig as glTF 2.0, one file with its buffer inside: metres, y up, the lens looking along -z, a node a piece
 * with its bodies as they are drawn (frames with windows, rings with their holes, what lies on their faces), a
 * material a look.
 * @returns the text of a `.gltf` file
 */
export const gltfOf = async ({ rig, setup, placed }: Assembly): Promise<string> => {
  const materials = new Map<string, MeshStandardMaterial>()
  const materialOf = (look: string): MeshStandardMaterial => {
    const known = materials.get(look)
    if (known) return known
    const [r, g, b, metalness, roughness] = finishes[look] ?? plain
    const made = new MeshStandardMaterial({ name: look, metalness, roughness })
    made.color.setRGB(r, g, b)
    materials.set(look, made)
    return made
  }
  const scene = new Scene()
  scene.name = `${rig.name}, ${setup.name}`
  for (const piece of placed) {
    const group = new Group()
    group.name = `${piece.part.name} (${piece.instance.id})`
    const figure = figureOf(piece.part)
    const add = (geometry: BufferGeometry, look: string): void => {
      geometry.scale(METRE, METRE, METRE)
      wholeNormals(geometry)
      geometry.deleteAttribute('uv')
      group.add(new Mesh(geometry, materialOf(look)))
    }
    piece.solids.forEach((solid, i) => {
      add(bodyOf(piece, solid, i), figure[i]?.look ?? solid.solid.look ?? 'plain')
      for (const { geometry, look } of onFacesOf(piece, solid, i).shapes) add(geometry, look)
    })
    scene.add(group)
  }
  const file = await new GLTFExporter().parseAsync(scene, { binary: false, onlyVisible: false })
  if (file instanceof ArrayBuffer) throw new TypeError('a text was asked for')
  return `${JSON.stringify({ ...file, asset: { version: '2.0', generator: 'Zucchini' } })}\n`
}
