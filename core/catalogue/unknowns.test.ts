import { evaluate } from '../assess/index.ts'
import { asKnown } from '../money/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { isUnknown, nowKnown, nowUnknown, type Part, partIssues, partSchema } from './index.ts'

const box = (more: Partial<Part> = {}) => tinyPart({ id: 'box', mounts: [plug('foot', 'thread-1/4')], ...more })
const unweighed = box({ massG: 0, unknown: ['massG'] })

test('a mass of nothing is refused unless it is said to be unknown', () => {
  expect(partSchema.safeParse(unweighed).success).toBe(true)
  expect(partIssues(unweighed).map(({ code }) => code)).not.toContain('mass-missing')
  expect(partIssues(box({ massG: 0 })).map(({ code }) => code)).toContain('mass-missing')
})

test('what is unknown becomes known and the other way round', () => {
  expect(nowKnown(unweighed, 'massG')).not.toHaveProperty('unknown')
  expect(isUnknown(nowUnknown(box(), 'drawW'), 'drawW')).toBe(true)
  // Weighed in the locker, it is known.
  const [known] = asKnown([unweighed], new Map(), new Map([['box', 84]]))
  expect([known?.massG, known && isUnknown(known, 'massG')]).toEqual([84, false])
})

test('with an unweighed piece the rig weighs at least what the rest does, and no cap is told to be kept', () => {
  const { rig, context } = tinyRig([unweighed], [on('box', 'foot', 'camera', 'hole')], { brief: { inHandG: 1100 } })
  const { mass, findings } = evaluate(rig, 'main', context)
  expect([mass.inHandG, mass.unknown.map(({ part }) => part.id)]).toEqual([1000, ['box']])
  expect(findings.find(({ check }) => check === 'over-mass')).toMatchObject({
    message: 'unweighed',
    group: 'cannotTell',
    parts: ['box'],
  })
  const known = {
    ...context,
    catalogue: { ...context.catalogue, parts: new Map(context.catalogue.parts).set('box', box()) },
  }
  expect(evaluate(rig, 'main', known).findings.some(({ check }) => check === 'over-mass')).toBe(false)
})
