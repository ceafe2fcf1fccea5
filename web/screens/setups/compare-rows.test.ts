import type { Assessment } from '@zucchini/core/assess'
import { second } from '../../testing/demo.ts'
import { compareRows } from './compare-rows.ts'

const style = { units: 'metric', currency: 'EUR' } as const
const row = (a: Assessment, b: Assessment, title: string) => compareRows(a, b, style).find((one) => one.title === title)

test('two set-ups side by side: figures, and by how much the second differs', () => {
  const [crossing, slip] = [second('crossing'), second('slip')]
  expect(row(crossing, slip, 'in the hand')).toMatchObject({ a: '2,276 g', b: '2,190 g', change: '−86 g' })
  expect(row(crossing, slip, 'tall')).toMatchObject({ change: 'the same' })
  expect(row(crossing, slip, 'yaw shake')).toMatchObject({ b: '–', change: '' })
})

test('what can be held long says so, as its card does; minutes are told apart where both have them', () => {
  const crossing = second('crossing')
  const held = (minutes: number | undefined): Assessment =>
    Object.create(crossing, { holdMinutes: { value: minutes } }) as Assessment
  expect(row(held(500), held(undefined), 'held still for')).toMatchObject({ a: 'long', b: '–', change: '' })
  expect(row(held(500), held(16), 'held still for')).toMatchObject({ a: 'long', b: '16 min', change: '' })
  expect(row(held(10), held(16), 'held still for')).toMatchObject({ a: '10 min', b: '16 min', change: '+6 min' })
})
