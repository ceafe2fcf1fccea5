import type { Part } from '../../catalogue/index.ts'
import { socket, tinyPart } from '../../testing/index.ts'
import { inBay, pack, wiredRig } from '../../testing/wired.ts'
import { chargerShort } from './charger-short.ts'
import { testCheck } from '../tester.ts'

const rolling = (minutes: number) => ({ phases: [{ name: 'rolling', kind: 'roll' as const, minutes, mains: false }] })

const charger = (id: string, chargesW: number) =>
  tinyPart({
    id,
    role: 'charger',
    mounts: [socket('bay', 'pack', [0, 20, 0], [0, 1, 0], { family: 'cell' })],
    power: { chargesW, mains: true },
  })

const charging = (parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig([pack(), ...parts], [inBay()], [], { brief: rolling(180), extra })

testCheck(chargerShort, {
  speaks: [
    { name: 'no charger', message: 'none', level: 'hint', remedies: 1, ...charging([], [charger('charger', 10)]) },
    {
      name: '18 Wh at 2 W, a tenth lost: ten hours; a second charger hurries nothing, a stronger one does',
      message: 'long',
      numbers: { chargeMin: 600, nightMin: 480 },
      remedies: 1,
      ...charging([charger('charger', 2)], [charger('strong', 10)]),
    },
  ],
  silent: [
    {
      name: 'eight hours to the minute',
      message: 'enough',
      numbers: { chargeMin: 480 },
      ...charging([charger('charger', 2.5)]),
    },
  ],
})
