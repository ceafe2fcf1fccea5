import { z } from 'zod'
import type { Brace } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { BRACE_MM } from '../../facts/index.ts'

/** A second hold whose two ends do not meet. */
export const braceGap = defineCheck<Brace, { meetsMm: number }>({
  id: 'brace-gap',
  family: 'fit',
  title: 'A brace that does not reach',
  why: 'The second screw finds no hole, and the part hangs on the first one after all.',
  level: 'stop',
  source: 'The places of the two mounts; a washer makes up 3 mm.',
  options: z.object({ meetsMm: z.number().positive() }),
  defaults: { meetsMm: BRACE_MM },
  units: { meetsMm: 'mm' },
  needs: [],
  limit: { measured: 'gapMm', allowed: 'meetsMm' },
  messages: {
    speaks: {
      gap: '{guest} does not reach {host}. {gapMm:mm} is open between them; {meetsMm:mm} can be made up.',
      unlike: '{guest} and {host} do not go together there.',
    },
    silent: { meets: '{guest} is braced on {host}.' },
    cannotTell: {},
  },
  subjects: ({ assembly }) => assembly.braces,
  judge: ({ guest, host, gapMm, mate }, _, { meetsMm }) => {
    const names = { guest: guest.part.name, host: host.part.name }
    const numbers = { gapMm, meetsMm }
    const parts = [guest.instance.id, host.instance.id]
    if (!mate.ok) return { group: 'speaks', message: 'unlike', names, numbers, parts, at: guest.centre }
    return exceeds(gapMm, meetsMm)
      ? { group: 'speaks', message: 'gap', names, numbers, parts, at: guest.centre }
      : { group: 'silent', message: 'meets', names, numbers }
  },
  aims: ({ guest, host }) => [{ do: 'unbrace', guest, host }],
})
