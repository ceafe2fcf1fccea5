import { z } from 'zod'
import { passes, type Run } from '../../cabling/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { runNames, runParts } from '../wires.ts'

/** 0 dBu, mV; and the sound pressure that is 0 dB, Pa (ISO 1683). */
const DBU_MV = 774.6
const SILENCE_PA = 20e-6

/** What a microphone gives for a sound of so many decibels, dBu. @example 20 mV/Pa and 60 dB: 0.4 mV, -65.7 dBu */
export const levelDbu = (mvPerPa: number, decibels: number): number =>
  20 * Math.log10((mvPerPa * SILENCE_PA * 10 ** (decibels / 20)) / DBU_MV)

const heard = ({ leads }: Sees<'leads'>): readonly Run[] =>
  leads.filter(
    (run) => passes(run, 'sound') && run.from.socket.mvPerPa !== undefined && run.to.socket.noiseDbu !== undefined,
  )

/** A quiet microphone into a noisy input. */
export const weakPreamp = defineCheck<Run, { voiceDb: number; leastDb: number }, 'leads'>({
  id: 'weak-preamp',
  family: 'sound',
  title: 'The input hisses',
  why: 'The voice is turned up at home, and the noise of the input with it.',
  level: 'hint',
  source:
    'What the mic gives for a voice of 60 dB, spoken a metre away, over the input’s own noise: 40 dB is a clean voice, 30 is a hiss that anybody hears.',
  options: z.object({ voiceDb: z.number().positive(), leastDb: z.number().positive() }),
  defaults: { voiceDb: 60, leastDb: 40 },
  units: {},
  about: 'electric',
  needs: ['leads'],
  limit: { measured: 'overDb', allowed: 'leastDb' },
  messages: {
    speaks: {
      hiss: '{to} hisses under a voice. {from} gives {levelDbu} dBu for {voiceDb} dB, {overDb} dB over its noise; {leastDb} are clean. A hotter mic, or a preamp between.',
    },
    silent: { clean: 'A voice in {from} stands {overDb} dB over the noise of {to}.' },
    cannotTell: {},
  },
  subjects: heard,
  judge: (run, _, { voiceDb, leastDb }) => {
    const level = levelDbu(run.from.socket.mvPerPa ?? 1, voiceDb)
    const overDb = level - (run.to.socket.noiseDbu ?? 0)
    const names = runNames(run)
    const key = run.link.cable
    const numbers = { overDb: Math.round(overDb * 10) / 10, leastDb, voiceDb, levelDbu: Math.round(level * 10) / 10 }
    return numbers.overDb < leastDb
      ? { group: 'speaks', message: 'hiss', names, key, numbers, parts: runParts(run), at: run.middle }
      : { group: 'silent', message: 'clean', names, key, numbers }
  },
})
