import type { Assembly } from '../../assembly/index.ts'
import { soundInlets } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** More sources of sound than inputs for them. */
export const audioInputsShort = defineCheck<Assembly, object, 'sounds'>({
  id: 'audio-inputs-short',
  family: 'sound',
  title: 'More sound than inputs',
  why: 'One mic stays unplugged, and it is the one that was needed.',
  level: 'risk',
  source: 'The jacks of mics and receivers against the inputs of all that takes sound.',
  ...noOptions,
  about: 'electric',
  needs: ['sounds'],
  limit: { measured: 'sources', allowed: 'inputs' },
  messages: {
    speaks: {
      short:
        'More sound than inputs. There are {sources} sources and {inputs} inputs; a preamp, or a receiver that mixes a mic in, makes room.',
      none: 'No input for sound. {part} is on the rig, and nothing here takes sound in.',
    },
    silent: { enough: '{inputs} inputs for {sources} sources of sound.' },
    cannotTell: {},
  },
  subjects: ({ assembly, sounds }) => (sounds.length > 0 ? [assembly] : []),
  judge: (assembly, { sounds }) => {
    const inputs = soundInlets(assembly).length
    const names = { part: sounds[0]?.piece.part.name ?? '' }
    const numbers = { sources: sounds.length, inputs }
    const parts = sounds.map(({ piece }) => piece.instance.id)
    if (inputs === 0) return { group: 'speaks', message: 'none', names, numbers, parts }
    return exceeds(sounds.length, inputs)
      ? { group: 'speaks', message: 'short', names, numbers, parts }
      : { group: 'silent', message: 'enough', names, numbers }
  },
})
