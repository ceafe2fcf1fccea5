import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { catalogueOf } from '../catalogue/index.ts'
import { evaluate, packListOf, toolPlacesOf } from './index.ts'

const catalogue = catalogueOf(demoParts)
const owned = new Map(Object.entries(demoLocker))
const day = (more: { kit?: readonly string[]; owned?: ReadonlyMap<string, number> } = {}) => {
  const kit = [...secondMark.kit, ...(more.kit ?? []).map((id) => ({ id, partId: id, status: 'in' as const }))]
  const rig = { ...secondMark, kit }
  return rig.setups.map(({ id }) => evaluate(rig, id, { catalogue, owned: more.owned ?? owned }))
}
const at = (tool: string, of = day()) => toolPlacesOf(of, [tool])[0]

test('a key nobody has is missing, with the lightest part that would be it', () => {
  expect(at('4 mm key')).toEqual({
    tool: '4 mm key',
    at: 'missing',
    part: { id: 'reedsmith-hex-4', name: 'Reedsmith 4 mm hex key' },
  })
  expect(at('9 mm key')).toEqual({ tool: '9 mm key', at: 'missing' })
})

test('in the kit it is in the bag; owned only, it lies elsewhere; a coin is always there', () => {
  expect(at('4 mm key', day({ kit: ['typha-multi'] }))).toMatchObject({ at: 'bag', part: { id: 'typha-multi' } })
  const keys = new Map([...owned, ['reedsmith-keys', 1] as const])
  expect(at('4 mm key', day({ owned: keys }))).toMatchObject({ at: 'locker', part: { id: 'reedsmith-keys' } })
  // The coin driver of the demo's drawer is owned, and nobody has to fetch it.
  expect(at('coin')).toEqual({ tool: 'coin', at: 'pocket' })
})

test('a tool that a part of every set-up holds lives on the rig; of one set-up only it does not', () => {
  const holding = (id: string) =>
    catalogueOf(demoParts.map((part) => (part.id === id ? { ...part, serves: ['4 mm key'] } : part)))
  const with4 = (id: string) =>
    secondMark.setups.map((setup) => evaluate(secondMark, setup.id, { catalogue: holding(id), owned }))
  expect(at('4 mm key', with4('sedgewick-half-h1'))).toMatchObject({ at: 'rig' })
  // The gimbal set-up has no top handle: there it is in the bag at best.
  expect(at('4 mm key', with4('sedgewick-top-14'))).toMatchObject({ at: 'bag' })
})

test('the bag says of each tool where it is', () => {
  const tools = packListOf(day()).lines.filter(({ group }) => group === 'tools')
  expect(tools.map(({ name, notes }) => [name, notes.map(({ code }) => code)])).toEqual(
    expect.arrayContaining([['4 mm key', ['tool-missing']]]),
  )
})
