import { evaluate } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoRigs } from '@zucchini/demo/scenario'
import { svgOf } from './export-svg.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map<string, number>() }
const parsed = (text: string) => new DOMParser().parseFromString(text, 'image/svg+xml')

test.each(demoRigs.flatMap((rig) => rig.setups.map((setup) => [`${rig.id} ${setup.id}`, rig, setup] as const)))(
  '%s: well-formed, every piece drawn in every view',
  (_, rig, setup) => {
    const assessment = evaluate({ ...rig, name: 'Lamp & "Reed" <first>' }, setup.id, context)
    const document = parsed(svgOf(assessment))
    expect(document.querySelector('parsererror')).toBeNull()
    expect(document.querySelector('title')?.textContent).toContain('Lamp & "Reed" <first>')
    for (const { instance } of assessment.assembly.placed)
      expect(document.querySelectorAll(`[data-piece="${instance.id}"]`).length).toBeGreaterThanOrEqual(4)
    for (const { link } of assessment.facts.leads)
      expect(document.querySelectorAll(`[data-lead="${link.cable}"]`)).toHaveLength(4)
    expect(svgOf(assessment)).not.toMatch(/NaN|undefined|Infinity/)
  },
)

test('one view alone carries the overall dimensions', () => {
  const [rig] = demoRigs
  if (!rig) throw new Error('a rig')
  const assessment = evaluate(rig, 'crossing', context)
  const document = parsed(svgOf(assessment, ['side']))
  const words = [...document.querySelectorAll('text')].map(({ textContent }) => textContent)
  expect(words).toContain(`${Math.round(assessment.size.tallMm)} mm`)
})
