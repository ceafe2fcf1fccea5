import {
  degrees,
  figure,
  fill,
  grams,
  headline,
  holdWords,
  hoursMinutes,
  millimetres,
  money,
  refusal,
  signed,
} from './wording.ts'

const style = { currency: 'EUR', units: 'metric' as const }

test.each([
  [grams(2214), '2,214 g'],
  [grams(28.349523125 * 78.1, 'imperial'), '78.1 oz'],
  [millimetres(4.25), '4.3 mm'],
  [millimetres(14.4), '14 mm'],
  [millimetres(25.4, 'imperial'), '1.00 in'],
  [degrees(-4.64), '−4.6°'],
  [money(41200, 'EUR'), '€412.00'],
  [money(-900, 'EUR'), '−€9.00'],
  [signed(64, grams), '+64 g'],
  [signed(-22, millimetres), '−22 mm'],
  [signed(0, grams), '0 g'],
  [hoursMinutes(45), '45 s'],
  [hoursMinutes(175), '2 min 55 s'],
])('%s', (got, wanted) => {
  expect(got).toBe(wanted)
})

test.each([
  ['g', '12 g'],
  ['N m', '12.00 N m'],
  ['mm', '12 mm'],
  ['deg', '12.0°'],
  ['minor', '€0.12'],
  ['min', '12 min'],
  ['times', '12.00 ×'],
  [undefined, '12'],
] as const)('12 in %s', (unit, words) => expect(figure(12, unit, style)).toBe(words))

test('a time that is less has a minus and is split as one that is more', () => {
  expect([-53, -77, 0, 317].map(hoursMinutes)).toEqual(['−53 s', '−1 min 17 s', '0 s', '5 min 17 s'])
})

test('a unit nobody knows is the message’s fault and is said', () => {
  expect(() => fill('{massG:stone}', { massG: 1 }, {}, style)).toThrow('There is no unit "stone"')
})

test('messages are filled with names and measured numbers; what is missing stays visible', () => {
  expect(fill('{part} weighs {massG:g}, not {otherG:g}.', { massG: 1200 }, { part: 'Cage' }, style)).toBe(
    'Cage weighs 1,200 g, not {otherG:g}.',
  )
})

test('a name is never read as a pattern', () => {
  expect(fill('{part}', {}, { part: '$& {massG:g}' }, style)).toBe('$& {massG:g}')
  // A day is not broken over two lines behind one of its hyphens; a name with hyphens may be.
  expect(fill('On {day}: {part}.', {}, { day: '2026-11-17', part: 'screw-on shoe' }, style)).toBe(
    'On 2026-\u206011-\u206017: screw-on shoe.',
  )
})

test('the first sentence is the headline', () => {
  expect(headline('Too tall by 3 mm. It is 343 mm.')).toEqual({ head: 'Too tall by 3 mm.', rest: 'It is 343 mm.' })
  expect(headline('Nothing more')).toEqual({ head: 'Nothing more', rest: '' })
  expect(headline('Over by 2.5 mm. Cut it.').head).toBe('Over by 2.5 mm.')
})

test('a refusal is worded, an unknown one too', () => {
  expect(refusal({ code: 'rail-too-short', path: '', numbers: { railMm: 20, clampMm: 30 } }, style)).toBe(
    'the rail is 20 mm long, its clamp needs 30 mm',
  )
  expect(refusal({ code: 'odd', path: '' }, style)).toContain('odd')
})

test('holding times are rounded as far as they are known', () => {
  expect([holdWords(Infinity), holdWords(61), holdWords(12.4), holdWords(1.1), holdWords(0)]).toEqual([
    'long',
    'long',
    '12 min',
    '66 s',
    '0 s',
  ])
})
