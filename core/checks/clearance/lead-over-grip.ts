import { z } from 'zod'
import type { Palm } from '../../balance/index.ts'
import type { Run } from '../../cabling/index.ts'
import { leadDepthIn } from '../../clearance/index.ts'
import { boundsOf, flatMap } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { runNames } from '../wires.ts'

interface Crossing {
  readonly palm: Palm
  readonly lead: Run
}

/** A lead that is plugged into what the hand holds runs along the hand anyway. */
const crossings = ({ palms, leads }: Sees<'palms' | 'leads'>): readonly Crossing[] =>
  flatMap(palms, (palm) =>
    leads
      .filter(({ from, to }) => ![from, to].some(({ piece }) => piece === palm.grip.piece && piece.joint !== undefined))
      .map((lead) => ({ palm, lead })),
  )

/** A lead that lies over a grip. */
export const leadOverGrip = defineCheck<Crossing, { mostMm: number }, 'palms' | 'leads'>({
  id: 'lead-over-grip',
  family: 'clearance',
  title: 'A lead over the grip',
  why: 'The hand closes on it at every take, and it is pulled out of its socket.',
  level: 'hint',
  source:
    'The way of each lead against a large hand round each grip: 34 mm round it, 86 along; fingers give way by 10.',
  options: z.object({ mostMm: z.number().min(0) }),
  defaults: { mostMm: 10 },
  units: { mostMm: 'mm' },
  needs: ['palms', 'leads'],
  limit: { measured: 'intoMm', allowed: 'mostMm' },
  messages: {
    speaks: {
      over: '{cable} lies over the grip of {part}. It runs {intoMm:mm} into where the hand closes; {mostMm:mm} gives way.',
    },
    silent: { clear: '{cable} passes the hand on {part}.' },
    cannotTell: {},
  },
  subjects: crossings,
  judge: ({ palm, lead }, _, { mostMm }) => {
    const intoMm = leadDepthIn(palm.shape, boundsOf(palm.shape), lead)
    const { piece } = palm.grip
    const names = { ...runNames(lead), part: piece.part.name }
    const key = lead.link.cable
    const numbers = { intoMm, mostMm }
    return intoMm > mostMm + 1e-6
      ? {
          group: 'speaks',
          message: 'over',
          names,
          key,
          numbers,
          parts: [lead.link.cable, piece.instance.id],
          at: palm.grip.at,
        }
      : { group: 'silent', message: 'clear', names, key, numbers }
  },
  aims: ({ palm, lead }, _, __, { mostMm }) => [
    {
      do: 'lead',
      run: lead,
      most: 1,
      wanted: ({ run, part }) =>
        leadDepthIn(palm.shape, boundsOf(palm.shape), { ...run, cable: part.cable, middle: lead.middle }) <= mostMm,
    },
  ],
})
