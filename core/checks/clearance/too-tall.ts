import { z } from 'zod'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** Taller than the brief allows. */
export const tooTall = defineCheck<Sees<'size'>, object, 'size'>({
  id: 'too-tall',
  family: 'clearance',
  title: 'Too tall for the brief',
  why: 'It knocks door frames, tips in the hand and does not go in the bag built up.',
  level: 'risk',
  source: 'The cap in the brief.',
  options: z.object({}),
  defaults: {},
  needs: ['size'],
  limit: { measured: 'tallMm', allowed: 'capMm' },
  messages: {
    speaks: { over: 'Too tall by {overMm:mm}. {top} brings it to {tallMm:mm}; the brief allows {capMm:mm}.' },
    silent: { within: '{tallMm:mm} tall of {capMm:mm} allowed.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.tallMm > 0 ? [facts] : []),
  judge: ({ size, assembly }) => {
    const capMm = assembly.rig.brief.tallMm
    const top = assembly.placed.reduce((highest, piece) =>
      piece.bounds.max[1] > highest.bounds.max[1] ? piece : highest,
    )
    const numbers = { tallMm: size.tallMm, capMm, overMm: size.tallMm - capMm }
    const names = { top: top.part.name }
    return exceeds(size.tallMm, capMm)
      ? { group: 'speaks', message: 'over', numbers, names, parts: [top.instance.id], at: top.centre }
      : { group: 'silent', message: 'within', numbers, names }
  },
})
