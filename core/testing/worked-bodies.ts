import { areaMoment, cornersOf, restOf, STIFFNESS, type Touching } from '../balance/index.ts'
import { type Shape, placeShape } from '../kernel/index.ts'
import { levelDbu } from '../checks/sound/weak-preamp.ts'
import { OFF_MM } from '../assembly/index.ts'
import { evaluate } from '../assess/index.ts'
import { jamsIn, SCRAPE_MM } from '../build-order/index.ts'
import { roofs, underRoofs } from './fit-rigs.ts'
import { tinyRig, type TinyRig } from './index.ts'
import { link, tank, usbLead, wiredRig } from './wired.ts'
import { digits, type Example, limit, place } from './worked.ts'

const here = { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const
const thing = (shape: Shape): Touching => {
  const [piece] = place(tinyRig([], [])).placed
  if (!piece) throw new Error('a camera')
  return { piece, what: 'body', corners: cornersOf(placeShape(shape, here)) }
}

const seen = ({ rig, context }: TinyRig) => evaluate(rig, 'main', context)

/** Rest, sag, coils and voices: words of the documentation and what the code comes to. */
export const bodyExamples: Readonly<Record<string, () => readonly Example[]>> = {
  'Coming to rest': () => {
    const post = thing({ kind: 'box', centre: [0, 50, 0], size: [20, 100, 20] })
    const arm = thing({ kind: 'box', centre: [60, 90, 0], size: [100, 20, 20] })
    return [['38.7°', `${digits(restOf([post, arm], [40, 80, 0]).tiltDeg, 1)}°`]]
  },
  'Off the rig': () => {
    const lead = { ...usbLead('usb', { lengthMm: 3000 }), massG: 100 }
    const { facts } = seen(
      wiredRig([tank('tank', { massG: 600 }), lead], [], [link('usb', 'tank/usb', 'camera/usb')], {
        setup: { off: [{ instance: 'tank', at: 'belt' }] },
      }),
    )
    const [belt] = facts.worn
    const inHandG = facts.leads.reduce((sum, { part, onRig }) => sum + part.massG * onRig, 0)
    return [
      ['650 g off the rig, 50 g in the hand', `${digits(belt?.massG)} g off the rig, ${digits(inHandG)} g in the hand`],
      ['1100 mm to the belt', `${OFF_MM.belt['hand-low']} mm to the belt`],
      ['1200 to pocket or bag', `${Math.max(OFF_MM.pocket.chest, OFF_MM.bag.chest)} to pocket or bag`],
      ['700 to a leg, 2500 beside', `${OFF_MM['stand-leg'].tripod} to a leg, ${OFF_MM.beside.chest} beside`],
      ['300 more by the sticks', `${OFF_MM.belt.tripod - OFF_MM.belt.chest} more by the sticks`],
    ]
  },
  'Sag of rods': () => {
    const sagMm = (9.81 * 300 ** 3) / (3 * STIFFNESS.aluminium * 2 * areaMoment(15, 1.5))
    return [
      ['0.44 mm', `${digits(sagMm, 2)} mm`],
      ['0.45 mm', `${digits(limit('rods-sag', 'mostMm'), 2)} mm`],
    ]
  },
  Locked: () => {
    const { placed } = place(tinyRig(roofs, underRoofs))
    return [
      ['more than 1 mm', `more than ${digits(SCRAPE_MM)} mm`],
      ['2 of 2 stay', `${digits(jamsIn(placed).knots.length)} of ${digits(placed.length - 1)} stay`],
    ]
  },
  'A shoe by its springs': () => [
    ['56 g', `${digits((3 * 0.3 * 1000) / (1.65 * 9.80665))} g`],
    ['taken as 55', `taken as ${digits(limit('shoe-slides', 'lightG'))}`],
  ],
  'A voice over the noise': () => [['−65.7 dBu', `${digits(levelDbu(20, 60), 1).replace('-', '−')} dBu`]],
}
