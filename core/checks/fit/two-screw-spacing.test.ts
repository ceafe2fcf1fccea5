import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { twoScrewSpacing } from './two-screw-spacing.ts'
import { foot } from '../../testing/fit-rigs.ts'

const holes = tinyPart({
  id: 'holes',
  mounts: [foot, socket('pair', 'two-screw', [0, 20, 0], [0, 1, 0], { spacingMm: 30, slotMm: 2 })],
})

const screws = (spacingMm: number) =>
  tinyPart({ id: 'screws', role: 'top-handle', mounts: [plug('foot', 'two-screw', { spacingMm })] })

const spaced = (spacingMm: number) =>
  tinyRig([holes, screws(spacingMm)], [on('holes', 'foot', 'camera', 'hole'), on('screws', 'foot', 'holes', 'pair')])

testCheck(twoScrewSpacing, {
  speaks: [
    {
      name: 'one millimetre more than the slot gives',
      message: 'apart',
      level: 'stop',
      numbers: { offMm: 3, slotMm: 2 },
      ...spaced(33),
    },
  ],
  silent: [{ name: 'exactly at the end of the slot', message: 'meets', numbers: { offMm: 2 }, ...spaced(32) }],
})
