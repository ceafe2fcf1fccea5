import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, secondMark } from '@zucchini/demo/scenario'
import { catalogueOf } from '../catalogue/index.ts'
import { evaluate, fitsHere, ghostsOf } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const now = () => evaluate(secondMark, 'crossing', context)
const ids = (commands: Parameters<typeof ghostsOf>[1]) => ghostsOf(now(), commands).map(({ instance }) => instance.id)

test('a handle that slides takes along what rides on it, and nothing else would stand elsewhere', () => {
  const slideMm = (now().assembly.byInstance.get('handle')?.joint?.slideMm ?? 0) + 3
  const moved = ids([{ do: 'set', setup: 'crossing', instance: 'handle', slideMm }])
  expect(moved).toContain('handle')
  const riders = now()
    .assembly.placed.filter(({ host }) => host?.instance.id === 'handle')
    .map(({ instance }) => instance.id)
  expect(riders.length).toBeGreaterThan(0)
  for (const rider of riders) expect(moved).toContain(rider)
  expect(moved).not.toContain('cage')
})

test('a part that would come on is the only ghost; a note, and what can not be done, have none', () => {
  const assessment = now()
  const open = assessment.points.find(({ piece, mount }) => piece.instance.id === 'cage' && mount.id === 'top-rear')
  if (!open) throw new Error('the second mark has an open point there')
  const [fit] = fitsHere(secondMark, 'crossing', open, context, assessment).fits
  const ghosts = ghostsOf(assessment, fit?.commands ?? [])
  expect(ghosts.map(({ part }) => part.id)).toEqual([fit?.part.id])
  expect(ids([{ do: 'note', instance: 'handle', notes: 'the red one' }])).toEqual([])
  expect(ids([{ do: 'set', setup: 'crossing', instance: 'nobody', slideMm: 3 }])).toEqual([])
})

test('looking ahead leaves the rig as it is', () => {
  const assessment = now()
  const before = assessment.assembly.byInstance.get('handle')
  ghostsOf(assessment, [{ do: 'set', setup: 'crossing', instance: 'handle', slideMm: 4 }])
  expect(assessment.assembly.byInstance.get('handle')).toBe(before)
})
