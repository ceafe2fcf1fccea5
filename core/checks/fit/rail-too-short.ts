import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'

const lengths = ({ mate: made }: PlacedPart) => {
  if (made?.ok === false) {
    const issue = made.issues.find(({ code }) => code === 'rail-too-short')
    return issue ? { railMm: issue.numbers?.['railMm'] ?? 0, clampMm: issue.numbers?.['clampMm'] ?? 0 } : undefined
  }
  const along = made?.value.along
  if (!made?.ok || !along) return undefined
  const rail = (along.rail === 'holds' ? made.value.socket : made.value.plug).mount
  return rail.lengthMm === undefined ? undefined : { railMm: rail.lengthMm, clampMm: along.takesMm }
}

/** A clamp longer than its rail. */
export const railTooShort = defineCheck<PlacedPart, object>({
  id: 'rail-too-short',
  family: 'fit',
  title: 'Rail shorter than its clamp',
  why: 'The clamp bites on half its jaw and walks off the end.',
  level: 'stop',
  source: 'The length of the rail against that of the clamp.',
  ...noOptions,
  needs: [],
  limit: { measured: 'clampMm', allowed: 'railMm' },
  messages: {
    speaks: { short: '{part} finds no hold. The rail is {railMm:mm} long; its clamp needs {clampMm:mm}.' },
    silent: { holds: '{part} has {clampMm:mm} of its clamp on {railMm:mm} of rail.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => lengths(piece) !== undefined),
  judge: (piece) => {
    const numbers = lengths(piece) ?? { railMm: 0, clampMm: 0 }
    const names = { part: piece.part.name }
    return exceeds(numbers.clampMm, numbers.railMm)
      ? { group: 'speaks', message: 'short', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'holds', names, numbers }
  },
})
