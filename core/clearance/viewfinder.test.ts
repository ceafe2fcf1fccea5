import fc from 'fast-check'
import { placeSetup } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { reachInto, type Vec3 } from '../kernel/index.ts'
import { disc, seeingCamera, zoom } from '../testing/glass.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { sightOf, viewfinderOf } from './index.ts'

const mounted = on('lens', 'bayonet', 'camera', 'lens')
const assemblyOf = (parts: readonly Part[], joints: Parameters<typeof tinyRig>[1]) => {
  const { rig, context } = tinyRig([zoom(), ...parts], [mounted, ...joints], { extra: [seeingCamera()] })
  const [setup] = rig.setups
  if (!setup) throw new Error('a tiny rig has a set-up')
  return placeSetup(rig, setup, context.catalogue)
}
const whole = { wideMm: 40, tallMm: 30 }
/** A box that is screwed to the camera's top and stands wherever it is told, in the camera's own frame. */
const block = (centre: Vec3, size: Vec3): Part =>
  tinyPart({
    id: 'block',
    centre: [centre[0], centre[1] - 40, centre[2]],
    solids: [{ kind: 'box', centre: [centre[0], centre[1] - 40, centre[2]], size, matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4')],
  })
const screwed = on('block', 'foot', 'camera', 'hole')

test('a wand above the lens, by hand', () => {
  // The entrance pupil lies 50 mm before the sensor. At 25 mm the picture rises 15/25 of the depth: 60 mm at 100 mm
  // ahead of it.
  const assembly = assemblyOf([block([0, 60, -150], [20, 20, 100])], [screwed])
  const [wand] = viewfinderOf(assembly, 25, whole)?.silhouettes ?? []
  // Its front stands 150 mm ahead and begins 50 mm above the axis: 50 / 90 of the half height; its rear at 50 mm, 70 mm
  // above: 70 / 30.
  const heights = wand?.outline.map(([, y]) => y) ?? []
  expect(Math.min(...heights)).toBeCloseTo(50 / 90, 9)
  expect(Math.max(...heights)).toBeCloseTo(70 / 30, 9)
  // Ten millimetres to either side at 50 mm ahead, of a half width of 40.
  expect(Math.max(...(wand?.outline.map(([x]) => x) ?? []))).toBeCloseTo(10 / 40, 9)
  // At 60 mm the picture is narrower and the wand stays out: 50 mm up at 150 ahead, where half the picture is 37.5.
  expect(viewfinderOf(assembly, 60, whole)?.silhouettes).toEqual([])
})

test('a piece is drawn in the picture just when the solids say it stands in it', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  fc.assert(
    fc.property(
      fc.tuple(number(-120, 120), number(45, 160), number(-260, 40)),
      fc.tuple(number(2, 60), number(2, 60), number(2, 120)),
      (centre, size) => {
        const assembly = assemblyOf([block(centre, size)], [screwed])
        const sight = sightOf(assembly)
        const shape = assembly.byInstance.get('block')?.solids[0]?.shape
        if (!sight || !shape) throw new Error('the lens sees')
        const into = reachInto(sight.pyramid, shape)
        fc.pre(Math.abs(into) > 1.5)
        expect(
          (viewfinderOf(assembly, 25, whole)?.silhouettes ?? []).some(({ piece }) => piece.instance.id === 'block'),
        ).toBe(into > 0)
      },
    ),
    { numRuns: 300 },
  )
})

test('the edge of a filter: clear where all of the pupil sees past it, dark where none does', () => {
  const assembly = assemblyOf([disc('ring', 5, undefined)], [on('ring', 'rear', 'lens', 'thread')])
  const [edge] = viewfinderOf(assembly, 25, whole)?.edges ?? []
  // 30 mm of radius, 25 mm ahead; the pupil is 5 mm wide to either side; half the picture is 20 x 15 mm there.
  expect(edge?.round).toBe(true)
  expect(edge?.clear[0]).toBeCloseTo(25 / 20, 9)
  expect(edge?.clear[1]).toBeCloseTo(25 / 15, 9)
  expect(edge?.dark[0]).toBeCloseTo(35 / 20, 9)
  expect(viewfinderOf(assemblyOf([], []), 25, whole)?.edges).toEqual([])
})

test('without a lens there is no picture', () => {
  const { rig, context } = tinyRig([], [], { extra: [seeingCamera()] })
  const [setup] = rig.setups
  expect(setup && viewfinderOf(placeSetup(rig, setup, context.catalogue), 25, whole)).toBeUndefined()
})
