import { z } from 'zod'
import type { PlacedPart } from '../assembly/index.ts'
import { jointMomentNm } from '../balance/index.ts'
import { exceeds } from '../kernel/index.ts'
import { defineCheck } from './check.ts'
import { isBraced, takeOffRemedy } from './places.ts'

/** What hangs on the camera's lens mount pulls harder at it than it should. */
export const mountMoment = defineCheck<PlacedPart, { supportNm: number; stopNm: number }>({
  id: 'mount-moment',
  title: 'Too much hangs on the lens mount',
  why: 'The mount wears, the lens tilts by a hair, and one side of the picture goes soft.',
  level: 'risk',
  source: 'Where the maker gives no rating: a support is advised from 1.0 N m, and 2.0 N m is the end.',
  options: z.object({ supportNm: z.number().positive(), stopNm: z.number().positive() }),
  defaults: { supportNm: 1, stopNm: 2 },
  needs: ['supports'],
  limit: { measured: 'momentNm', allowed: 'supportNm' },
  messages: {
    speaks: {
      support: '{lens} wants a support. It pulls at the mount with {momentNm}; {supportNm} is fine without one.',
      harm: '{lens} may bend the mount. It pulls with {momentNm}; {stopNm} is the end.',
    },
    silent: { fine: '{lens} pulls with {momentNm} of {supportNm}.', supported: '{lens} rests on a second hold.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) =>
    assembly.placed.filter((piece) => piece.mate?.ok && piece.mate.value.standard.kind === 'bayonet' && piece.host?.part.role === 'camera'),
  judge: (lens, { assembly, supports }, { supportNm, stopNm }) => {
    const momentNm = jointMomentNm(assembly, lens)
    const names = { lens: lens.part.name }
    const numbers = { momentNm, supportNm, stopNm }
    if (isBraced(assembly, lens) || supports.some(({ holds }) => holds)) return { group: 'silent', message: 'supported', names, numbers }
    if (!exceeds(momentNm, supportNm)) return { group: 'silent', message: 'fine', names, numbers }
    const harm = exceeds(momentNm, stopNm)
    return {
      group: 'speaks',
      message: harm ? 'harm' : 'support',
      level: harm ? 'stop' : 'risk',
      names,
      numbers,
      parts: [lens.instance.id],
      at: lens.centre,
    }
  },
  remedies: (lens, facts) => [takeOffRemedy(facts, lens)],
})
