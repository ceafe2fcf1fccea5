import { evaluate } from '@zucchini/core/assess'
import { secondMark } from '@zucchini/demo/scenario'
import { demoContext, first, second } from '../testing/demo.ts'
import { posterOf } from './poster.ts'

const style = { currency: 'EUR', units: 'metric' as const }
const parsed = (text: string) => new DOMParser().parseFromString(text, 'image/svg+xml')
const wordsOf = (svg: Document) => [...svg.querySelectorAll('text')].map(({ textContent }) => textContent)

test.each([
  ['first', first()],
  ['second', second()],
  ['second, on the tripod', second('slip')],
])(
  'the poster of the %s mark stands alone: well-formed, A4, both views, nothing that is no number',
  (_, assessment) => {
    const svg = posterOf(assessment, style)
    const document = parsed(svg)
    expect(document.querySelector('parsererror')).toBeNull()
    expect(svg).not.toMatch(/NaN|undefined|Infinity|var\(/)
    expect([document.documentElement.getAttribute('width'), document.documentElement.getAttribute('height')]).toEqual([
      '297mm',
      '210mm',
    ])
    for (const { instance } of assessment.assembly.placed)
      expect(document.querySelectorAll(`[data-piece="${instance.id}"]`).length).toBeGreaterThanOrEqual(2)
  },
)

test('figures stand as the bench has them, with their limits; what is over is red', () => {
  const figure = (svg: Document, id: string) => [...svg.querySelectorAll(`[data-figure="${id}"] text`)]
  const good = parsed(posterOf(second(), style))
  expect(figure(good, 'in-hand').map(({ textContent }) => textContent)).toEqual([
    'In the hand',
    '2,276 g',
    'of 2,600 g',
  ])
  expect(figure(good, 'runs').map(({ textContent }) => textContent)).toEqual(['Runs', '6 h 00', 'of 6 h 00'])
  expect(figure(good, 'runs')[1]?.getAttribute('fill')).not.toBe('#b23b22')
  expect(wordsOf(good)).toContain('no stop open')
  const bad = parsed(posterOf(first(), style))
  expect(figure(bad, 'in-hand')[1]?.getAttribute('fill')).toBe('#b23b22')
  expect(figure(bad, 'runs')[1]?.getAttribute('fill')).toBe('#b23b22')
  expect(wordsOf(bad).some((words) => /^\d+ stops open$/.test(words ?? ''))).toBe(true)
})

test('side and front stand at one scale on one ground line, and their dimensions are those of the rig', () => {
  const assessment = second()
  const svg = parsed(posterOf(assessment, style))
  const words = wordsOf(svg)
  const { tallMm, longMm, wideMm } = assessment.size
  expect(words.filter((one) => one === `${Math.round(tallMm)} mm`)).toHaveLength(3)
  for (const mm of [longMm, wideMm]) expect(words).toContain(`${Math.round(mm)} mm`)
  const heights = [...svg.querySelectorAll('path')]
    .map((one) => /^M[\d.]+ ([\d.]+)h10M[\d.]+ ([\d.]+)h10/.exec(one.getAttribute('d') ?? ''))
    .flatMap((found) => (found ? [[Number(found[1]), Number(found[2])]] : []))
  expect(heights).toHaveLength(2)
  expect(heights[0]?.[0]).toBeCloseTo(heights[1]?.[0] ?? 0, 1)
  expect(heights[0]?.[1]).toBeCloseTo(heights[1]?.[1] ?? 0, 1)
})

test('a name with signs of its own is text, not markup', () => {
  const named = { ...secondMark, name: '<b>Ferry & "co"</b>' }
  const crossing = evaluate(named, 'crossing', demoContext)
  expect(parsed(posterOf(crossing, style)).querySelector('title')?.textContent).toContain('<b>Ferry & "co"</b>')
})
