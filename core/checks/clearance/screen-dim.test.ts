import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { testCheck } from '../tester.ts'
import { screen, watching } from '../../testing/view-rigs.ts'
import { screenDim } from './screen-dim.ts'

const inSun = (nits: number, sun = true) => {
  const part = screen(80, 45)
  const tiny = watching({ ...part, optics: { ...part.optics, nits } as typeof part.optics })
  return { ...tiny, rig: { ...tiny.rig, brief: { ...tiny.rig.brief, conditions: sun ? ['sun' as const] : [] } } }
}

testCheck(screenDim, {
  speaks: [
    {
      name: '350 nit in open sun',
      message: 'dim',
      level: 'risk',
      numbers: { nits: 350, openNits: 800 },
      parts: ['screen'],
      ...inSun(350),
    },
  ],
  silent: [{ name: 'exactly 800', message: 'bright', numbers: { nits: 800 }, ...inSun(800) }],
})

test('indoors nobody asks', () => {
  const judged = (sun: boolean) => {
    const { rig, context } = inSun(350, sun)
    const [setup] = rig.setups
    if (!setup) throw new Error('a set-up')
    return screenDim.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context)).length
  }
  expect([judged(true), judged(false)]).toEqual([1, 0])
})
