import type { Part } from '../../catalogue/index.ts'
import { emptyBounds, exceeds, identity, placeShape, unite, boundsOf } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** Lining and walls of a bag, on each side. mm */
const LINING_MM = 12

const spans = (part: Part): number[] => {
  const { min, max } = part.solids.reduce(
    (all, solid) => unite(all, boundsOf(placeShape(solid, identity))),
    emptyBounds,
  )
  return [0, 1, 2].map((i) => (max[i as 0] ?? 0) - (min[i as 0] ?? 0) - 2 * LINING_MM).sort((a, b) => b - a)
}

/** The rig does not go into the bag built up. */
export const bagSize = defineCheck<Part, object, 'size'>({
  id: 'bag-size',
  family: 'clearance',
  title: 'Does not fit the bag built up',
  why: 'Every move between places costs taking it down and putting it up again.',
  level: 'hint',
  source: 'The bag’s outside less 12 mm of lining on each side; longest against longest.',
  ...noOptions,
  needs: ['size'],
  limit: { measured: 'overMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      over: 'The rig does not go into {bag} built up. It is {overMm:mm} too long one way: {longMm:mm} by {wideMm:mm} by {tallMm:mm}.',
    },
    silent: { goes: 'The rig goes into {bag} as it stands.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.loose
      .filter(({ part, instance }) => part.role === 'case' && instance.status === 'in')
      .map(({ part }) => part),
  judge: (bag, facts) => {
    const { longMm, wideMm, tallMm } = facts.size
    const own = [longMm, wideMm, tallMm].sort((a, b) => b - a)
    const inside = spans(bag)
    const overMm = Math.max(...own.map((value, i) => value - (inside[i] ?? 0)))
    const names = { bag: bag.name }
    const numbers = { overMm, allowedMm: 0, longMm, wideMm, tallMm }
    return exceeds(overMm, 0)
      ? { group: 'speaks', message: 'over', names, numbers }
      : { group: 'silent', message: 'goes', names, numbers }
  },
})
