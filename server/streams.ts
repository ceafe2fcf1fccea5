import { PassThrough } from 'node:stream'
import type { FastifyReply } from 'fastify'

/** A line now and then, so that a connection that is gone is noticed. */
const PING_MS = 15_000
/** So much may wait for a listener who does not keep up, bytes; then the stream ends, and a browser begins it anew. */
const MOST_WAITING = 1_000_000

/** Sends one event. @param event its name; left out: a plain message */
type Send = (data: unknown, event?: string) => void

/**
 * Answers with events for as long as somebody listens.
 * @param begin starts telling, and hands back what ends that: it is called once, also when whoever asked was gone before
 *   the first event
 */
export const streamEvents = (reply: FastifyReply, begin: (send: Send) => () => void): FastifyReply => {
  const stream = new PassThrough()
  const end = begin((data, event) => {
    if (stream.writableLength > MOST_WAITING) stream.destroy()
    else if (!stream.destroyed)
      stream.write(`${event === undefined ? '' : `event: ${event}\n`}data: ${JSON.stringify(data)}\n\n`)
  })
  const ping = setInterval(() => stream.write(': still here\n\n'), PING_MS)
  let isOver = false
  const letGo = (): void => {
    if (isOver) return
    isOver = true
    clearInterval(ping)
    end()
    stream.destroy()
  }
  stream.once('close', letGo)
  reply.raw.once('close', letGo)
  // Whoever hung up before says so no more.
  if (reply.raw.destroyed || reply.raw.socket?.destroyed) letGo()
  return reply.header('content-type', 'text/event-stream').header('cache-control', 'no-store').send(stream)
}
