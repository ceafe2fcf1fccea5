import { z } from 'zod'
import type { Run } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { HANGS_MM } from '../../catalogue/index.ts'
import { defineCheck } from '../check.ts'
import { runNames, runParts } from '../wires.ts'

const options = z.object({ mostMm: z.number().positive() })

/** A lead that hangs over. */
export const cableLong = defineCheck<Run, z.infer<typeof options>, 'leads'>({
  id: 'cable-long',
  family: 'picture',
  title: 'The lead hangs over',
  why: 'A loop catches on door handles and on fingers, and pulls the plug out.',
  level: 'hint',
  source: 'More than a hand’s breadth of slack; coil it up or take a shorter one.',
  options,
  defaults: { mostMm: HANGS_MM },
  units: { mostMm: 'mm' },
  about: 'electric',
  needs: ['leads'],
  limit: { measured: 'spareMm', allowed: 'mostMm' },
  messages: {
    speaks: { long: 'A lead hangs over by {spareMm:mm}. For {cable}, from {from} to {to}, {needMm:mm} would do.' },
    silent: { right: '{cable} is as long as it should be.', coil: '{cable} is a spring lead.' },
    cannotTell: {},
  },
  subjects: ({ leads }) => leads,
  judge: (run, _, { mostMm }) => {
    const names = runNames(run)
    const key = run.link.cable
    const numbers = { spareMm: run.spareMm, needMm: run.needMm, mostMm }
    if (run.cable.coil) return { group: 'silent', message: 'coil', names, key, numbers: { spareMm: 0, mostMm } }
    return exceeds(run.spareMm, mostMm)
      ? { group: 'speaks', message: 'long', names, key, numbers, parts: runParts(run), at: run.middle }
      : { group: 'silent', message: 'right', names, key, numbers }
  },
  aims: (run, _, __, { mostMm }) => [
    {
      do: 'lead',
      run,
      most: 1,
      wanted: ({ run: other, part }) => part.cable.coil === true || other.spareMm <= mostMm,
    },
  ],
})
