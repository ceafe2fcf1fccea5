import { type AddressInfo, connect } from 'node:net'
import { setTimeout as wait } from 'node:timers/promises'
import { firstMark, secondMark } from '@zucchini/demo/scenario'
import type { Frame, Sample } from '@zucchini/contract'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
let base: string
beforeAll(async () => {
  kit = await startKit()
  await kit.app.listen({ port: 0, host: '127.0.0.1' })
  base = `http://127.0.0.1:${(kit.app.server.address() as AddressInfo).port}`
})
afterAll(() => kit.close())

const start = async (more: object = {}) => {
  const answer = await kit.ask('POST', '/api/rehearsals', { rig: secondMark, setup: 'crossing', speed: 240, ...more })
  expect(answer.status).toBe(201)
  return answer.body as { id: string; frame: Frame }
}

/** Follows a rehearsal until a frame is the wanted one; what came on the way is handed back. */
const follow = async (id: string, wanted: (frame: Frame) => boolean): Promise<{ samples: Sample[]; frame: Frame }> => {
  const response = await fetch(`${base}/api/rehearsals/${id}/stream`)
  expect(response.headers.get('content-type')).toBe('text/event-stream')
  expect(response.headers.get('content-security-policy')).toContain("default-src 'self'")
  let text = ''
  const samples: Sample[] = []
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += new TextDecoder().decode(chunk)
    const messages = text.split('\n\n')
    text = messages.pop() ?? ''
    for (const message of messages) {
      const [event, data] = message.split('\n').map((line) => line.slice(line.indexOf(':') + 2))
      if (event !== 'frame') continue
      const frame = JSON.parse(data ?? '') as Frame
      samples.push(...frame.samples)
      if (!wanted(frame)) continue
      // Leaving the loop lets go of the stream.
      return { samples, frame }
    }
  }
  throw new Error('the stream ended too early')
}

test('the demo’s day is played to its end: packs are changed, nothing goes dark, and the energy adds up', async () => {
  const { id, frame: first } = await start()
  expect(first).toMatchObject({
    simulated: true,
    second: 0,
    over: false,
    swaps: 0,
    phase: { name: 'setting up on the slip' },
  })
  expect(first.packs.map(({ percent }) => percent)).toEqual([100, 100, 100, 100, 100, 100, 100])
  const { frame } = await follow(id, ({ over }) => over)
  expect(frame.second).toBe(360 * 60)
  expect(frame.events.filter(({ what }) => what === 'dark')).toEqual([])
  expect(frame.swaps).toBeGreaterThanOrEqual(4)
  expect(frame.usedWh + frame.storedWh + frame.lostWh).toBeCloseTo(frame.outWh + frame.wallWh, 6)
  // What the day plan says without playing: 41.6 Wh by the camera, 34.1 by the monitor.
  expect(frame.usedWh).toBeCloseTo(41.6 + 34.1, 0)
  // Who comes late gets all of the chart, each point once and in order.
  const seconds = (await follow(id, () => true)).samples.map(({ second }) => second)
  expect(seconds.length).toBeGreaterThan(100)
  expect(seconds[0]).toBe(0)
  expect(seconds).toEqual([...new Set(seconds)].sort((a, b) => a - b))
})

test('paused it stands still; a cold snap and forgotten packs change what comes', async () => {
  const { id } = await start({ speed: 60 })
  await follow(id, ({ second }) => second > 600)
  const paused = (await kit.ask('POST', `/api/rehearsals/${id}`, { paused: true })).body as Frame
  const later = (await kit.ask('POST', `/api/rehearsals/${id}`, {})).body as Frame
  expect(later.second).toBe(paused.second)
  const spares = later.packs.filter(({ seat }) => seat === null).map((pack) => pack.id)
  expect(spares.length).toBe(5)
  await kit.ask('POST', `/api/rehearsals/${id}`, { paused: false, speed: 240, celsius: -10, forgotten: spares })
  const { frame } = await follow(id, ({ events }) => events.some(({ what }) => what === 'dark'))
  expect(frame.disturbance).toMatchObject({ celsius: -10 })
  expect(frame.pieces.some(({ dark }) => dark)).toBe(true)
  const again = (await kit.ask('POST', `/api/rehearsals/${id}`, { again: true })).body as Frame
  expect(again).toMatchObject({ second: 0, swaps: 0, events: [] })
  expect((await kit.ask('DELETE', `/api/rehearsals/${id}`)).status).toBe(204)
  expect((await kit.ask('POST', `/api/rehearsals/${id}`, {})).status).toBe(404)
})

