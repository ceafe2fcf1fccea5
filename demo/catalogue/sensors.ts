import type { Part, SensorOptics } from '@zucchini/core/catalogue'

type Sensor = Omit<SensorOptics, 'kind' | 'wideMm' | 'tallMm'>

/** What each body makes of the light: native and highest sensitivities, crop modes, and neutral density inside. */
const sensors: Readonly<Record<string, Sensor>> = {
  'calabash-h1': { isos: [100, 800], isoMax: 12_800, crops: [1.53] },
  'calabash-h2': { isos: [100, 800], isoMax: 16_000, crops: [1.53] },
  'kabocha-s': { isos: [160, 800, 5000], isoMax: 25_600, crops: [1.5], nd: { stops: [0, 2, 4, 6], smooth: false } },
  'kabocha-cube': { isos: [800, 12_800], isoMax: 40_000, crops: [1.5], nd: { stops: [2, 7], smooth: true } },
  'cushaw-c6': { isos: [400, 3200], isoMax: 25_600, crops: [1.5, 2], nd: { stops: [0, 2, 4, 6], smooth: false } },
  'chayote-m': { isos: [160], isoMax: 6400 },
  'chayote-x': { isos: [125, 640], isoMax: 12_800 },
  'pepita-p4': { isos: [400, 3200], isoMax: 12_800 },
}

export const withSensor = (part: Part): Part => {
  const more = sensors[part.id]
  return more && part.optics?.kind === 'sensor' ? { ...part, optics: { ...part.optics, ...more } } : part
}
