import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { placeSetup, type Setup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { beside, placed } from '../testing/view-rigs.ts'
import { CLOSE_MM, closeFitsOf, invasionsOf } from './index.ts'

const bare = () => 0
/** The spare room of a deck beside a block that stands so far from it, as it is told. */
const spare = (gapMm: number, kind: 'lever' | 'hand' = 'lever') =>
  closeFitsOf(placed(beside(kind, gapMm, false)), bare).map(({ piece, by, spareMm }) => [
    piece.instance.id,
    by.instance.id,
    Math.round(spareMm * 10) / 10,
  ])

test('a room that stays free by 3 mm says so, by the half millimetre as well', () => {
  expect(spare(3)).toEqual([['deck', 'brick', 3]])
  expect(spare(0.5)).toEqual([['deck', 'brick', 0.5]])
})

test('what clears by more is worth no word, and what is in the way is another matter', () => {
  expect(spare(CLOSE_MM)).toEqual([])
  expect(spare(CLOSE_MM + 3)).toEqual([])
  expect(spare(-2)).toEqual([])
})

test('a ring stands close to what it sits on: that says nothing, fingers over the host do', () => {
  const over = (kind: 'turn' | 'hand') => {
    const deck = tinyPart({
      id: 'deck',
      rooms: [{ kind, shape: { kind: 'box', centre: [0, 12, 0], size: [10, 20, 10] }, lost: 'no fingers' }],
      mounts: [plug('foot', 'thread-1/4')],
    })
    return closeFitsOf(placed(tinyRig([deck], [on('deck', 'foot', 'camera', 'hole')])), bare)
  }
  expect(over('turn')).toEqual([])
  // The room begins 2 mm over the camera's top.
  expect(over('hand').map(({ by, spareMm }) => [by.instance.id, Math.round(spareMm * 10) / 10])).toEqual([
    ['camera', 2],
  ])
})

test('under a grip it is the room below that counts', () => {
  expect(spare(3, 'hand')).toEqual([])
})

test('on a whole rig: the closest first, each room once, none that is in the way, all under the bound', () => {
  const assembly = placeSetup(secondMark, secondMark.setups[0] as Setup, catalogueOf(demoParts))
  // It is cold there: a glove takes 8 mm under the grip, and leaves next to nothing.
  const inGloves = (kind: string) => (kind === 'hand' ? 8 : 0)
  const fits = closeFitsOf(assembly, inGloves)
  expect(fits.length).toBeGreaterThan(0)
  const spares = fits.map(({ spareMm }) => spareMm)
  expect(spares).toEqual([...spares].sort((a, b) => a - b))
  expect(Math.max(...spares)).toBeLessThan(CLOSE_MM)
  const rooms = fits.map(({ piece, room }) => `${piece.instance.id} ${piece.part.rooms.indexOf(room)}`)
  expect(new Set(rooms).size).toBe(rooms.length)
  for (const { piece, room } of fits)
    expect(invasionsOf(assembly, piece, room.kind, inGloves(room.kind)).some((one) => one.room === room)).toBe(false)
})
