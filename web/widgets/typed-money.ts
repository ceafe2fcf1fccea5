/**
 * Money as it is typed: whole units with up to two decimals. @returns undefined for nothing, null for what is no amount
 */
export const typedMoney = (text: string): number | undefined | null => {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return undefined
  return /^\d+(\.\d{1,2})?$/.test(plain) ? Math.round(Number(plain) * 100) : null
}
