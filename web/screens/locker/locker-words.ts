import type { LockerPiece } from '@zucchini/core/locker'

export const conditionWords: Readonly<Record<LockerPiece['condition'], string>> = {
  new: 'new',
  good: 'good',
  worn: 'worn',
  faulty: 'faulty',
}

export const stateWords = {
  owned: 'what is owned',
  kept: 'kept here',
  lent: 'lent',
  sold: 'sold',
  retired: 'retired',
  all: 'everything',
} as const
