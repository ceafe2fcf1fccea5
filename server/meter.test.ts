import { trueDrawW } from '@zucchini/core/power'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
let now = 0
beforeAll(async () => {
  kit = await startKit({ clock: () => now })
})
afterAll(() => kit.close())

test('the simulated meter says that it is simulated, reads what is behind it, and rests after a while', async () => {
  expect((await kit.ask('GET', '/api/meter')).body).toMatchObject({
    simulated: true,
    part: null,
    watts: 0,
    steady: false,
  })
  await kit.ask('PUT', '/api/meter', { part: 'calabash-h1' })
  now = 14_000
  const { body } = await kit.ask('GET', '/api/meter')
  const stated = (
    (await kit.ask('GET', '/api/catalogue')).body as { parts: { id: string; power?: { drawW: number } }[] }
  ).parts.find(({ id }) => id === 'calabash-h1')?.power?.drawW
  expect(body).toMatchObject({ part: 'calabash-h1', steady: true })
  expect((body as { meanW: number }).meanW).toBeCloseTo(trueDrawW('calabash-h1', stated ?? 0), 2)
  expect(await kit.ask('PUT', '/api/meter', { part: 'no-such-part' })).toMatchObject({ status: 404 })
  expect((await kit.ask('PUT', '/api/meter', { part: null })).body).toMatchObject({ part: null, watts: 0 })
})