test.each([
  ['a speed of nothing', { speed: 0 }, 400],
  ['a speed beyond all', { speed: 1e9 }, 400],
  ['a set-up nobody knows', { setup: 'nowhere' }, 400],
  ['no rig', { rig: {} }, 400],
  [
    'a rig that names a part nobody has',
    { rig: { ...firstMark, kit: [{ id: 'camera', partId: 'ghost', status: 'in' }] } },
    422,
  ],
])('refused: %s', async (_, more, status) => {
  const answer = await kit.ask('POST', '/api/rehearsals', { rig: secondMark, setup: 'crossing', ...more })
  expect(answer.status).toBe(status)
  expect(JSON.stringify(answer.body)).toMatch(/"message":"\S/)
})

test.each([{ celsius: 400 }, { speed: -1 }, { turnedUp: ['no such id!'] }, { paused: 'yes' }, { unknown: 1 }])(
  'a change that makes no sense is refused: %j',
  async (change) => {
    const { id } = await start()
    expect((await kit.ask('POST', `/api/rehearsals/${id}`, change)).status).toBe(400)
  },
)

test('changes that come at the same moment all count: none is taken back by what was stored before it', async () => {
  const { id } = await start({ speed: 1 })
  const change = async (what: object) => {
    const { status, body } = await kit.ask('POST', `/api/rehearsals/${id}`, what)
    expect(status).toBe(200)
    return body as Frame
  }
  for (let round = 0; round < 60; round++) {
    const [paused, speed, celsius] = [round % 2 === 0, 1 + round, round - 10]
    // One comes while the one before it is being stored.
    const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
    const sent = [change({ paused })]
    await after(round % 6)
    sent.push(change({ speed }))
    await after(round % 4)
    sent.push(change({ celsius }))
    await Promise.all(sent)
    const now = await change({})
    expect([round, now.paused, now.speed, now.disturbance.celsius]).toEqual([round, paused, speed, celsius])
  }
})

test('the oldest gives way when too many are played, and an unknown one is refused in words', async () => {
  const { id } = await start()
  for (let i = 0; i < 8; i++) await start()
  const gone = await kit.ask('GET', `/api/rehearsals/${id}/stream`)
  expect(gone.status).toBe(404)
  expect(gone.body).toMatchObject({
    error: { code: 'rehearsal-unknown', message: 'This rehearsal was put away. Start it again.' },
  })
})

test('who hangs up before the first frame is there leaves nothing running', async () => {
  const { id } = await start()
  // Another server has to look the rehearsal up first, and the database takes its time.
  const other = await startKit({ keep: true })
  const ask = other.db.query.bind(other.db)
  let asked: () => void = () => undefined
  const looking = new Promise<void>((done) => (asked = done))
  other.db.query = (async (...args: Parameters<typeof ask>) => {
    asked()
    await wait(100)
    return ask(...args)
  }) as typeof ask
  await other.app.listen({ port: 0, host: '127.0.0.1' })
  const { port } = other.app.server.address() as AddressInfo
  const ticking = () => process.getActiveResourcesInfo().filter((one) => one === 'Timeout').length
  const before = ticking()
  const socket = connect(port, '127.0.0.1')
  socket.write(`GET /api/rehearsals/${id}/stream HTTP/1.1\r\nhost: 127.0.0.1:4310\r\n\r\n`)
  await looking
  socket.destroy()
  // The look-up ends in that time; what else the process waits for comes and goes, a stream that is left runs on.
  await wait(400)
  for (let tries = 0; tries < 30 && ticking() > before; tries++) await wait(100)
  expect(ticking()).toBeLessThanOrEqual(before)
  await other.close()
})
