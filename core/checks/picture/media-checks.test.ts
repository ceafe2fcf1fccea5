import type { Part } from '../../catalogue/index.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { wiredRig } from '../../testing/wired.ts'
import { driveCovers } from '../clearance/drive-covers.ts'
import { driveSlow } from './drive-slow.ts'
import { driveUnheld } from './drive-unheld.ts'
import { recordTimeShort } from './record-time-short.ts'
import { testCheck } from '../tester.ts'

const card = (gb: number, writeMBs = 90) =>
  tinyPart({ id: 'card', role: 'card', media: { stores: { gb, writeMBs, readMBs: 100, kind: 'sd' } } })
/** An hour of rolling at 100 Mbps: 78 min with some to spare. */
const hour = { phases: [{ name: 'rolling', kind: 'roll' as const, minutes: 60, mains: false }] }
const recording = (parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig(parts, [], [], { brief: hour, extra })
/** What 78 min at 100 Mbps fill, on cards of which 0.93 is used. */
const JUST_GB = (78 * 60 * 100) / 8000 / 0.93

testCheck(recordTimeShort, {
  speaks: [
    {
      name: 'no card',
      message: 'none',
      level: 'risk',
      numbers: { roomMin: 0, neededMin: 78 },
      remedies: 1,
      ...recording([], [card(64)]),
    },
    {
      name: '50 GB: 62 min; one more cures it',
      message: 'short',
      numbers: { roomMin: 62, neededMin: 78 },
      remedies: 1,
      ...recording([card(50)]),
    },
  ],
  silent: [{ name: 'to the minute', message: 'enough', numbers: { roomMin: 78 }, ...recording([card(JUST_GB)]) }],
})

testCheck(driveSlow, {
  speaks: [
    {
      name: '10 MB/s for a stream of 12.5 with some to spare',
      message: 'slow',
      level: 'risk',
      numbers: { wantedMBs: 16.25, writeMBs: 10 },
      parts: ['card', 'camera'],
      remedies: 1,
      ...recording([card(100, 10)]),
    },
  ],
  silent: [{ name: '16.25 MB/s', message: 'keeps', numbers: { writeMBs: 16.25 }, ...recording([card(100, 16.25)]) }],
})

const drive = (foot: string) =>
  tinyPart({
    id: 'drive',
    role: 'drive',
    mounts: [plug('foot', foot)],
    media: { stores: { gb: 1000, writeMBs: 400, readMBs: 400, kind: 'drive' } },
  })
testCheck(driveUnheld, {
  speaks: [
    {
      name: 'in the kit, on nothing',
      message: 'loose',
      level: 'risk',
      parts: ['drive'],
      remedies: 1,
      ...wiredRig([drive('thread-1/4')], []),
    },
  ],
  silent: [
    {
      name: 'on a screw',
      message: 'held',
      ...wiredRig([drive('thread-1/4')], [on('drive', 'foot', 'camera', 'hole')]),
    },
  ],
})

const bar = tinyPart({ id: 'bar', mounts: [plug('foot', 'thread-1/4'), socket('more', 'shoe-cold', [0, 20, 0])] })
testCheck(driveCovers, {
  speaks: [
    {
      name: 'on the only shoe',
      message: 'last',
      level: 'hint',
      numbers: { open: 0 },
      parts: ['drive'],
      ...wiredRig([drive('shoe-cold')], [on('drive', 'foot', 'camera', 'shoe')]),
    },
  ],
  silent: [
    {
      name: 'one more is open',
      message: 'room',
      numbers: { open: 1, wanted: 1 },
      ...wiredRig(
        [drive('shoe-cold'), bar],
        [on('drive', 'foot', 'camera', 'shoe'), on('bar', 'foot', 'camera', 'hole')],
      ),
    },
  ],
})
