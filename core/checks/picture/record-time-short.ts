import { exceeds } from '../../kernel/index.ts'
import { type Recording, wantedMBs } from '../../media/index.ts'
import { offeredParts, type Part } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import { marginsOf } from '../../context/index.ts'
import type { Facts } from '../../facts/index.ts'
import { byReadiness } from '../places.ts'

const MOST_PACKED = 8
const MB_PER_GB = 1000

const fits = ({ piece }: Recording, part: Part): boolean =>
  part.media?.stores !== undefined && (piece.part.media?.takes ?? []).includes(part.media.stores.kind)

/** Less recording time than the day asks for. */
export const recordTimeShort = defineCheck<Recording, object, 'recordings'>({
  id: 'record-time-short',
  family: 'picture',
  title: 'The cards do not last the day',
  why: 'Clips are thrown away on location to make room, and one of them was good.',
  level: 'risk',
  source: 'GB x 8000 / Mbps / 60 x 0.93, against the hours rolling with 1.3 to spare.',
  ...noOptions,
  about: 'electric',
  needs: ['recordings'],
  limit: { measured: 'neededMin', allowed: 'roomMin' },
  messages: {
    speaks: {
      short: 'Room for {roomMin:min} of recording. {part} at {codec} needs {neededMin:min} for the day, some to spare.',
      none: 'Nothing to record on. {part} needs {neededMin:min} of {codec} for the day.',
    },
    silent: { enough: '{part} has room for {roomMin:min} of {codec}.' },
    cannotTell: {},
  },
  subjects: ({ recordings }) => recordings.filter(({ neededMin }) => neededMin > 0),
  judge: ({ piece, codec, minutes, neededMin }) => {
    const names = { part: piece.part.name, codec: codec.title }
    const numbers = { roomMin: minutes, neededMin }
    const parts = [piece.instance.id]
    if (minutes === 0) return { group: 'speaks', message: 'none', names, numbers, parts }
    return exceeds(neededMin, minutes)
      ? { group: 'speaks', message: 'short', names, numbers, parts }
      : { group: 'silent', message: 'enough', names, numbers }
  },
  aims: (recording, facts: Facts) => {
    const { codec, minutes, neededMin } = recording
    const perGb = minutesPerGb(codec.mbps)
    const choices = offeredParts(facts.context.catalogue)
      .filter(
        (part) =>
          fits(recording, part) &&
          (part.media?.stores?.writeMBs ?? 0) >= wantedMBs(codec.mbps, marginsOf(facts.context).record.write),
      )
      .map((part) => ({
        part,
        count: Math.ceil((neededMin - minutes) / ((part.media?.stores?.gb ?? 1) * perGb) - 1e-9),
      }))
      .filter(({ count }) => count > 0 && count <= MOST_PACKED)
      .sort((a, b) => a.count * a.part.price.usual - b.count * b.part.price.usual || byReadiness(facts)(a.part, b.part))
    return [{ do: 'pack', choices }]
  },
})

const minutesPerGb = (mbps: number): number => ((8 * MB_PER_GB) / mbps / 60) * 0.93
