import { validateBytes } from 'gltf-validator'
import { placeSetup } from '@zucchini/core/assembly'
import { demoRigs } from '@zucchini/demo/scenario'
import { on, plug, tinyPart, tinyRig } from '../../core/testing/index.ts'
import { demoContext } from '../testing/demo.ts'
import { gltfOf } from './gltf.ts'

const cases = demoRigs.flatMap((rig) => rig.setups.map((setup) => [`${rig.id} ${setup.id}`, rig, setup] as const))

test.each(cases)('%s passes the validator without an error or a warning', async (_, rig, setup) => {
  const text = await gltfOf(placeSetup(rig, setup, demoContext.catalogue))
  const report = await validateBytes(Buffer.from(text), { maxIssues: 20 })
  expect(report.issues.messages.filter(({ severity }) => severity < 2)).toEqual([])
  expect([report.issues.numErrors, report.issues.numWarnings]).toEqual([0, 0])
})

interface File {
  readonly nodes: readonly { readonly name?: string; readonly mesh?: number; readonly children?: readonly number[] }[]
  readonly scenes: readonly { readonly nodes: readonly number[] }[]
  readonly meshes: readonly { readonly primitives: readonly { readonly attributes: { readonly POSITION: number } }[] }[]
  readonly accessors: readonly { readonly min?: readonly number[]; readonly max?: readonly number[] }[]
}

test('the file says where things are: metres, y up, one node a piece; a ring keeps its hole', async () => {
  const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
  const band = tinyPart({
    id: 'band',
    mounts: [plug('foot', 'thread-1/4')],
    solids: [
      { kind: 'cylinder', centre: [0, 20, 0], axis: [0, 1, 0], radius: 20, length: 10, bore: 15, matter: 'body' },
    ],
  })
  const file = async (part: typeof cube): Promise<File> => {
    const { rig, context } = tinyRig([part], [on(part.id, 'foot', 'camera', 'hole')])
    const [setup] = rig.setups
    if (!setup) throw new Error('a set-up')
    return JSON.parse(await gltfOf(placeSetup(rig, setup, context.catalogue))) as File
  }
  const boundsIn = (it: File, name: string) => {
    const child = it.nodes.find((node) => node.name === name)?.children?.[0] ?? -1
    const mesh = it.meshes[it.nodes[child]?.mesh ?? -1]
    return it.accessors[mesh?.primitives[0]?.attributes.POSITION ?? -1]
  }
  const blocks = await file(cube)
  expect(blocks.scenes[0]?.nodes.map((n) => blocks.nodes[n]?.name)).toEqual(['tiny-camera (camera)', 'cube (cube)'])
  // The 20 mm cube stands on the camera's top, 40 mm over the axis.
  expect(boundsIn(blocks, 'cube (cube)')?.min?.map((v) => Math.round(v * 1000))).toEqual([-10, 40, -10])
  expect(boundsIn(blocks, 'cube (cube)')?.max?.map((v) => Math.round(v * 1000))).toEqual([10, 60, 10])
  const rings = await file(band)
  expect(boundsIn(rings, 'band (band)')?.max?.map((v) => Math.round(v * 1000))).toEqual([20, 65, 20])
})
