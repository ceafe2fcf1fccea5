import { z } from 'zod'
import type { PlacedPart } from '../assembly/index.ts'
import { inHand, jointMomentNm } from '../balance/index.ts'
import { exceeds } from '../kernel/index.ts'
import { defineCheck } from './check.ts'
import { hungG, takeOffRemedy } from './places.ts'

/** The moment both ends are rated for, the lower of the two; lens mounts have a rule of their own. */
const ratedNmOf = ({ mate }: PlacedPart): number | undefined => {
  if (!mate?.ok || mate.value.standard.kind === 'bayonet') return undefined
  const ratings = [mate.value.socket.mount.momentNm, mate.value.plug.mount.momentNm].filter((nm) => nm !== undefined)
  return ratings.length > 0 ? Math.min(...ratings) : undefined
}

/** More mass or moment on a joint than either of its ends is rated for. Shoes, pads and stands have checks of their own. */
export const jointOverload = defineCheck<PlacedPart, object>({
  id: 'joint-overload',
  title: 'Too heavy for its joint',
  why: 'The arm droops during the shot, or the clamp lets go.',
  level: 'stop',
  source: 'The lower of the two parts’ ratings, else the usual figure of the standard.',
  options: z.object({}),
  defaults: {},
  needs: [],
  limit: { measured: 'carriedG', allowed: 'limitG' },
  messages: {
    speaks: {
      over: '{part} is too heavy for {host}. {carriedG} hangs there; it takes {limitG}.',
      droops: '{part} droops on {host}. It pulls with {momentNm}; the joint holds {ratedNm}.',
    },
    silent: {
      steady: '{part} pulls at its joint with {momentNm} of {ratedNm}.',
      within: '{part} puts {carriedG} on a joint that takes {limitG}.',
    },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.placed.filter(
      (piece) =>
        piece.mate?.ok &&
        !['shoe', 'pad'].includes(piece.mate.value.standard.kind) &&
        inHand(piece) &&
        (Number.isFinite(piece.mate.value.limitG) || ratedNmOf(piece) !== undefined),
    ),
  judge: (piece, facts) => {
    const carriedG = hungG(facts, piece)
    const limitG = piece.mate?.ok ? piece.mate.value.limitG : Infinity
    const names = { part: piece.part.name, host: piece.host?.part.name ?? '' }
    const ratedNm = ratedNmOf(piece)
    const numbers = { carriedG, limitG, ...(ratedNm === undefined ? {} : { ratedNm, momentNm: jointMomentNm(facts.assembly, piece) }) }
    if (ratedNm !== undefined && numbers.momentNm !== undefined && !exceeds(carriedG, limitG))
      return exceeds(numbers.momentNm, ratedNm)
        ? { group: 'speaks', message: 'droops', names, numbers, parts: [piece.instance.id], at: piece.centre }
        : { group: 'silent', message: 'steady', names, numbers }
    return exceeds(carriedG, limitG)
      ? { group: 'speaks', message: 'over', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'within', names, numbers }
  },
  remedies: (piece, facts) => [takeOffRemedy(facts, piece)],
})
