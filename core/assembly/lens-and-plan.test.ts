import { emptyBrief } from '../brief/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { zoom } from '../testing/glass.ts'
import { edit, liftRig, rigSchema, soundnessIssues } from './index.ts'

const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const { rig, context } = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')], { extra: [zoom()] })
const done = (...commands: Parameters<typeof edit>[1]) => {
  const edited = edit(rig, commands, context.catalogue)
  if (!edited.ok) throw new Error(edited.issues[0]?.code)
  return edited.value
}

test('a rig of version 4 knew no lenses, no exposure and no monthly money: it comes out with the usual ones', () => {
  const { light: _, lenses: __, fieldsMm: ___, monthlyMinor: ____, ...before } = rig.brief
  const lifted = rigSchema.safeParse(liftRig({ ...rig, version: 4, brief: before }))
  expect(lifted.success && lifted.data.brief).toMatchObject({
    light: emptyBrief.light,
    lenses: [],
    fieldsMm: [],
    monthlyMinor: 0,
  })
  // What it knew stays.
  expect(lifted.success && lifted.data.kit).toEqual(rig.kit)
})

test('a word on a piece, and its being taken back, change nothing else', () => {
  const said = done({ do: 'tier', instance: 'cube', tier: 'may' })
  expect(said.kit.find(({ id }) => id === 'cube')?.tier).toBe('may')
  expect(said.setups).toBe(rig.setups)
  expect(done({ do: 'tier', instance: 'cube', tier: 'must' }, { do: 'tier', instance: 'cube' })).toEqual(rig)
  expect(edit(rig, [{ do: 'tier', instance: 'nobody', tier: 'may' }], context.catalogue)).toMatchObject({ ok: false })
})

test('the month a set-up is needed by is set, kept when its weight changes with it, and taken away', () => {
  const needed = done({ do: 'need', setup: 'main', neededBy: '2026-12', weight: 40 })
  expect(needed.setups[0]).toMatchObject({ neededBy: '2026-12', weight: 40 })
  expect(done({ do: 'need', setup: 'main', neededBy: '2026-12' }, { do: 'need', setup: 'main' }).setups[0]).toEqual(
    rig.setups[0],
  )
  expect(rigSchema.safeParse({ ...rig, setups: [{ ...rig.setups[0], neededBy: '2026-13' }] }).success).toBe(false)
})

test('a lens kit names lenses that are known', () => {
  const withKit = (partId: string) => ({ ...rig, brief: { ...rig.brief, lenses: [{ partId, share: 50 }] } })
  expect(soundnessIssues(withKit('lens'), context.catalogue)).toEqual([])
  for (const wrong of ['unheard-of', 'cube'])
    expect(soundnessIssues(withKit(wrong), context.catalogue)).toMatchObject([
      { code: 'lens-unknown', path: 'brief.lenses[0]' },
    ])
})
