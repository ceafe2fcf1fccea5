import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { endName, mate, type MateCode, mountOf } from '../../catalogue/index.ts'
import { defineCheck, piecesThat } from '../check.ts'

const ends = (piece: PlacedPart) => {
  const { host, joint, part } = piece
  const hostMount = host && joint && mountOf(host.part, joint.hostMount)
  const guestMount = joint && mountOf(part, joint.guestMount)
  return host && hostMount && guestMount
    ? { host: { part: host.part, mount: hostMount }, guest: { part, mount: guestMount } }
    : undefined
}

/** Objections that have a check of their own. */
const elsewhere = ['body-unfit', 'rail-too-short', 'spacing-differs'] as const satisfies readonly MateCode[]
type Told = Exclude<MateCode, (typeof elsewhere)[number]>
const isElsewhere = (code: MateCode): boolean => (elsewhere as readonly MateCode[]).includes(code)

/** One sentence for every objection there can be; a new one does not compile without its words. */
const speaks = {
  'standards-differ': "{guest} won't go on. It has a {guestEnd}; {host} offers a {hostEnd}.",
  'same-gender': "{guest} won't go on. Its {guestEnd} meets a {hostEnd}: one of them must be the other half.",
  'filter-size-differs': "{guest} won't go in. It is made for {wants}; the lens has {holds}.",
  'pack-differs': "{guest} won't go in. The bay takes {holds}; this is {wants}.",
  'clamp-size-differs': "{guest} won't clamp on. It is made for {wants}; the lens front is {holds}.",
  'tray-differs': "{guest} won't go in. The tray takes {holds}; this is {wants}.",
  'lens-mount-differs': "{guest} won't lock. It has the {wants} mount; the camera has {holds}.",
  'flange-differs':
    "{guest} locks but won't focus right. It is made to sit {wantsMm:mm} from the sensor; here it sits at {holdsMm:mm}.",
  'face-small':
    "{guest} won't stick. Its back is {wantsMm:mm} by {highMm:mm}; of the face {freeMm:mm} by {tallMm:mm} is flat and free.",
  'ring-size-differs': "{guest} won't close. It closes on {minMm:mm} to {maxMm:mm}; the ring is {ringMm:mm}.",
} as const satisfies Record<Told, string>

/** Two mounts that were put together but do not go together. */
export const mountMismatch = defineCheck<PlacedPart, object>({
  id: 'mount-mismatch',
  family: 'fit',
  title: 'Mounts that do not go together',
  why: 'You stand in the car park with two parts that will not screw together.',
  level: 'stop',
  source: 'The two mounting standards: what the socket accepts.',
  options: z.object({}),
  defaults: {},
  needs: [],
  messages: {
    speaks,
    silent: { fits: '{guest} goes on {host}.' },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate && (piece.mate.ok || !piece.mate.issues.some(({ code }) => isElsewhere(code))),
  ),
  judge: (piece) => {
    const pair = ends(piece)
    const names = {
      guest: piece.part.name,
      host: piece.host?.part.name ?? '',
      guestEnd: pair ? endName(pair.guest) : '',
      hostEnd: pair ? endName(pair.host) : '',
    }
    const issue = piece.mate?.ok === false ? piece.mate.issues[0] : undefined
    if (!issue) return { group: 'silent', message: 'fits', names }
    return {
      group: 'speaks',
      message: issue.code,
      names: { ...names, ...issue.names },
      numbers: issue.numbers,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: (piece) => [
    { do: 'bridge', piece, most: 2 },
    {
      do: 'move',
      piece,
      to: (point) =>
        piece.part.mounts.some(
          (mount) => mate({ part: point.piece.part, mount: point.mount }, { part: piece.part, mount }).ok,
        ),
    },
    { do: 'take-off', piece },
  ],
})
