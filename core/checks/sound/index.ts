import type { Check } from '../check.ts'
import { audioInputsShort } from './audio-inputs-short.ts'
import { noAudioIn } from './no-audio-in.ts'
import { plugTypeAudio } from './plug-type-audio.ts'
import { weakPreamp } from './weak-preamp.ts'

/** The rules of this family, in the order of their ids. */
export const soundChecks: readonly Check[] = [audioInputsShort, noAudioIn, plugTypeAudio, weakPreamp]
