import { diameterOf } from './families.ts'

test.each([
  ['77', 77],
  ['77 mm', 77],
  ['Ø77mm', 77],
  ['M77x0.75', 77],
  ['77,0', 77],
  ['40.5', 40.5],
])('"%s" is a size', (typed, mm) => expect(diameterOf(typed)).toBe(mm))

test.each(['large', '', '7 7', '77 mm wide', '-77', '4x5.65', 'NaN', undefined])(
  '"%s" is none, and never NaN',
  (typed) => expect(diameterOf(typed)).toBeUndefined(),
)
