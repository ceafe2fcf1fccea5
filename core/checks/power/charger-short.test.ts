import type { Part } from '../../catalogue/index.ts'
import { socket, tinyPart } from '../../testing/index.ts'
import type { Sockets } from '../../testing/power-rigs.ts'
import { inBay, pack, wiredCamera, wiredRig } from '../../testing/wired.ts'
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

/** The camera without its own socket for charging. */
const { chargeW: _, ...deadUsb } = (wiredCamera.sockets ?? []).find(({ id }) => id === 'usb') as Sockets[number]
const camera: Part = {
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).map((socket) => (socket.id === 'usb' ? deadUsb : socket)),
}
const charging = (parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig([pack(), ...parts], [inBay()], [], { brief: rolling(180), extra, camera })
/** The camera puts 5 W into the pack that sits in it, of which 4.5 stay. */
const inCamera = (minutes: number) => wiredRig([pack()], [inBay()], [], { brief: rolling(minutes) })

testCheck(chargerShort, {
  speaks: [
    { name: 'two packs a day, and the camera fills one of them', message: 'few', ...inCamera(360) },
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
      name: 'the camera fills its own pack: 18 Wh at 5 W',
      message: 'enough',
      numbers: { chargeMin: 240 },
      ...inCamera(180),
    },
    {
      name: 'a slab with a charging socket of its own',
      message: 'enough',
      numbers: { chargeMin: 120 },
      ...wiredRig(
        [pack('pack', { sockets: [{ ...deadUsb, direction: 'in', chargeW: 10, at: [0, 20, 0], out: [0, 1, 0] }] })],
        [inBay()],
        [],
        { brief: rolling(180), camera },
      ),
    },
    {
      name: 'eight hours to the minute',
      message: 'enough',
      numbers: { chargeMin: 480 },
      ...charging([charger('charger', 2.5)]),
    },
  ],
})
