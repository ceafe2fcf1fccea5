import { validateBytes } from 'gltf-validator'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoRigs } from '../../demo/scenario/index.ts'
import { placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { base64 } from './base64.ts'
import { writeGltf } from './index.ts'

const catalogue = catalogueOf(demoParts)
const cases = demoRigs.flatMap((rig) => rig.setups.map((setup) => [`${rig.id} ${setup.id}`, rig, setup] as const))

test.each(cases)('%s passes the validator without an error or a warning', async (_, rig, setup) => {
  const text = writeGltf(placeSetup(rig, setup, catalogue))
  const report = await validateBytes(new TextEncoder().encode(text), { maxIssues: 20 })
  expect(report.issues.messages.filter(({ severity }) => severity < 2)).toEqual([])
  expect([report.issues.numErrors, report.issues.numWarnings]).toEqual([0, 0])
})

test('the file says where things are: metres, y up, one node a piece', () => {
  const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
  const { rig, context } = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')])
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  const file = JSON.parse(writeGltf(placeSetup(rig, setup, context.catalogue))) as {
    nodes: { name?: string; matrix?: number[]; children?: number[] }[]
    scenes: { nodes: number[] }[]
  }
  expect(file.scenes[0]?.nodes.map((n) => file.nodes[n]?.name)).toEqual(['tiny-camera (camera)', 'cube (cube)'])
  // The 20 mm cube stands on the camera's top, its middle 50 mm over the axis.
  const child = file.nodes[file.nodes.findIndex(({ name }) => name?.startsWith('cube'))]?.children?.[0] ?? -1
  expect(file.nodes[child]?.matrix).toEqual([0.02, 0, 0, 0, 0, 0.02, 0, 0, 0, 0, 0.02, 0, 0, 0.05, 0, 1])
})

test.each([
  ['', ''],
  ['M', 'TQ=='],
  ['Ma', 'TWE='],
  ['Man', 'TWFu'],
])('base64 of "%s"', (text, wanted) => expect(base64(new TextEncoder().encode(text))).toBe(wanted))
