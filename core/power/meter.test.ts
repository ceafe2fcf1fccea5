import { meterReadingOf, trueDrawW } from './index.ts'

it('swings about what is really drawn, and its mean comes to rest there', () => {
  const meter = { seed: 0, trueW: 10, volts: 7.4 }
  // A quarter of the swing of 7 s: 10 W and 8 % of it.
  expect(meterReadingOf({ ...meter, seconds: 1.75 }).watts).toBe(10.8)
  // Over whole swings the mean is the draw itself.
  expect(meterReadingOf({ ...meter, seconds: 14 }).meanW).toBe(10)
  expect(meterReadingOf({ ...meter, seconds: 1.75 }).volts).toBe(7.3)
})

it('is worth writing down after four seconds, and never with nothing behind it', () => {
  const meter = { seed: 3, trueW: 6, volts: 7.4 }
  expect([3.9, 4].map((seconds) => meterReadingOf({ ...meter, seconds }).steady)).toEqual([false, true])
  expect(meterReadingOf({ ...meter, trueW: 0, seconds: 60 })).toMatchObject({ watts: 0, meanW: 0, steady: false })
})

it('a device draws what it draws: the same each time, within an eighth of what is stated', () => {
  for (const id of ['camera', 'monitor', 'receiver', 'a', '']) {
    expect(trueDrawW(id, 8)).toBe(trueDrawW(id, 8))
    expect(Math.abs(trueDrawW(id, 8) - 8)).toBeLessThanOrEqual(1)
  }
  expect(trueDrawW('camera', 8)).not.toBe(trueDrawW('monitor', 8))
})
