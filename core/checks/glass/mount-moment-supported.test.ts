import { mountMoment } from './mount-moment.ts'
import { factsOf } from '../../facts/index.ts'
import { placeSetup } from '../../assembly/index.ts'
import { under } from '../../testing/front-rigs.ts'

test('a lens on its support no longer pulls at the mount', () => {
  const words = (low: number, high: number) => {
    const { rig, context: known } = under(low, high, { massG: 8000 })
    const [setup] = rig.setups
    return (
      setup &&
      mountMoment.judgements(factsOf(placeSetup(rig, setup, known.catalogue), known)).map(({ message }) => message)
    )
  }
  expect(words(20, 40)).toEqual(['supported'])
  expect(words(32, 40)).not.toEqual(['supported'])
})
