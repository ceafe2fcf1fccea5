import { placeSetup, setupOf } from '@zucchini/core/assembly'
import { runsOf } from '@zucchini/core/cabling'
import { catalogueOf, type Part, type Socket } from '@zucchini/core/catalogue'
import { demandsOf, type Stock } from '@zucchini/core/wiring'
import { on, plug, socket, tinyPart } from '../core/testing/index.ts'
import {
  hdmiLead,
  inBay,
  lead,
  mic,
  micLead,
  pack,
  screen,
  tank,
  tapLead,
  wiredCamera,
  wiredRig,
} from '../core/testing/wired.ts'

const SCREENS = 5
const MICS = 3
const PASSERS = 3

const out = (id: string, connector: Socket['connector'], y: number, carries: Socket['carries']): Socket => ({
  id,
  connector,
  direction: 'out',
  at: [0, y, 10],
  out: [0, 0, 1],
  carries,
})

/**
 * A rig of twelve devices on a bar: a battery with a tap for each, screens in a chain, mics into a mixer, and leads of
 * four lengths.
 */
export const wiringBench = () => {
  const bar = tinyPart({
    id: 'bar',
    mounts: [
      plug('foot', 'thread-1/4'),
      ...Array.from({ length: 12 }, (_, i) => socket(`hole-${i}`, 'thread-1/4', [30 * i - 165, 20, 0])),
    ],
  })
  const screens = Array.from({ length: SCREENS }, (_, i) =>
    screen(`screen-${i}`, { sockets: [...(screen().sockets ?? []), out('on', 'hdmi-a', 15, ['picture'])] }),
  )
  const mics = Array.from({ length: MICS }, (_, i) => mic(`mic-${i}`, { mounts: [plug('foot', 'thread-1/4')] }))
  const mixers = Array.from({ length: PASSERS }, (_, i) =>
    mic(`mixer-${i}`, {
      role: 'preamp',
      mounts: [plug('foot', 'thread-1/4')],
      power: { drawW: 2 },
      sockets: [
        out('out', '3.5-trs', 5, ['sound']),
        { ...out('in', '3.5-trs', 12, ['sound']), direction: 'in', feeds: ['plug-in'] },
        { ...out('dc', 'dc-5.5x2.1', 18, ['power']), direction: 'in', volts: { min: 7, max: 17 } },
      ],
    }),
  )
  const source = tank('tank', {
    sockets: Array.from({ length: SCREENS + PASSERS }, (_, i) => ({
      ...out(`tap-${i}`, 'd-tap', 2 + i * 2, ['power']),
      watts: 90,
    })),
  })
  const lengths = [200, 300, 450, 700]
  const shop: Part[] = lengths.flatMap((lengthMm) => [
    hdmiLead(`hdmi-${lengthMm}`, { lengthMm }),
    tapLead(`tap-${lengthMm}`, { lengthMm }),
    micLead(`jack-${lengthMm}`, { lengthMm }),
    lead(`usb-${lengthMm}`, 'usb-c', 'usb-c', { lengthMm, carries: ['power', 'data'] }),
  ])
  const devices = [...screens, ...mics, ...mixers, source]
  const { rig, context } = wiredRig(
    [pack(), bar, ...devices],
    [
      inBay(),
      on('bar', 'foot', 'camera', 'hole'),
      ...devices.map((part, i) => on(part.id, 'foot', 'bar', `hole-${i}`)),
    ],
    [],
    { extra: shop, owned: { 'hdmi-300': 2, 'jack-300': 1, 'tap-450': 2 } },
  )
  const catalogue = catalogueOf([...context.catalogue.parts.values(), wiredCamera])
  const stock: Stock = { catalogue, owned: context.owned, freeMm: () => Infinity }
  const assembly = () => {
    const anew = structuredClone(rig)
    const setup = setupOf(anew, 'main')
    if (!setup) throw new Error('a set-up')
    return placeSetup(anew, setup, catalogue)
  }
  return {
    assembly,
    stock,
    devices: devices.length,
    demands: demandsOf(assembly(), runsOf(assembly(), new Map())).length,
  }
}
