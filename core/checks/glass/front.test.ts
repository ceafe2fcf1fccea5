import { zoom } from '../../testing/glass.ts'
import { factsOf } from '../../facts/index.ts'
import { placeSetup } from '../../assembly/index.ts'
import { front, screwed, standard, drive, held, geared } from '../../testing/front-rigs.ts'

test('a picture cropped to 16:9 leaves more room in its corners', () => {
  const { rig, context } = front([zoom(), standard], [screwed('standard')])
  const clean = (aspect: 'full' | '16:9' | '9:16') => {
    const brief = { ...rig.brief, light: { ...rig.brief.light, aspect } }
    const [setup] = rig.setups
    return setup && factsOf(placeSetup({ ...rig, brief }, setup, context.catalogue), context).clean?.fromMm
  }
  expect(clean('16:9')).toBeLessThan(clean('full') ?? 0)
  expect(clean('9:16')).toBeLessThan(clean('16:9') ?? 0)
})

test('turns of the wheel from stop to stop: 270 degrees of a ring of 40 mm by a wheel of 10 mm are three', () => {
  const { rig, context } = front([geared, drive(20)], [held])
  const [setup] = rig.setups
  expect(setup && factsOf(placeSetup(rig, setup, context.catalogue), context).drives[0]?.turns).toBeCloseTo(3, 12)
})
