import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { isBraced, loadOn } from '../places.ts'

/** What hangs on the camera's lens mount pulls harder at it than it should. */
export const mountMoment = defineCheck<PlacedPart, { supportNm: number; graveNm: number }, 'supports' | 'loads'>({
  id: 'mount-moment',
  family: 'glass',
  title: 'Too much hangs on the lens mount',
  why: 'The mount wears, the lens tilts by a hair, and one side of the picture goes soft.',
  level: 'risk',
  source:
    'The camera’s own rating: over it is a stop. Without one a support is advised from 1.0 N m, and 2.0 N m is a grave risk.',
  options: z.object({ supportNm: z.number().positive(), graveNm: z.number().positive() }),
  defaults: { supportNm: 1, graveNm: 2 },
  units: { supportNm: 'N m', graveNm: 'N m' },
  needs: ['supports', 'loads'],
  limit: { measured: 'momentNm', allowed: 'supportNm' },
  messages: {
    speaks: {
      support:
        '{lens} wants a support. It pulls at the mount with {momentNm:N m}; {supportNm:N m} is fine without one.',
      camera:
        '{lens} bears the camera by its mount. It is bent with {momentNm:N m}; {supportNm:N m} is fine. Bear the camera as well.',
      grave: '{lens} may bend the mount. It pulls with {momentNm:N m}; beyond {graveNm:N m} nobody vouches for it.',
      harm: '{lens} bends the mount. It pulls with {momentNm:N m}; the camera’s maker allows {ratedNm:N m}.',
    },
    silent: {
      fine: '{lens} pulls with {momentNm:N m} of {supportNm:N m}.',
      supported: '{lens} rests on a second hold.',
    },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate?.ok && piece.mate.value.standard.kind === 'bayonet' && piece.host?.part.role === 'camera',
  ),
  judge: (lens, facts, { supportNm, graveNm }) => {
    const { assembly, supports } = facts
    const { momentNm, far } = loadOn(facts, lens)
    const ratedNm = lens.mate?.ok ? lens.mate.value.socket.mount.momentNm : undefined
    const names = { lens: lens.part.name }
    const numbers = { momentNm, supportNm, graveNm, ...(ratedNm === undefined ? {} : { ratedNm }) }
    if (isBraced(assembly, lens) || supports.some(({ holds }) => holds))
      return { group: 'silent', message: 'supported', names, numbers }
    const parts = [lens.instance.id]
    if (ratedNm !== undefined && exceeds(momentNm, ratedNm))
      return { group: 'speaks', message: 'harm', level: 'stop', names, numbers, parts, at: lens.centre }
    if (!exceeds(momentNm, supportNm)) return { group: 'silent', message: 'fine', names, numbers }
    const grave = ratedNm === undefined && exceeds(momentNm, graveNm)
    return {
      group: 'speaks',
      message: far === 'host' ? 'camera' : grave ? 'grave' : 'support',
      names,
      numbers,
      parts,
      at: lens.centre,
    }
  },
  aims: () => [{ do: 'add', parts: ({ role }) => role === 'lens-support', most: 4, supports: true }],
})
