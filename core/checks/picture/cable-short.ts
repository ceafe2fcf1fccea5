import type { Run } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { runNames, runParts } from '../wires.ts'

/** A lead that does not reach. */
export const cableShort = defineCheck<Run, object, 'leads'>({
  id: 'cable-short',
  family: 'picture',
  title: 'The lead does not reach',
  why: 'It is pulled tight over an edge until the socket gives, or it never goes in.',
  level: 'stop',
  source: 'The way along the rig, the bends at both plugs, and slack for what moves.',
  ...noOptions,
  about: 'electric',
  needs: ['leads'],
  limit: { measured: 'needMm', allowed: 'reachMm' },
  messages: {
    speaks: { short: 'The lead does not reach. {cable} has {reachMm:mm}; from {from} to {to} it takes {needMm:mm}.' },
    silent: { reaches: '{cable} reaches.' },
    cannotTell: {},
  },
  subjects: ({ leads }) => leads,
  judge: (run) => {
    const names = runNames(run)
    const key = run.link.cable
    const numbers = { needMm: run.needMm, reachMm: run.reachMm }
    return exceeds(run.needMm, run.reachMm)
      ? { group: 'speaks', message: 'short', names, key, numbers, parts: runParts(run), at: run.middle }
      : { group: 'silent', message: 'reaches', names, key, numbers }
  },
  aims: (run) => [{ do: 'lead', run }],
})
