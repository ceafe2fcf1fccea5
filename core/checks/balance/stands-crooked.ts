import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { carried } from '../places.ts'

/** The rig can't be put down: its centre of mass lies beside or near the edge of what it stands on. */
export const standsCrooked = defineCheck<Sees<'stand' | 'mass'>, { wantedMm: number }, 'stand' | 'mass'>({
  id: 'stands-crooked',
  family: 'balance',
  title: 'Does not stand when put down',
  why: 'You set it on a table to change a card, and it rolls onto the lens.',
  level: 'hint',
  source:
    'A nudge at 150 mm over the table tips 2 kg with m g d / h: 1.3 N when the centre is 10 mm inside the edge; less is a breath.',
  options: z.object({ wantedMm: z.number().positive() }),
  defaults: { wantedMm: 10 },
  units: { wantedMm: 'mm' },
  needs: ['stand', 'mass'],
  limit: { measured: 'marginMm', allowed: 'wantedMm' },
  messages: {
    speaks: {
      falls: 'Falls over when put down. It stands on {base}, and its centre lies {outMm:mm} beside that.',
      barely: 'Barely stands when put down. Its centre lies {marginMm:mm} inside {base}; {wantedMm:mm} is safe.',
    },
    silent: { stands: 'Stands {marginMm:mm} inside its base; {wantedMm:mm} is safe.' },
    cannotTell: {},
  },
  subjects: (facts) => (carried(facts) && facts.assembly.placed.length > 1 ? [facts] : []),
  judge: ({ stand, mass }, _, { wantedMm }) => {
    const { marginMm } = stand
    const base: readonly PlacedPart[] = stand.on
    const numbers = { marginMm, wantedMm, outMm: -marginMm }
    const names = { base: base.map(({ part }) => part.name).join(' and ') }
    const parts = base.map(({ instance }) => instance.id)
    if (wantedMm - marginMm <= 1e-6) return { group: 'silent', message: 'stands', numbers, names }
    return { group: 'speaks', message: marginMm <= 0 ? 'falls' : 'barely', numbers, names, parts, at: mass.centre }
  },
})
