import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { inHand } from '../../balance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { loadOn, loadWords, overLimit } from '../places.ts'

/** The moment both ends are rated for, the lower of the two; lens mounts have a rule of their own. */
const ratedNmOf = ({ mate }: PlacedPart): number | undefined => {
  if (!mate?.ok || mate.value.standard.kind === 'bayonet') return undefined
  const ratings = [mate.value.socket.mount.momentNm, mate.value.plug.mount.momentNm].filter((nm) => nm !== undefined)
  return ratings.length > 0 ? Math.min(...ratings) : undefined
}

/**
 * More mass or moment on a joint than either of its ends is rated for. Shoes, pads and stands have checks of their own.
 */
export const jointOverload = defineCheck<PlacedPart, object, 'loads'>({
  id: 'joint-overload',
  family: 'fit',
  title: 'Too heavy for its joint',
  why: 'The arm droops during the shot, or the clamp lets go.',
  level: 'stop',
  source:
    'The lower of the two parts’ ratings: over a maker’s figure it is a stop. Else the usual figure of the standard: a risk.',
  options: z.object({}),
  defaults: {},
  needs: ['loads'],
  limit: { measured: 'carriedG', allowed: 'limitG' },
  messages: {
    speaks: {
      over: 'Too much for the joint of {part} and {host}. {what} {ways} there with {carriedG:g}; the makers allow {limitG:g}.',
      usual:
        'Much for the joint of {part} and {host}. {what} {ways} there with {carriedG:g}; {limitG:g} is usual for such a joint.',
      droops: '{part} droops on {host}. The joint is bent with {momentNm:N m}; it holds {ratedNm:N m}.',
    },
    silent: {
      steady: '{part} pulls at its joint with {momentNm:N m} of {ratedNm:N m}.',
      within: '{part} puts {carriedG:g} on a joint that takes {limitG:g}.',
    },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) =>
      piece.mate?.ok &&
      !['shoe', 'pad'].includes(piece.mate.value.standard.kind) &&
      inHand(piece) &&
      (Number.isFinite(piece.mate.value.limitG) || ratedNmOf(piece) !== undefined),
  ),
  judge: (piece, facts) => {
    const load = loadOn(facts, piece)
    const carriedG = load.massG
    const limitG = piece.mate?.ok ? piece.mate.value.limitG : Infinity
    const { what, way } = loadWords(piece, load, facts.assembly.setup.support)
    const names = { part: piece.part.name, host: piece.host?.part.name ?? '', what, ways: `${way}s` }
    const ratedNm = ratedNmOf(piece)
    const numbers = { carriedG, limitG, ...(ratedNm === undefined ? {} : { ratedNm, momentNm: load.momentNm }) }
    if (ratedNm !== undefined && numbers.momentNm !== undefined && !exceeds(carriedG, limitG))
      return exceeds(numbers.momentNm, ratedNm)
        ? { group: 'speaks', message: 'droops', names, numbers, parts: [piece.instance.id], at: piece.centre }
        : { group: 'silent', message: 'steady', names, numbers }
    return exceeds(carriedG, limitG)
      ? {
          group: 'speaks',
          ...overLimit(piece),
          names,
          numbers,
          parts: [piece.instance.id],
          at: piece.centre,
        }
      : { group: 'silent', message: 'within', names, numbers }
  },
})
