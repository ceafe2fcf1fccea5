import type { PlacedPart } from '../../assembly/index.ts'
import { passes, type Run, type SoundSource } from '../../cabling/index.ts'
import { records } from '../../wiring/index.ts'
import { defineCheck, noOptions } from '../check.ts'

/** Where a sound ends up when its leads are followed. */
const endOf = ({ run }: SoundSource, leads: readonly Run[]): PlacedPart | undefined => {
  const seen = new Set<Run>()
  let at: Run | undefined = run
  while (at && !seen.has(at)) {
    seen.add(at)
    const { piece } = at.to
    if (records(piece)) return piece
    const next: Run | undefined = leads.find((other) => other.from.piece === piece && passes(other, 'sound'))
    if (!next) return piece
    at = next
  }
  return undefined
}

/** A sound that is led somewhere, but not to anything that records it. */
export const noAudioIn = defineCheck<SoundSource, object, 'sounds' | 'leads'>({
  id: 'no-audio-in',
  family: 'sound',
  title: 'The sound is not recorded',
  why: 'The meter moves on the box, and the track is empty at home.',
  level: 'risk',
  source: 'The leads of the set-up, followed to what records.',
  ...noOptions,
  about: 'electric',
  needs: ['sounds', 'leads'],
  messages: {
    speaks: { lost: 'The sound of {part} is not recorded. It ends at {other}.' },
    silent: { recorded: '{other} records what {part} hears.' },
    cannotTell: {},
  },
  subjects: ({ sounds }) => sounds.filter(({ run }) => run !== undefined),
  judge: (source, { leads }) => {
    const end = endOf(source, leads)
    const key = source.socket.id
    const names = { part: source.piece.part.name, other: end?.part.name ?? source.piece.part.name }
    return end && records(end)
      ? { group: 'silent', message: 'recorded', names, key }
      : { group: 'speaks', message: 'lost', names, key, parts: [source.piece.instance.id], at: source.piece.centre }
  },
})
