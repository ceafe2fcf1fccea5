import { type LockerPiece, newPiece } from '@zucchini/core/locker'
import { demoLocker } from './ferry.ts'

/** What is known of some pieces beside that they are there: where they lie, what was paid and when. */
const known: Readonly<Record<string, readonly Partial<LockerPiece>[]>> = {
  'calabash-h1': [
    {
      place: 'shoulder bag',
      boughtOn: '2024-03-11',
      paidMinor: 178_000,
      insuredMinor: 180_000,
      serial: 'H1-04417',
      usedOn: '2026-10-30',
    },
  ],
  'kabocha-24-70': [
    {
      place: 'shoulder bag',
      boughtOn: '2024-03-11',
      paidMinor: 121_000,
      insuredMinor: 120_000,
      serial: 'K2470-118',
      usedOn: '2026-10-30',
    },
  ],
  'calabash-20': [
    { place: 'shoulder bag', boughtOn: '2025-06-02', paidMinor: 69_900, insuredMinor: 70_000, usedOn: '2026-10-30' },
  ],
  'chayote-16-50': [
    { place: 'top drawer', boughtOn: '2021-05-20', paidMinor: 22_000, condition: 'worn', usedOn: '2025-02-14' },
  ],
  'papyr-scratch': [{ place: 'top drawer', boughtOn: '2022-09-01', paidMinor: 5900, usedOn: '2026-08-19' }],
  'gourdwell-head-4': [{ place: 'van', boughtOn: '2023-01-15', paidMinor: 18_900, usedOn: '2026-10-30' }],
  'gourdwell-legs': [{ place: 'van', boughtOn: '2023-01-15', paidMinor: 24_900, usedOn: '2026-10-30' }],
  'marrow-gimbal': [
    {
      place: 'hall cupboard',
      boughtOn: '2022-04-04',
      paidMinor: 39_900,
      usedOn: '2025-07-12',
      notes: 'Roll motor hums when cold.',
    },
  ],
  'bulrush-top-plain': [
    { place: 'bottom drawer', boughtOn: '2020-11-02', paidMinor: 3500, condition: 'worn', usedOn: '2023-05-06' },
  ],
  'tromba-ball-shoe': [
    {
      place: 'bottom drawer',
      boughtOn: '2019-08-10',
      paidMinor: 1900,
      condition: 'faulty',
      usedOn: '2022-03-01',
      notes: 'Ball slips under more than 300 g.',
    },
  ],
  'phragma-nd-82': [{ place: 'filter pouch', boughtOn: '2024-05-30', paidMinor: 4900, usedOn: '2026-08-19' }],
  'calabash-pack': [
    { place: 'shoulder bag', boughtOn: '2024-03-11', paidMinor: 6900, usedOn: '2026-10-30' },
    { place: 'shoulder bag', boughtOn: '2024-03-11', paidMinor: 6900, condition: 'worn', usedOn: '2026-10-30' },
  ],
  'luffa-slab-17': [
    { place: 'battery box', boughtOn: '2023-10-10', paidMinor: 2400, usedOn: '2026-08-19' },
    { place: 'battery box', boughtOn: '2023-10-10', paidMinor: 2400, usedOn: '2026-08-19' },
  ],
  'bulrush-hdmi-2000': [{ place: 'bottom drawer', boughtOn: '2021-02-01', paidMinor: 1200, usedOn: '2022-06-30' }],
}

/** The locker of the scenario, piece by piece. */
export const demoPieces: readonly LockerPiece[] = Object.entries(demoLocker).flatMap(([partId, count]) =>
  Array.from({ length: count }, (_, i) => newPiece(`${partId}-${i + 1}`, partId, known[partId]?.[i] ?? {})),
)
