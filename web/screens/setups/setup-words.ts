import type { Support } from '@zucchini/core/assembly'

/** How a set-up is held, as one says it. */
export const supportWords: Readonly<Record<Support, string>> = {
  'hand-low': 'carried low by the handle',
  'two-hand': 'in two hands',
  chest: 'against the chest',
  shoulder: 'on the shoulder',
  lap: 'on the lap',
  tripod: 'on the tripod',
  gimbal: 'on the gimbal',
}
