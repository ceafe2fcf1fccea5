import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import type { Palm } from '../../balance/index.ts'
import { depthIn } from '../../clearance/index.ts'
import { boundsOf, exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

interface Met {
  readonly by: PlacedPart
  readonly depthMm: number
}

/** What stands deepest where the right hand goes round the camera. */
const deepestIn = ({ assembly }: Sees, { shape, grip }: Palm): Met | undefined => {
  const bounds = boundsOf(shape)
  return assembly.placed
    .filter((piece) => piece !== grip.piece)
    .map((by): Met => ({ by, depthMm: depthIn(shape, bounds, by) }))
    .sort((a, b) => b.depthMm - a.depthMm)
    .find(({ depthMm }) => depthMm > 0)
}

const bodies = (palms: readonly Palm[]): readonly Palm[] => palms.filter(({ grip }) => grip.kind === 'body')

/** The right hand does not get round the camera's own grip. */
export const ownGrip = defineCheck<Palm, { mostMm: number }, 'palms'>({
  id: 'own-grip',
  family: 'clearance',
  title: 'No hold on the camera itself',
  why: 'The right hand holds by its finger tips, the shutter finger lies on a frame, and the thumb never comes to the record button.',
  level: 'hint',
  source:
    'A large hand round the moulded grip: 31 mm before its middle, 34 outside. A frame 12 mm thick is held along with it.',
  options: z.object({ mostMm: z.number().min(0) }),
  defaults: { mostMm: 12 },
  units: { mostMm: 'mm' },
  needs: ['palms'],
  limit: { measured: 'intoMm', allowed: 'mostMm' },
  messages: {
    speaks: {
      taken:
        '{by} stands where the right hand goes round {camera}. It reaches {intoMm:mm} into the hand; {mostMm:mm} is held along with it.',
    },
    silent: { free: 'The right hand goes round {camera}.' },
    cannotTell: {},
  },
  subjects: ({ palms }) => bodies(palms),
  judge: (palm, facts, { mostMm }) => {
    const met = deepestIn(facts, palm)
    const camera = palm.grip.piece
    const names = { camera: camera.part.name, by: met?.by.part.name ?? '' }
    const numbers = { intoMm: met?.depthMm ?? 0, mostMm }
    return met && exceeds(met.depthMm, mostMm)
      ? {
          group: 'speaks',
          message: 'taken',
          names,
          numbers,
          parts: [met.by.instance.id, camera.instance.id],
          at: met.by.centre,
        }
      : { group: 'silent', message: 'free', names, numbers }
  },
})
