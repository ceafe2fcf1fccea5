import type { MateCode } from '@zucchini/core/catalogue'

/**
 * Every refusal the server gives: its status and what a person should do about it. Docs and tests hold to this table.
 */
export const errorTable = {
  'not-found': [404, 'There is nothing under this address.'],
  'bad-address': [400, 'This address can not be read. Check what was typed or pasted.'],
  'rig-unknown': [404, 'There is no such rig. Go back to the shelf and open another.'],
  'rig-put-away': [
    410,
    'This rig was taken off the shelf. Nothing of it is lost: put it back, or go on with a new rig.',
  ],
  'part-unknown': [404, 'The catalogue has no such part.'],
  'revision-unknown': [404, 'This rig has no such revision.'],
  'rehearsal-unknown': [404, 'This rehearsal was put away. Start it again.'],
  'rig-exists': [409, 'A rig with this id is already on the shelf. Give the new one another id.'],
  'saved-elsewhere': [409, 'This rig was saved from another window in the meantime. Choose which version to keep.'],
  'part-exists': [409, 'The catalogue already has a part with this id. Choose another id.'],
  'part-changed': [409, 'This part was changed from another window in the meantime. Look at it again before saving.'],
  'part-holds-rigs': [409, 'Rigs on the shelf would come apart with this change. Take the part off them first.'],
  'part-owned': [409, 'The locker still holds pieces of this part. Set its count to nil first.'],
  'part-shipped': [403, 'Parts that came with the program stay as they are. Make a copy and change that.'],
  'unsound-part': [422, 'This part does not hold together as data.'],
  'piece-unknown': [404, 'This piece is not in the locker any more.'],
  'price-unknown': [404, 'The ledger has no such price any more.'],
  'piece-exists': [409, 'A piece with this id is already in the locker. Give the new one another id.'],
  'piece-changed': [409, 'This piece was changed from another window in the meantime. Look at it again before saving.'],
  'pieces-described': [409, 'The pieces left have details of their own. Choose in the locker which one goes.'],
  'price-exists': [409, 'This shop’s price of that day is in the ledger already.'],
  'currency-unknown': [422, 'There is no rate for this currency yet. Enter one first.'],
  'future-date': [422, 'A day lies in the future. Nothing has happened yet that is to come.'],
  'restore-under-way': [409, 'A backup is being read in already. Wait until that is done.'],
  'scale-gone': [409, 'The scale is not plugged in. Nothing was changed; plug it in and weigh again.'],
  'scale-unsteady': [409, 'The scale has not come to rest. Nothing was changed; wait a moment.'],
  'scale-empty': [409, 'Nothing lies on the scale. Nothing was changed; lay the piece on it first.'],
  'backup-bad': [422, 'This is not a whole backup of this program. Nothing was changed.'],
  'not-empty': [
    409,
    'There is something stored here already. Say that it may be replaced, or restore into an empty database.',
  ],
  'locker-changed': [409, 'The locker changed in the meantime. Look at the new count and try again.'],
  'limit-refused': [422, 'No check takes this limit. The list says what each of them takes.'],
  malformed: [400, 'What was sent is not in the expected form.'],
  'unsound-rig': [422, 'This rig does not hold together as data.'],
  'too-large': [413, 'That is too much at once. A rig file may have 2 MB at most, a table 16, a backup 200.'],
  'wrong-place': [403, 'This address is not allowed to talk to this server.'],
  'passphrase-wanted': [401, 'Give the passphrase this server was started with.'],
  'too-slow': [408, 'What was sent came too slowly. Try again.'],
  'database-down': [503, 'Storage is down. Nothing that was confirmed is lost; edits wait until it is back.'],
  'disk-full': [507, 'The disk is full, so nothing could be stored. Make room; what waits is stored then by itself.'],
  'too-many': [429, 'Too many requests at once. Wait a moment.'],
  broken: [500, 'Something went wrong on our side. Nothing was changed; the log says more.'],
} as const satisfies Record<string, readonly [status: number, message: string]>

export type ErrorCode = keyof typeof errorTable

