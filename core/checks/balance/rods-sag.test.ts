import type { Part } from '../../catalogue/index.ts'
import { on, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { base, pairOf, seat } from '../../testing/rod-pair-rigs.ts'
import { testCheck } from '../tester.ts'
import { rodsSag } from './rods-sag.ts'

// Tubes of 15 mm with a wall of 1.5: pi (15^4 - 12^4) / 64 = 1467.2 mm4 each.
const AREA = (2 * Math.PI * (15 ** 4 - 12 ** 4)) / 64
const tubes = (id: string, matter: NonNullable<Part['rod']>['matter']) => ({
  ...pairOf(id, 400),
  rod: { count: 2, acrossMm: 15, wallMm: 1.5, matter },
})
const box = (massG: number) =>
  tinyPart({
    id: 'box',
    massG,
    mounts: [socket('clamp', 'rod-15-pair', [0, 0, 0], [0, -1, 0], { lengthMm: 16 })],
  })
// The rail's middle lies 200 mm out; slid by 100 mm it hangs 300 mm from where the rods are held.
const loaded = (massG: number, matter: NonNullable<Part['rod']>['matter'], extra: readonly Part[] = []) =>
  tinyRig(
    [base, tubes('pair', matter), box(massG)],
    [seat, on('pair', 'end', 'base', 'pair'), on('box', 'clamp', 'pair', 'above', { slideMm: 100 })],
    { extra, setup: { support: 'two-hand' } },
  )
const bends = (massG: number, stiff: number) => ((massG / 1000) * 9.81 * 300 ** 3) / (3 * stiff * AREA)
/** Two tubes of 63.6 mm2, 400 mm long: 50,894 mm3, 5.15 mg/mm3 heavier in steel. */
const STEEL_MORE_G = (2 * Math.PI * (15 ** 2 - 12 ** 2) * 400 * (0.00785 - 0.0027)) / 4
/** The mass that bends aluminium by exactly what is let pass. */
const AT_LIMIT = (0.45 * 3 * 69_000 * AREA * 1000) / (9.81 * 300 ** 3)

testCheck(rodsSag, {
  speaks: [
    {
      name: '1.2 kg 300 mm out on aluminium: half a millimetre; steel would do',
      message: 'bend',
      level: 'hint',
      numbers: {
        sagMm: bends(1200, 69_000),
        outMm: 300,
        carriedG: 1200,
        steelMm: bends(1200, 200_000),
        heavierG: STEEL_MORE_G,
      },
      parts: ['pair'],
      remedies: 1,
      ...loaded(1200, 'aluminium', [tubes('steel-pair', 'steel')]),
    },
  ],
  silent: [
    { name: 'as much as is let pass', message: 'stiff', numbers: { sagMm: 0.45 }, ...loaded(AT_LIMIT, 'aluminium') },
    {
      name: 'the same load on steel',
      message: 'stiff',
      numbers: { sagMm: bends(1200, 200_000) },
      ...loaded(1200, 'steel'),
    },
  ],
})
