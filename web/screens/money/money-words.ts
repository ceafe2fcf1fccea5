import type { TierLine } from '@zucchini/core/money'

export const tierWords: Readonly<Record<TierLine['tier'], readonly [title: string, note: string]>> = {
  must: ['Must', 'a need hangs on it'],
  should: ['Should', 'on a set-up, no need of its own'],
  may: ['May', 'considered, or on nothing'],
}

export const becauseWords: Readonly<Record<TierLine['because'], string>> = {
  need: 'meets a need',
  carries: 'carries what meets a need',
  powers: 'feeds, joins or records',
  'set-up': 'on a set-up',
  considered: 'considered',
  chosen: 'your word',
}

const names = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
/** A month as one reads it. @example 2026-11: "Nov 2026" */
export const monthWords = (month: string): string =>
  `${(names[Number(month.slice(5, 7)) - 1] ?? '').slice(0, 3)} ${month.slice(0, 4)}`

export const percent = (share: number): string => `${Math.round(share * 100)} %`
