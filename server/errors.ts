import { STATUS_CODES } from 'node:http'
import { type ErrorCode, errorTable, issueWords } from '@zucchini/contract'
import { filled, type Issue } from '@zucchini/core/kernel'
import type { FastifyError, FastifyInstance } from 'fastify'
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod'
import { diskIsFull } from './room.ts'
import { isAway, isFull } from './transactions.ts'

/** A refusal with its place in the table. `more` goes to the client as it is. */
export class Refusal extends Error {
  readonly code: ErrorCode
  readonly more: Readonly<Record<string, unknown>>
  constructor(code: ErrorCode, more: Readonly<Record<string, unknown>> = {}) {
    super(errorTable[code][1])
    this.code = code
    this.more = more
  }
}

/** Words for what the core found wrong with a rig: where and what. */
export const wordedIssues = (issues: readonly Issue[]): { path: string; message: string }[] =>
  issues.map((issue) => ({ path: issue.path, message: wordsOf(issue) }))

/** An issue in words, lengths in mm. */
export const wordsOf = ({ code, names = {}, numbers = {} }: Omit<Issue, 'path'>): string =>
  filled(issueWords[code] ?? code, ({ name, unit }) => {
    const value = numbers[name]
    return value === undefined ? (names[name] ?? '') : `${value}${unit ? ` ${unit}` : ''}`
  })

const readable = (pointer: string): string =>
  pointer
    .replace(/^\//, '')
    .replaceAll(/\/(\d+)/g, '[$1]')
    .replaceAll('/', '.')

/** A refusal as it goes out. */
export const refusalBody = (code: ErrorCode, more: Readonly<Record<string, unknown>> = {}) => ({
  error: { code, message: errorTable[code][1], ...more },
})

/** What could not even be read as a request, in the same form as every other refusal. */
const CLIENT_FAULTS: Readonly<Record<string, ErrorCode>> = {
  ERR_HTTP_REQUEST_TIMEOUT: 'too-slow',
  HPE_HEADER_OVERFLOW: 'too-large',
}
export const answerClientFault = (
  error: { readonly code?: string },
  socket: { readonly writable: boolean; end(text: string): void; destroy(): void },
): void => {
  const code = CLIENT_FAULTS[error.code ?? ''] ?? 'malformed'
  if (error.code === 'ECONNRESET' || !socket.writable) return socket.destroy()
  const body = JSON.stringify(refusalBody(code))
  const [status] = errorTable[code]
  const head = `HTTP/1.1 ${status} ${STATUS_CODES[status] ?? ''}\r\ncontent-type: application/json; charset=utf-8\r\n`
  socket.end(`${head}content-length: ${Buffer.byteLength(body)}\r\nconnection: close\r\n\r\n${body}`)
}

/** One way out for every error: the table's status and words, the log for what is ours. */
export const installErrors = (app: FastifyInstance): void => {
  app.setNotFoundHandler((request, reply) => {
    void reply.status(404).send(refusalBody('not-found', { path: request.url }))
  })
  app.setErrorHandler((error: FastifyError, request, reply) => {
    const send = (code: ErrorCode, more: Readonly<Record<string, unknown>> = {}) =>
      reply.status(errorTable[code][0]).send(refusalBody(code, more))
    if (error instanceof Refusal) return send(error.code, error.more)
    // A database that finds no room may end over it: then the room is what has to be told.
    if (isFull(error) || (isAway(error) && diskIsFull())) return send('disk-full')
    if (isAway(error)) return send('database-down')
    if (hasZodFastifySchemaValidationErrors(error))
      return send('malformed', {
        issues: error.validation.map((issue) => ({
          path: readable(issue.instancePath),
          message: issue.message ?? 'not as expected',
        })),
      })
    if (error.statusCode === 413) return send('too-large')
    if (error.statusCode === 429) return send('too-many')
    if (error.statusCode !== undefined && error.statusCode >= 400 && error.statusCode < 500)
      return send('malformed', { issues: [{ path: '', message: error.message }] })
    request.log.error(error)
    return send('broken')
  })
}
