import { exceeds, flatMap } from '../../kernel/index.ts'
import { type Medium, type Recording, wantedMBs } from '../../media/index.ts'
import { marginsOf } from '../../context/index.ts'
import { defineCheck, noOptions } from '../check.ts'

interface Written {
  readonly recording: Recording
  readonly medium: Medium
}

/** A card or drive that can't keep up. */
export const driveSlow = defineCheck<Written, object, 'recordings'>({
  id: 'drive-slow',
  family: 'picture',
  title: 'The card can not keep up',
  why: 'Recording stops after some seconds, in the best take.',
  level: 'risk',
  source: 'The stream with 1.3 to spare, against what is written without a pause.',
  ...noOptions,
  about: 'electric',
  needs: ['recordings'],
  limit: { measured: 'wantedMBs', allowed: 'writeMBs' },
  messages: {
    speaks: { slow: 'The card is too slow. {card} takes {writeMBs:MB/s}; {codec} on {part} wants {wantedMBs:MB/s}.' },
    silent: { keeps: '{card} keeps up with {codec}.' },
    cannotTell: {},
  },
  subjects: ({ recordings }) =>
    flatMap(recordings, (recording) => recording.media.map((medium) => ({ recording, medium }))),
  judge: ({ recording: { piece, codec }, medium }, { context }) => {
    const key = medium.id
    const names = { card: medium.part.name, codec: codec.title, part: piece.part.name }
    const numbers = {
      wantedMBs: wantedMBs(codec.mbps, marginsOf(context).record.write),
      writeMBs: medium.writeMBs,
    }
    return exceeds(numbers.wantedMBs, medium.writeMBs)
      ? { group: 'speaks', message: 'slow', names, key, numbers, parts: [medium.id, piece.instance.id] }
      : { group: 'silent', message: 'keeps', names, key, numbers }
  },
  aims: ({ medium }) => (medium.onRig ? [] : [{ do: 'leave-out', instance: medium.id, part: medium.part }]),
})
