import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Facts, Sees } from '../../facts/index.ts'

const sideOf = ({ assembly, size }: Sees<'size'>) => {
  const middle = (size.bounds.min[0] + size.bounds.max[0]) / 2
  return assembly.placed.reduce((out, piece) =>
    Math.abs(reach(piece, middle)) > Math.abs(reach(out, middle)) ? piece : out,
  )
}
const reach = (piece: Facts['assembly']['placed'][number], middle: number): number =>
  Math.max(piece.bounds.max[0] - middle, middle - piece.bounds.min[0]) * (piece.joint ? 1 : 0)

/** Wider than the brief allows. */
export const tooWide = defineCheck<Sees<'size'>, object, 'size'>({
  id: 'too-wide',
  family: 'clearance',
  title: 'Too wide for the brief',
  why: 'It does not pass a narrow door or a row of people, and knocks what it passes.',
  level: 'risk',
  source: 'The cap in the brief.',
  ...noOptions,
  needs: ['size'],
  limit: { measured: 'wideMm', allowed: 'capMm' },
  messages: {
    speaks: {
      over: 'Too wide by {overMm:mm}. It takes {wideMm:mm}, {side} the farthest out; the brief allows {capMm:mm}.',
    },
    silent: { within: '{wideMm:mm} wide of {capMm:mm} allowed.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.wideMm > 0 ? [facts] : []),
  judge: (facts) => {
    const { size, assembly } = facts
    const capMm = assembly.rig.brief.wideMm
    const side = sideOf(facts)
    const numbers = { wideMm: size.wideMm, capMm, overMm: size.wideMm - capMm }
    const names = { side: side.part.name }
    return exceeds(size.wideMm, capMm)
      ? { group: 'speaks', message: 'over', numbers, names, parts: [side.instance.id], at: side.centre }
      : { group: 'silent', message: 'within', numbers, names }
  },
})
