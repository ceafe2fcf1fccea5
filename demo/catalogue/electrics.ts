import type { Part } from '@zucchini/core/catalogue'
import { back } from '../shapes/index.ts'
import { batteryElectrics, bodies, cameraElectrics } from './bodies-electrics.ts'
import { deviceElectrics } from './device-electrics.ts'
import { type Electrics, volts } from './sockets.ts'

const dummyElectrics = (part: Part): Electrics => ({
  power: { doorOpen: true },
  sockets: [
    {
      id: 'lead',
      connector: 'dummy',
      direction: 'in',
      at: [0, 0, 0],
      out: back,
      carries: ['power'],
      volts: part.mounts[0]?.family === 'cus-45' ? volts(11, 17) : volts(6.5, 8.6),
      watts: 40,
      label: 'dummy lead',
    },
  ],
})

const clampElectrics = (part: Part): Partial<Part> => ({
  holdsCable: { at: [0, 10, 0], ...(part.id === 'reedsmith-cable-hdmi' ? { plug: true } : {}) },
})

/** Where the record button of a body with a hand grip lies: on the shutter button. */
const recordButton = (part: Part): Partial<Part> => {
  const knob = part.solids.find((solid) => solid.look === 'knob' && solid.kind === 'cylinder')
  return knob ? { recordAt: knob.centre } : {}
}

const electricsOf = (part: Part): Electrics & Partial<Part> => {
  switch (part.role) {
    case 'camera':
      return { ...cameraElectrics(part), ...recordButton(part) }
    case 'battery':
      return batteryElectrics(part)
    case 'dummy':
      return dummyElectrics(part)
    case 'cable-clamp':
      return clampElectrics(part)
    default:
      return deviceElectrics[part.id]?.(part) ?? {}
  }
}

/** Grips with a button that records through a trigger lead. */
const recordGrips: ReadonlySet<string> = new Set(['cushaw-side-pin', 'reedsmith-side-run'])

/** A part of the catalogue with its sockets, its draw and what it records. */
export const withElectrics = (part: Part): Part => {
  const { seats, ...more } = electricsOf(part)
  const recordAt = recordGrips.has(part.id) ? { recordAt: [-30, 30, 14] as const } : {}
  return {
    ...part,
    ...more,
    ...recordAt,
    ...(seats
      ? {
          mounts: part.mounts.map((mount) =>
            mount.side === 'holds' && ['pack', 'slab-l', 'v-lock', 'three-stud'].includes(mount.standard)
              ? { ...mount, volts: seats }
              : mount,
          ),
        }
      : {}),
  }
}

/** Parts that are told about here but stand nowhere in the catalogue; a test keeps this empty. */
export const unknownElectrics = (ids: ReadonlySet<string>): readonly string[] =>
  [...Object.keys(deviceElectrics), ...Object.keys(bodies)].filter((id) => !ids.has(id))
