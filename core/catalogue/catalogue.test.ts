import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { plug, socket, tinyPart } from '../testing/index.ts'
import { catalogueOf, endName, isStandard, mate, partIssues, partSchema, standardOf, standards } from './index.ts'

const end = (mount: ReturnType<typeof plug>, more = {}) => ({
  part: tinyPart({ id: `p-${mount.id}`, mounts: [mount], ...more }),
  mount,
})

test('the list of standards holds to the directory and to the docs', () => {
  const files = readdirSync(join(import.meta.dirname, 'interfaces'))
    .filter((name) => name !== 'index.ts')
    .map((name) => name.replace('.ts', ''))
  expect(standards.map(({ id }) => id.replaceAll(/[/.]/g, '-')).sort()).toEqual(files.sort())
  expect(standards.map(({ id }) => id)).toEqual(standards.map(({ id }) => id).sort())
  const docs = readFileSync(join(import.meta.dirname, '../../docs/standards.md'), 'utf8')
  for (const { id } of standards) expect(docs).toContain(`\`${id}\``)
})

test('a standard accepts only standards that exist, itself among them', () => {
  for (const { id, accepts } of standards) {
    expect(accepts).toContain(id)
    for (const other of accepts) expect(isStandard(other)).toBe(true)
  }
  expect(() => standardOf('thread-1/3')).toThrow('No mounting standard')
})

test.each([
  ['thread-1/4', 'thread-1/4', true, false],
  ['thread-1/4-pin', 'thread-1/4', true, false],
  ['thread-1/4-pin', 'thread-1/4-pin', true, true],
  ['thread-1/4', 'thread-1/4-pin', false, false],
  ['thread-3/8-pin', 'thread-3/8', true, false],
  ['thread-3/8', 'thread-1/4', false, false],
  ['shoe-hot', 'shoe-cold', true, true],
  ['shoe-cold', 'shoe-hot', false, false],
  ['dovetail-38', 'dovetail-38', true, true],
  ['nato', 'thread-1/4', false, false],
])('%s takes %s: %s, keeps it from turning: %s', (hole, screw, goes, firm) => {
  const made = mate(end(socket('hole', hole, [0, 0, 0], [0, 1, 0], { lengthMm: 60 })), end(plug('foot', screw)))
  expect(made.ok).toBe(goes)
  if (made.ok) expect(made.value.holdsTwist).toBe(firm)
})

test('it makes no difference which end is already on the rig', () => {
  const [hole, screw] = [end(socket('hole', 'thread-1/4', [0, 0, 0])), end(plug('foot', 'thread-1/4'))]
  expect(mate(hole, screw)).toEqual(mate(screw, hole))
})

test('two plugs or two sockets never go together', () => {
  expect(mate(end(plug('a', 'thread-1/4')), end(plug('b', 'thread-1/4')))).toMatchObject({
    ok: false,
    issues: [{ code: 'same-gender' }],
  })
})

test('a body seat goes only on the bodies its part was made for', () => {
  const camera = end(socket('seat', 'body', [0, 0, 0], [0, -1, 0], { family: 'tiny' }))
  expect(mate(camera, end(plug('seat', 'body'), { fits: ['other', 'tiny'] })).ok).toBe(true)
  expect(mate(camera, end(plug('seat', 'body'), { fits: ['other'] }))).toMatchObject({
    ok: false,
    issues: [{ code: 'body-unfit' }],
  })
})

test('the weaker rating of the two ends counts', () => {
  const made = mate(
    end(socket('hole', 'thread-1/4', [0, 0, 0], [0, 1, 0], { limitG: 900 })),
    end(plug('foot', 'thread-1/4', { limitG: 700 })),
  )
  expect(made.ok && made.value.limitG).toBe(700)
})

test('ends are called what they are called at the bench', () => {
  expect(endName(end(plug('foot', 'thread-3/8-pin')))).toBe('pinned 3/8" screw')
  expect(endName(end(socket('top', 'shoe-cold', [0, 0, 0])))).toBe('cold shoe')
})

test.each([
  ['a mass of less than nothing', { massG: -1 }],
  ['a mass that is no number', { massG: Number.NaN }],
  ['a price that falls', { price: { low: 3, usual: 2, high: 4 } }],
  [
    'a solid as large as a house',
    { solids: [{ kind: 'box', centre: [0, 0, 0], size: [10, 10, 99999], matter: 'body' }] },
  ],
  ['a direction that is none', { mounts: [{ ...plug('foot', 'thread-1/4'), out: [0, 0, 0] }] }],
  ['a field nobody knows', { colour: 'red' }],
  ['no solid at all', { solids: [] }],
])('the schema refuses %s', (_, change) => {
  expect(partSchema.safeParse({ ...tinyPart({ id: 'ok' }), ...change }).success).toBe(false)
  expect(partSchema.safeParse(tinyPart({ id: 'ok' })).success).toBe(true)
})

test('a catalogue finds parts by role and by standard, each once', () => {
  const part = tinyPart({ id: 'a', mounts: [plug('x', 'nato'), plug('y', 'nato')] })
  const catalogue = catalogueOf([part, tinyPart({ id: 'b' })])
  expect(catalogue.byStandard.get('nato')).toEqual([part])
  expect(catalogue.byRole.get('adapter')).toHaveLength(2)
})

test('an order can only be stated of points that the part has', () => {
  const given = { id: 'a', mounts: [plug('foot', 'thread-1/4')] }
  expect(partIssues(tinyPart({ ...given, order: { joinedBefore: ['foot'] } }))).toEqual([])
  expect(partIssues(tinyPart({ ...given, order: { joinedBefore: ['roof'] } }))).toEqual([
    { code: 'order-unknown', path: 'order.joinedBefore', names: { mount: 'roof' } },
  ])
})
