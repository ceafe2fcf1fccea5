/** The checks that the money screen tells about. */
export const moneyChecks: ReadonlySet<string> = new Set([
  'bundle-waste',
  'cheaper-equal',
  'duplicate-owned',
  'forgotten-cost',
  'likely-over',
  'need-twice',
  'not-needed',
  'over-budget',
  'price-stale',
  'unavailable',
])
