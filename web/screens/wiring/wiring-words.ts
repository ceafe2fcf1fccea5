import type { OpenLine, SchoolLine } from '@zucchini/core/assess'
import type { Connect } from './connect-list.ts'

/** Why no lead could be found. */
export const openWords: Readonly<Record<OpenLine['why'], string>> = {
  'no-socket': 'Nothing on the rig has a socket for it.',
  'sockets-taken': 'The sockets that would do are taken.',
  'no-plugs': 'No lead in kit, locker or catalogue has the right two ends.',
  voltage: 'Nothing here gives a voltage it bears, with any lead.',
  watts: 'No outlet here gives as much as it draws.',
  'no-room': 'There is no room for a plug in front of its socket.',
  'too-far': 'No lead with the right ends is long enough.',
}

export const schoolWords: Readonly<Record<SchoolLine['school'], readonly [title: string, note: string]>> = {
  own: ['Its own packs', 'packs in the body, changed when they are empty'],
  trickle: ['USB-C beside its pack', 'the pack stays as a buffer and survives a dead brick'],
  dummy: ['A dummy pack', 'one battery for all, nothing to change in the body'],
}
export const schoolWhy: Readonly<Record<NonNullable<SchoolLine['why']>, string>> = {
  'no-bay': 'This body has no bay for a pack.',
  'no-part': 'No part in the catalogue goes into its bay.',
  'no-inlet': 'This body takes no power from outside beside its pack.',
  'no-source': 'Nothing on the rig could feed it: put a brick, a slab plate or a power bank on first.',
}

export const stageWords: Readonly<Record<Connect['stage'], string>> = {
  power: 'Power leads first: any difference in charge goes through them.',
  control: 'Data, timecode and trigger.',
  sound: 'Sound.',
  on: 'Now switch on, the camera first.',
  picture: 'Picture last: its socket is the weakest on the camera.',
}
