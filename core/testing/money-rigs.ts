import type { Part } from '../catalogue/index.ts'
import type { PriceView } from '../money/index.ts'
import { on, plug, tinyPart, tinyRig, type TinyRig } from './index.ts'

export const cube = (id: string, usual: number, more: Partial<Part> = {}): Part =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], price: { low: usual - 200, usual, high: usual + 200 }, ...more })

export const held = (id: string) => on(id, 'foot', 'camera', 'hole')

/** A kit of one cube on the camera's hole, with a cap on money and other parts known. */
export const bought = (
  part: Part,
  budgetMinor: number,
  extra: readonly Part[] = [],
  more: Parameters<typeof tinyRig>[2] = {},
) => tinyRig([part], [held(part.id)], { brief: { budgetMinor }, extra, ...more })

export const view = (more: Partial<PriceView> = {}): PriceView => ({
  partId: 'cube',
  low: 900,
  usual: 1000,
  high: 1100,
  usedMinor: undefined,
  shippingMinor: 0,
  newestMinor: 1000,
  newestOn: '2026-07-01',
  ageDays: 10,
  driftMinor: 0,
  sale: false,
  unavailable: false,
  points: 3,
  ...more,
})

export const priced = (tiny: TinyRig, ...views: PriceView[]): TinyRig => ({
  ...tiny,
  context: { ...tiny.context, prices: new Map(views.map((one) => [one.partId, one])) },
})
