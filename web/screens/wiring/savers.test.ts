import { edit } from '@zucchini/core/assembly'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { saverCommands, saversFor } from './savers.ts'

const catalogue = catalogueOf(demoParts)
const [setup] = secondMark.setups
const link = setup?.links.find(({ from }) => from.instance === 'camera')
if (!setup || !link) throw new Error('the second mark has a lead from its camera')
const socket = catalogue.parts
  .get(secondMark.kit.find(({ id }) => id === 'camera')?.partId ?? '')
  ?.sockets?.find(({ id }) => id === link.from.socket)
const own = saversFor(catalogue, socket?.connector ?? 'sdi', new Map())

test('offered are the savers that go in, owned ones first', () => {
  expect(own.length).toBeGreaterThan(0)
  expect(own.every(({ coupler }) => coupler?.connector === socket?.connector)).toBe(true)
  const last = own.at(-1)?.id ?? ''
  expect(saversFor(catalogue, socket?.connector ?? 'sdi', new Map([[last, 1]]))[0]?.id).toBe(last)
  expect(saversFor(undefined, 'hdmi-a', new Map())).toEqual([])
})

test('put between, it is bought once; taken out, it lies in the bag and is taken again', () => {
  const partId = own[0]?.id ?? ''
  const after = (rig: typeof secondMark, end: 'from' | 'to', part: string) => {
    const now = rig.setups[0]?.links.find(({ cable }) => cable === link.cable) ?? link
    const edited = edit(rig, saverCommands(rig, setup.id, now, end, part), catalogue)
    if (!edited.ok) throw new Error(JSON.stringify(edited.issues))
    return edited.value
  }
  const linkIn = (rig: typeof secondMark) => rig.setups[0]?.links.find(({ cable }) => cable === link.cable)
  const saved = after(secondMark, 'from', partId)
  expect(linkIn(saved)?.couplers).toEqual({ from: partId })
  expect(saved.kit.length).toBe(secondMark.kit.length + 1)
  const out = after(saved, 'from', '')
  expect(linkIn(out)).toEqual(link)
  const again = after(out, 'from', partId)
  expect(again.kit.length).toBe(saved.kit.length)
})
