import { type AddressInfo, connect, type Socket } from 'node:net'
import { setTimeout as wait } from 'node:timers/promises'
import fastify, { type FastifyInstance } from 'fastify'
import { streamEvents } from './streams.ts'

let app: FastifyInstance
let told: number
let ended: number
beforeEach(async () => {
  app = fastify({ forceCloseConnections: true })
  told = 0
  ended = 0
  app.get('/events', async (_request, reply) =>
    streamEvents(reply, (send) => {
      // A hundred thousand letters each, as fast as they can be told.
      const timer = setInterval(() => send('x'.repeat(100_000), told++ === 0 ? 'first' : undefined), 1)
      return () => {
        ended++
        clearInterval(timer)
      }
    }),
  )
  await app.listen({ port: 0, host: '127.0.0.1' })
})
afterEach(() => app.close())

const listen = (): Socket => {
  const socket = connect((app.server.address() as AddressInfo).port, '127.0.0.1')
  socket.write('GET /events HTTP/1.1\r\nhost: x\r\n\r\n')
  return socket
}
const until = async (isSo: () => boolean): Promise<void> => {
  for (let i = 0; i < 1000 && !isSo(); i++) await wait(10)
  expect(isSo()).toBe(true)
}

test('events come with their names, one after the other, for as long as somebody listens', async () => {
  const socket = listen()
  let text = ''
  socket.on('data', (chunk: Buffer) => (text += chunk.toString('latin1')))
  await until(() => (text.match(/data: "x{100000}"/g)?.length ?? 0) > 2)
  expect(text).toContain('content-type: text/event-stream')
  expect(text).toMatch(/event: first\ndata: "x/)
  expect(ended).toBe(0)
  socket.destroy()
  await until(() => ended === 1)
  const after = told
  await wait(30)
  expect([told, ended]).toEqual([after, 1])
})

test('who listens no more and does not hang up is let go before memory runs full', async () => {
  const socket = listen()
  socket.pause()
  await until(() => ended === 1)
  socket.destroy()
})

test('a server that closes ends its streams', async () => {
  listen().on('error', () => undefined)
  await until(() => told > 0)
  await app.close()
  await until(() => ended === 1)
})
