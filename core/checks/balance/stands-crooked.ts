import { flatMap } from '../../kernel/index.ts'
import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { cornersOf, restOf, type Touching, touchingOf } from '../../balance/index.ts'
import { leadBodies } from '../../clearance/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { carried, hasItsLens } from '../places.ts'

const namesOf = (pieces: readonly PlacedPart[]): string => pieces.map(({ part }) => part.name).join(' and ')

/** What must not be lain on, in words. */
const words = { body: '', glass: 'glass', screen: 'screen', plug: 'plug' } as const

/** The rig can't be put down: its centre of mass lies beside or near the edge of what it stands on. */
export const standsCrooked = defineCheck<
  Sees<'stand' | 'mass' | 'leads'>,
  { wantedMm: number },
  'stand' | 'mass' | 'leads'
>({
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
  needs: ['stand', 'mass', 'leads'],
  limit: { measured: 'marginMm', allowed: 'wantedMm' },
  messages: {
    speaks: {
      falls:
        'Falls over when put down. Its centre lies {outMm:mm} beside {base}; it turns by {tiltDeg:deg} and comes to rest on {rest}.',
      leans:
        'Put down, it comes to rest on the {what} of {rest}. Its centre lies {outMm:mm} beside {base}, so it turns by {tiltDeg:deg}; set it on its side, or hang it up.',
      barely: 'Barely stands when put down. Its centre lies {marginMm:mm} inside {base}; {wantedMm:mm} is safe.',
    },
    silent: { stands: 'Stands {marginMm:mm} inside its base; {wantedMm:mm} is safe.' },
    cannotTell: {},
  },
  subjects: (facts) => (hasItsLens(facts) && carried(facts) && facts.assembly.placed.length > 1 ? [facts] : []),
  judge: ({ assembly, stand, mass, leads }, _, { wantedMm }) => {
    const { marginMm } = stand
    const base: readonly PlacedPart[] = stand.on
    const numbers = { marginMm, wantedMm, outMm: -marginMm, tiltDeg: 0 }
    const names = { base: namesOf(base), rest: '', what: '' }
    const parts = base.map(({ instance }) => instance.id)
    if (wantedMm - marginMm <= 1e-6) return { group: 'silent', message: 'stands', numbers, names }
    if (marginMm > 0) return { group: 'speaks', message: 'barely', numbers, names, parts, at: mass.centre }
    const plugs = flatMap(leads, (lead) =>
      flatMap(leadBodies(lead), ({ what, end, shape }): Touching[] =>
        what === 'plug' && end ? [{ piece: end.piece, what: 'plug', corners: cornersOf(shape) }] : [],
      ),
    )
    const rest = restOf([...touchingOf(assembly), ...plugs], mass.centre)
    const turned = { ...numbers, tiltDeg: rest.tiltDeg }
    const tender = rest.on.find(({ what }) => what !== 'body')
    if (tender)
      return {
        group: 'speaks',
        message: 'leans',
        numbers: turned,
        names: { ...names, rest: tender.piece.part.name, what: words[tender.what] },
        parts: [tender.piece.instance.id, ...parts.filter((id) => id !== tender.piece.instance.id)],
        at: mass.centre,
      }
    const on = [...new Set(rest.on.map(({ piece }) => piece))]
    return {
      group: 'speaks',
      message: 'falls',
      numbers: turned,
      names: { ...names, rest: namesOf(on) },
      parts,
      at: mass.centre,
    }
  },
})
