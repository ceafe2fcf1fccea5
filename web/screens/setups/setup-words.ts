import type { Orientation, Support } from '@zucchini/core/assembly'

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

/** Which way up the camera is, as one says it. */
export const orientationWords: Readonly<Record<Orientation, string>> = {
  level: 'level',
  upright: 'upright, for tall pictures',
}
