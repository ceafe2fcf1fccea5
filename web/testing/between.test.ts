import { afterFile } from './between.ts'

const inTime = (ms: number) => new Promise((done) => setTimeout(done, ms))

test('what a file of tests left for later does not happen in the next', async () => {
  const happened: string[] = []
  const once = setTimeout(() => happened.push('once'), 5)
  const ever = setInterval(() => happened.push('ever'), 5)
  afterFile()
  setTimeout(() => happened.push('of the next'), 5)
  await inTime(30)
  // Who sends them away later does no harm.
  clearTimeout(once)
  clearInterval(ever)
  expect(happened).toEqual(['of the next'])
})

test('what it left may begin something else, and that does not happen either', async () => {
  const happened: number[] = []
  const again = (n: number): unknown => setTimeout(() => (happened.push(n), again(n + 1)), 5)
  again(0)
  while (happened.length < 2) await inTime(5)
  afterFile()
  const soFar = happened.length
  await inTime(30)
  expect(happened).toHaveLength(soFar)
})

test('words for a timer are given to it, and one that was sent away is not waited for', async () => {
  const happened: string[] = []
  setTimeout((...words: string[]) => happened.push(...words), 1, 'one', 'two')
  const sentAway = setTimeout(() => happened.push('sent away'), 1)
  clearTimeout(sentAway)
  await inTime(20)
  expect(happened).toEqual(['one', 'two'])
})
