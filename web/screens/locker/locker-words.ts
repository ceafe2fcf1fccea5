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

/**
 * Money as it is typed: whole units with up to two decimals. @returns undefined for nothing, null for what is no amount
 */
export const typedMoney = (text: string): number | undefined | null => {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return undefined
  return /^\d+(\.\d{1,2})?$/.test(plain) ? Math.round(Number(plain) * 100) : null
}
