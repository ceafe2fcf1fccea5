import type { Condition, ShootKind } from '@zucchini/core/brief'

export const kindWords: Readonly<Record<ShootKind, readonly [title: string, note: string]>> = {
  desk: ['At the desk', 'self-shot, stock clips'],
  promo: ['Client film', 'with interviews'],
  'run-and-gun': ['Run and gun', 'documentary, alone'],
  event: ['Long event', 'on the tripod'],
  upright: ['Upright', 'for phones'],
  narrative: ['Narrative', 'or commercial'],
  gimbal: ['Gimbal day', 'walking shots'],
}

export const conditionWords: Readonly<Record<Condition, string>> = {
  sun: 'low or full sun',
  spray: 'rain or spray',
  cold: 'cold, below 5°',
  dark: 'night or dark rooms',
  wind: 'wind',
  running: 'on the move',
  interviews: 'interviews',
  flight: 'a flight',
  overhead: 'over people or water',
}
