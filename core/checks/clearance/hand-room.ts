import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { defineCheck, partsThat } from '../check.ts'
import { GLOVE_MM, type Sees } from '../../facts/index.ts'

const FINGERS_MM = 28

const pinchedBy = (facts: Sees<'invasions'>, piece: PlacedPart) =>
  facts.invasions.find((found) => found.piece.instance.id === piece.instance.id && found.room.kind === 'hand')

/** Fingers do not fit under a handle, or only without gloves. */
export const handRoom = defineCheck<PlacedPart, object, 'invasions'>({
  id: 'hand-room',
  family: 'clearance',
  title: 'No room for fingers',
  why: 'The knuckles rub on the cage, and in the cold the glove does not go in at all.',
  level: 'risk',
  source: 'Four fingers want 28 mm under a grip, 8 mm more in gloves (measured on working hands).',
  options: z.object({}),
  defaults: {},
  needs: ['invasions'],
  limit: { measured: 'lackMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      pinched: 'No room for fingers. {by} reaches {lackMm:mm} into the {wantedMm:mm} they want under {handle}.',
    },
    silent: { free: 'Fingers have their {wantedMm:mm} under {handle}.' },
    cannotTell: {},
  },
  subjects: partsThat(({ rooms }) => rooms.some((room) => room.kind === 'hand')),
  judge: (handle, facts) => {
    const found = pinchedBy(facts, handle)
    const wantedMm = FINGERS_MM + (facts.assembly.rig.brief.conditions.includes('cold') ? GLOVE_MM : 0)
    const names = { handle: handle.part.name, by: found?.by.part.name ?? '' }
    if (!found) return { group: 'silent', message: 'free', names, numbers: { wantedMm, lackMm: 0, allowedMm: 0 } }
    return {
      group: 'speaks',
      message: 'pinched',
      names,
      numbers: { wantedMm, lackMm: found.depthMm, allowedMm: 0 },
      parts: [found.by.instance.id, handle.instance.id],
      at: found.by.centre,
    }
  },
})
