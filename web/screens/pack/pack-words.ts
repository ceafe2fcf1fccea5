import {
  type PackBag,
  type PackGroup,
  packGroups,
  type PackLine,
  type PackList,
  type PackNote,
} from '@zucchini/core/assess'
import { writeCsv } from '@zucchini/core/formats'
import type { LockerPiece } from '@zucchini/core/locker'
import { fill, grams, hours, type Style } from '../../wording.ts'

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
  'short-packs': 'the day takes {needed}, the kit has {have}: buy, borrow or charge between',
  'short-cards': 'the day writes {neededGb} GB, the kit holds {gb} GB: pack more, or empty them between',
  'day-takes': 'the day takes {needed}, {over} to spare',
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
  fill(
    notes[code],
    numbers,
    { ...names, time: hours(numbers['minutes'] ?? 0), over: String(numbers['spare'] || 'none') },
    style,
  )
/** Notes of something that is wrong or missing. */
export const isWarning = ({ code }: PackNote): boolean =>
  code === 'tool-missing' ||
  code === 'tool-locker' ||
  code === 'no-charger' ||
  code === 'not-by-air' ||
  code === 'no-spare' ||
  code === 'short-packs' ||
  code === 'short-cards' ||
  code === 'ask-airline'

/** The lines of a list by the bag they go into: none, where there are bags and it is too long, then the largest first. */
export interface PackPlace {
  readonly key: string
  readonly title: string
  readonly bag: PackBag | undefined
  readonly groups: readonly { readonly group: PackGroup; readonly lines: readonly PackLine[]; readonly grams: number }[]
}
export const packPlaces = ({ lines, bags }: PackList): readonly PackPlace[] => {
  // What goes into none comes first: mostly it is the rig, and the legs under it.
  const places: readonly (PackBag | undefined)[] = [undefined, ...bags]
  return places.flatMap((bag): PackPlace[] => {
    const own = lines.filter((line) => line.bag === bag?.key)
    const groups = packGroups.flatMap((group) => {
      const some = own.filter((line) => line.group === group)
      return some.length > 0 ? [{ group, lines: some, grams: some.reduce((sum, { grams }) => sum + grams, 0) }] : []
    })
    const title = bag?.name ?? (bags.length > 0 ? 'By hand: longer than any bag' : '')
    return groups.length > 0 || bag ? [{ key: bag?.key ?? 'hand', title, bag, groups }] : []
  })
}
/** How full a bag is, by boxes, and how heavy with all that is in it. */
export const bagWords = ({ filled, litres, ownG, grams: own }: PackBag, style: Style): string =>
  `about ${filled.toFixed(1)} of ${litres.toFixed(1)} l, ${grams(own + ownG, style.units)} with the bag`
export const isTight = ({ filled, litres }: PackBag): boolean => filled > litres

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
export const packCsv = ({ lines, bags }: PackList, places: ReadonlyMap<string, string>, style: Style): string =>
  writeCsv(
    ['group', 'what', 'count', 'mass (g)', 'lies in', 'goes in', 'notes'],
    lines.map(({ group, name, count, grams, partId, bag, notes: own }) => [
      groupTitles[group],
      name,
      count,
      grams > 0 ? Math.round(grams) : '',
      places.get(partId ?? '') ?? '',
      bags.find(({ key }) => key === bag)?.name ?? '',
      own.map((one) => noteWords(one, style)).join('; '),
    ]),
  )
