import { placeSetup } from '../assembly/index.ts'
import { on, plug, tinyPart } from '../testing/index.ts'
import { link, usbLead, wiredRig } from '../testing/wired.ts'
import { dayGb, offloadMinutes, recordingsOf, recordMinutes, wantedMBs } from './index.ts'

test('minutes, gigabytes and speeds by hand', () => {
  // 128 GB x 8000 Mb / 200 Mbps = 5120 s = 85.33 min, 0.93 of it.
  expect(recordMinutes(128, 200)).toBeCloseTo(79.36, 9)
  // 132 min at 200 Mbps is 198 GB; 1.3 to spare, and 0.93 of a card is filled.
  expect(dayGb(132, 200)).toBeCloseTo((198 * 1.3) / 0.93, 9)
  expect(offloadMinutes(240, 200)).toBeCloseTo(20, 9)
  expect(wantedMBs(200)).toBeCloseTo(32.5, 9)
})

const card = (id: string, gb: number, kind = 'sd') =>
  tinyPart({ id, role: 'card', media: { stores: { gb, writeMBs: 90, readMBs: 100, kind } } })
const drive = tinyPart({
  id: 'drive',
  role: 'drive',
  mounts: [plug('back', 'thread-1/4')],
  sockets: [{ id: 'data', connector: 'usb-c', direction: 'both', at: [0, 10, 10], out: [0, 0, 1], carries: ['data'] }],
  media: { stores: { gb: 1000, writeMBs: 400, readMBs: 400, kind: 'drive' } },
})
const recordingsFor = (tiny: ReturnType<typeof wiredRig>, codec = '') => {
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  return recordingsOf(placeSetup(tiny.rig, setup, tiny.context.catalogue), 60, codec)
}

test('cards of the kit count when the slot takes their kind; a drive when a lead joins it', () => {
  const cards = recordingsFor(wiredRig([card('one', 100), card('two', 50), card('other', 999, 'fast')], []))[0]
  expect(cards?.media.map(({ id }) => id)).toEqual(['one', 'two'])
  // 150 GB at 100 Mbps: 200 min, 0.93 of it; an hour with 1.3 to spare is 78 min.
  expect(cards?.minutes).toBeCloseTo(186, 9)
  expect(cards?.neededMin).toBeCloseTo(78, 9)
  // 60 min at 100 Mbps are 45 GB, 58.5 with 1.3 to spare; at 100 MB/s 9.75 min. The room they take on cards is a
  // thirteenth more.
  expect(cards?.writtenGb).toBeCloseTo(58.5, 9)
  expect(cards?.offloadMin).toBeCloseTo(9.75, 9)
  expect(offloadMinutes(dayGb(60, 100), 100)).toBeCloseTo(9.75 / 0.93, 9)
  const onDrive = (links: Parameters<typeof wiredRig>[2]) =>
    recordingsFor(wiredRig([drive, usbLead()], [on('drive', 'back', 'camera', 'hole')], links))[0]
  expect(onDrive([link('usb', 'camera/usb', 'drive/data')])?.media.map(({ id, onRig }) => [id, onRig])).toEqual([
    ['drive', true],
  ])
  expect(onDrive([])).toMatchObject({ media: [], minutes: 0, offloadMin: Infinity })
})

test('a recording the camera can not make is planned as its usual one', () => {
  expect(recordingsFor(wiredRig([], []), 'raw')[0]?.codec.id).toBe('uhd')
})
