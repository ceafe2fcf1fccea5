import type { PackGroup, PackList, PackNote } from '@zucchini/core/assess'
import { writeCsv } from '@zucchini/core/formats'
import type { LockerPiece } from '@zucchini/core/locker'
import { fill, hours, type Style } from '../../wording.ts'

export const groupTitles: Readonly<Record<PackGroup, string>> = {
  rig: 'The rig',
  pieces: 'What the other set-ups want',
  glass: 'Glass',
  power: 'Power',
  media: 'Cards and drives',
  leads: 'Leads',
  tools: 'Tools',
  weather: 'Weather and way',
}

const notes: Readonly<Record<PackNote['code'], string>> = {
  built: '{count} pieces, lens cap on',
  'to-full': '{time} until all of its kind are full',
  'no-charger': 'nothing in the kit charges it',
  ends: 'ends covered',
  'ask-airline': '{wh:Wh}: by air only with the airline’s word',
  'not-by-air': '{wh:Wh}: not by air',
  holds: '{gb} GB, empty',
  'spare-of': 'spare for {lead}',
  'no-spare': 'not in the kit: the lead at the camera is the one that fails first',
  'used-in': 'for {setups}',
  'day-lens': 'of the lenses of the day',
  remember: 'not in the kit: remember it',
  'tool-rig': '{part} on the rig holds it',
  'tool-bag': '{part} of the kit',
  'tool-locker': '{part}: owned, not in the kit, so put it in',
  'tool-pocket': 'a coin of your own does',
  'tool-missing': 'not owned; {part} would be one',
}
export const noteWords = ({ code, numbers, names }: PackNote, style: Style): string =>
  fill(notes[code], numbers, { ...names, time: hours(numbers['minutes'] ?? 0) }, style)
/** Notes of something that is wrong or missing. */
export const isWarning = ({ code }: PackNote): boolean =>
  code === 'tool-missing' ||
  code === 'tool-locker' ||
  code === 'no-charger' ||
  code === 'not-by-air' ||
  code === 'no-spare' ||
  code === 'ask-airline'

/** Where the locker says that the pieces of each part lie. */
export const placesIn = (
  pieces: readonly Pick<LockerPiece, 'partId' | 'place' | 'state'>[],
): ReadonlyMap<string, string> => {
  const all = new Map<string, Set<string>>()
  for (const { partId, place, state } of pieces)
    if (place && state === 'kept') all.set(partId, (all.get(partId) ?? new Set()).add(place))
  return new Map([...all].map(([partId, places]) => [partId, [...places].join(', ')]))
}

/** The bag as a table: what, how many, how heavy, where it lies, what to mind. */
export const packCsv = ({ lines }: PackList, places: ReadonlyMap<string, string>, style: Style): string =>
  writeCsv(
    ['group', 'what', 'count', 'mass (g)', 'lies in', 'notes'],
    lines.map(({ group, name, count, grams, partId, notes: own }) => [
      groupTitles[group],
      name,
      count,
      grams > 0 ? Math.round(grams) : '',
      places.get(partId ?? '') ?? '',
      own.map((one) => noteWords(one, style)).join('; '),
    ]),
  )
