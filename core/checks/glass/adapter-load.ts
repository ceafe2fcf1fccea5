import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { isBraced, loadOn } from '../places.ts'

/** A heavy lens on a lens adapter. */
export const adapterLoad = defineCheck<PlacedPart, { usualNm: number }, 'supports' | 'loads'>({
  id: 'adapter-load',
  family: 'glass',
  title: 'Heavy lens on an adapter',
  why: 'The adapter flexes, the mark on the focus ring lies, and one day its four small screws give.',
  level: 'risk',
  source: 'The adapter’s rating; without one 0.8 N m, a little less than a bare mount stands.',
  options: z.object({ usualNm: z.number().positive() }),
  defaults: { usualNm: 0.8 },
  units: { usualNm: 'N m' },
  needs: ['supports', 'loads'],
  limit: { measured: 'momentNm', allowed: 'ratedNm' },
  messages: {
    speaks: {
      over: '{lens} hangs too heavily on {adapter}. It pulls with {momentNm:N m}; {ratedNm:N m} is fine. Support the lens.',
    },
    silent: {
      within: '{lens} pulls at {adapter} with {momentNm:N m} of {ratedNm:N m}.',
      supported: '{lens} rests on a second hold.',
    },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) =>
      piece.mate?.ok && piece.mate.value.standard.kind === 'bayonet' && piece.host?.part.role === 'lens-adapter',
  ),
  judge: (lens, facts, { usualNm }) => {
    const { assembly, supports } = facts
    const momentNm = loadOn(facts, lens).momentNm
    const ratedNm = (lens.mate?.ok ? lens.mate.value.socket.mount.momentNm : undefined) ?? usualNm
    const names = { lens: lens.part.name, adapter: lens.host?.part.name ?? '' }
    const numbers = { momentNm, ratedNm }
    if (isBraced(assembly, lens) || (lens.host && isBraced(assembly, lens.host)) || supports.some(({ holds }) => holds))
      return { group: 'silent', message: 'supported', names, numbers }
    return exceeds(momentNm, ratedNm)
      ? { group: 'speaks', message: 'over', names, numbers, parts: [lens.instance.id], at: lens.centre }
      : { group: 'silent', message: 'within', names, numbers }
  },
  aims: () => [{ do: 'add', parts: ({ role }) => role === 'lens-support', most: 4, supports: true }],
})