/** Why two ends do not go together. */
const mateWords: Readonly<Record<MateCode, string>> = {
  'standards-differ': 'has no end for this: {b} against {a}',
  'same-gender': 'both ends are alike: {b} against {a}',
  'rail-too-short': 'the rail is {railMm:mm} long, its clamp needs {clampMm:mm}',
  'body-unfit': 'made for another body',
  'lens-mount-differs': 'has the {wants} mount, the camera has {holds}',
  'filter-size-differs': 'made for {wants}, the lens has {holds}',
  'spacing-differs': 'its screws stand {screwsMm:mm} apart, the holes {holesMm:mm}',
  'pack-differs': 'the bay takes {holds}, this is {wants}',
  'flange-differs': 'made for {wantsMm:mm} from the sensor, here it sits at {holdsMm:mm}',
  'ring-size-differs': 'closes on {minMm:mm} to {maxMm:mm}, the ring is {ringMm:mm}',
  'clamp-size-differs': 'made for {wants}, the lens front is {holds}',
  'tray-differs': 'the tray takes {holds}, this is {wants}',
}

/**
 * What is said of everything the core can refuse or find wrong, by its code: what it is and what to do. Places take the
 * issue's names and numbers; a number states its unit. Server and page word by this one table, and a test holds it to
 * the core.
 */
export const issueWords: Readonly<Record<string, string>> = {
  ...mateWords,
  'file-too-long': 'a rig file may have two million characters at most',
  'not-json': 'this is not JSON: {reason}',
  'not-a-rig-file': 'this is not a rig file; its format says "{found}" instead of "zucchini-rig-file"',
  'file-too-new': 'this file was made by a newer version of the program; update this one first',
  'not-as-expected': '{reason}',
  'id-repeated': 'the id "{id}" is used twice; give each its own',
  'part-unknown': 'the catalogue has no part "{part}"; add it first or choose another',
  'root-missing': 'what everything hangs on, "{instance}", is not in the kit',
  'root-is-guest': '"{instance}" carries the rig and can not sit on something itself',
  'root-stays': 'the camera carries the rig; swap it instead of leaving it out',
  'last-setup': 'a rig keeps at least one set-up',
  'setup-unknown': 'this rig has no set-up "{id}{setup}" any more',
  'sits-twice': '"{instance}" sits in two places at once',
  'instance-unknown': '"{instance}" is not in the kit',
  'mount-unknown': '{part} has no mounting point "{mount}"',
  'cable-twice': 'the lead "{cable}" is in two places at once',
  'cable-unknown': '"{cable}" is no lead of the kit',
  'holds-no-cable': '"{instance}" can not hold a cable',
  'socket-unknown': '"{instance}" has no socket "{socket}"',
  'currency-unknown': 'there is no rate from {currency} to {home} yet; enter one first',
  'brace-loose': '"{instance}" is braced but does not sit on the rig',
  'pose-unknown': '"{instance}" has no hinge "{hinge}" with a position "{position}"',
  'standard-unknown': 'nobody knows the mounting standard "{standard}"',
  'not-square': 'the height of "{mount}" must stand square to the way it faces',
  'mass-missing': 'give its mass, or say that it is unknown',
  'off-the-skin': '"{mount}" hangs in the air; it must lie on a solid of the part',
  'no-size': '"{typed}" is no size of "{mount}"; write its diameter in mm, such as 77',
  'shares-unknown': 'it shares its place with "{mount}", which the part does not have',
  'hinge-moves-nothing': 'this hinge moves {what}, which the part does not have',
  'lens-unknown': 'the lens kit names "{part}", which is no lens of the catalogue',
  'adapter-backwards':
    'a lens made for {lensMm:mm} from the sensor can not go on a body with {bodyMm:mm}: it would stand too far off; adapters only go from a longer flange to a shorter',
  'adapter-thickness':
    'the adapter is {thickMm:mm} thick and must be {wantsMm:mm}, the difference of the two flange distances, to reach infinity',
  'joints-in-a-ring': '"{instance}" ends up sitting on itself',
  'wrong-encoding': 'the file is neither UTF-8 nor UTF-16; save it again as UTF-8',
  'empty-file': 'there is nothing in this file',
  'too-many-rows': 'there are more than {most} rows; take them in piece by piece',
  'bad-quotes': 'a quotation mark is never closed',
  'column-missing': 'the column "{column}" is missing',
  'part-missing': 'says no part',
  'id-twice': '"{id}" stands on line {line} already',
  formula: '"{cell}" looks like a formula and is not taken in',
  'word-unknown': '"{cell}" is none of {words}',
  'no-day': '"{cell}" is no day, or could be two; write it as 2026-11-25',
  'no-figure': '"{cell}" is no figure',
  negative: '{cell} is less than nothing',
  future: '{day} is in the future',
}
