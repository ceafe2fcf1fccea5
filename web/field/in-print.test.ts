import { inPrint } from './in-print.ts'

test('a drawing states its colours in print: paper’s own, black ink, white ground, what is done in grey', () => {
  expect(inPrint('<path fill="var(--d-metal, none)" stroke="var(--ink)"/>')).toBe(
    '<path fill="#d9d9ce" stroke="#000000"/>',
  )
  expect(inPrint('<path fill="color-mix(in srgb, var(--leaf-tint) 55%, transparent)"/>')).toBe('<path fill="#dfead9"/>')
  expect(inPrint('<path fill="var(--d-nothing, none)"/>')).toBe('<path fill="none"/>')
  expect(inPrint('<g class="so-far"><rect fill="var(--card)"/></g>')).toBe(
    '<g opacity="0.45"><rect fill="#ffffff"/></g>',
  )
})
