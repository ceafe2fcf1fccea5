import { STATUS_CODES } from 'node:http'
import type { Issue } from '@zucchini/core/kernel'
import type { FastifyError, FastifyInstance } from 'fastify'
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod'
import { diskIsFull } from './room.ts'
import { isAway, isFull } from './transactions.ts'

/**
 * Every refusal the server gives: its status and what a person should do about it. Docs and tests hold to this table.
 */
export const errorTable = {
  'not-found': [404, 'There is nothing under this address.'],
  'bad-address': [400, 'This address can not be read. Check what was typed or pasted.'],
  'rig-unknown': [404, 'There is no such rig. Go back to the shelf and open another.'],
  'rig-put-away': [
    410,
    'This rig was taken off the shelf. Nothing of it is lost: put it back, or go on with a new rig.',
  ],
  'part-unknown': [404, 'The catalogue has no such part.'],
  'revision-unknown': [404, 'This rig has no such revision.'],
  'rehearsal-unknown': [404, 'This rehearsal was put away. Start it again.'],
  'rig-exists': [409, 'A rig with this id is already on the shelf. Give the new one another id.'],
  'saved-elsewhere': [409, 'This rig was saved from another window in the meantime. Choose which version to keep.'],
  'part-exists': [409, 'The catalogue already has a part with this id. Choose another id.'],
  'part-changed': [409, 'This part was changed from another window in the meantime. Look at it again before saving.'],
  'part-holds-rigs': [409, 'Rigs on the shelf would come apart with this change. Take the part off them first.'],
  'part-owned': [409, 'The locker still holds pieces of this part. Set its count to nil first.'],
  'part-shipped': [403, 'Parts that came with the program stay as they are. Make a copy and change that.'],
  'unsound-part': [422, 'This part does not hold together as data.'],
  'piece-unknown': [404, 'This piece is not in the locker any more.'],
  'price-unknown': [404, 'The ledger has no such price any more.'],
  'piece-exists': [409, 'A piece with this id is already in the locker. Give the new one another id.'],
  'piece-changed': [409, 'This piece was changed from another window in the meantime. Look at it again before saving.'],
  'pieces-described': [409, 'The pieces left have details of their own. Choose in the locker which one goes.'],
  'price-exists': [409, 'This shop’s price of that day is in the ledger already.'],
  'currency-unknown': [422, 'There is no rate for this currency yet. Enter one first.'],
  'future-date': [422, 'A day lies in the future. Nothing has happened yet that is to come.'],
  'restore-under-way': [409, 'A backup is being read in already. Wait until that is done.'],
  'scale-gone': [409, 'The scale is not plugged in. Nothing was changed; plug it in and weigh again.'],
  'scale-unsteady': [409, 'The scale has not come to rest. Nothing was changed; wait a moment.'],
  'scale-empty': [409, 'Nothing lies on the scale. Nothing was changed; lay the piece on it first.'],
  'backup-bad': [422, 'This is not a whole backup of this program. Nothing was changed.'],
  'not-empty': [
    409,
    'There is something stored here already. Say that it may be replaced, or restore into an empty database.',
  ],
  'locker-changed': [409, 'The locker changed in the meantime. Look at the new count and try again.'],
  'limit-refused': [422, 'No check takes this limit. The list says what each of them takes.'],
  malformed: [400, 'What was sent is not in the expected form.'],
  'unsound-rig': [422, 'This rig does not hold together as data.'],
  'too-large': [413, 'That is too much at once. A rig file may have 2 MB at most, a table 16, a backup 200.'],
  'wrong-place': [403, 'This address is not allowed to talk to this server.'],
  'passphrase-wanted': [401, 'Give the passphrase this server was started with.'],
  'too-slow': [408, 'What was sent came too slowly. Try again.'],
  'database-down': [503, 'Storage is down. Nothing that was confirmed is lost; edits wait until it is back.'],
  'disk-full': [507, 'The disk is full, so nothing could be stored. Make room; what waits is stored then by itself.'],
  'too-many': [429, 'Too many requests at once. Wait a moment.'],
  broken: [500, 'Something went wrong on our side. Nothing was changed; the log says more.'],
} as const satisfies Record<string, readonly [status: number, message: string]>

export type ErrorCode = keyof typeof errorTable

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

const words: Readonly<
  Record<string, (names: Readonly<Record<string, string>>, numbers: Readonly<Record<string, number>>) => string>
> = {
  'file-too-long': () => 'a rig file may have two million characters at most',
  'not-json': ({ reason }) => `this is not JSON: ${reason}`,
  'not-a-rig-file': ({ found }) => `this is not a rig file; its format says "${found}" instead of "zucchini-rig-file"`,
  'file-too-new': () => 'this file was made by a newer version of the program; update this one first',
  'not-as-expected': ({ reason }) => reason ?? 'not as expected',
  'id-repeated': ({ id }) => `the id "${id}" is used twice; give each its own`,
  'part-unknown': ({ part }) => `the catalogue has no part "${part}"; add it first or choose another`,
  'root-missing': ({ instance }) => `the set-up hangs on "${instance}", which is not in the kit`,
  'root-is-guest': ({ instance }) => `"${instance}" carries the rig and can not sit on something itself`,
  'sits-twice': ({ instance }) => `"${instance}" sits in two places at once`,
  'instance-unknown': ({ instance }) => `"${instance}" is not in the kit`,
  'mount-unknown': ({ mount, part }) => `${part} has no mounting point "${mount}"`,
  'cable-twice': ({ cable }) => `the lead "${cable}" is in two places at once`,
  'cable-unknown': ({ cable }) => `"${cable}" is no lead of the kit`,
  'holds-no-cable': ({ instance }) => `"${instance}" can not hold a cable`,
  'socket-unknown': ({ instance, socket }) => `"${instance}" has no socket "${socket}"`,
  'brace-loose': ({ instance }) => `"${instance}" is braced but does not sit on the rig`,
  'pose-unknown': ({ instance, hinge, position }) =>
    `"${instance}" has no hinge "${hinge}" with a position "${position}"`,
  'standard-unknown': ({ standard }) => `nobody knows the mounting standard "${standard}"`,
  'not-square': ({ mount }) => `the height of "${mount}" must stand square to the way it faces`,
  'mass-missing': () => 'give its mass, or say that it is unknown',
  'off-the-skin': ({ mount }) => `"${mount}" hangs in the air; it must lie on a solid of the part`,
  'no-size': ({ mount, typed }) => `"${typed}" is no size of "${mount}"; write its diameter in mm, such as 77`,
  'shares-unknown': ({ mount }) => `it shares its place with "${mount}", which the part does not have`,
  'hinge-moves-nothing': ({ what }) => `this hinge moves ${what}, which the part does not have`,
  'lens-unknown': ({ part }) => `the lens kit names "${part}", which is no lens of the catalogue`,
  'adapter-backwards': (_, { lensMm, bodyMm }) =>
    `a lens made for ${lensMm} mm from the sensor can not go on a body with ${bodyMm} mm: it would stand too far off; adapters only go from a longer flange to a shorter`,
  'adapter-thickness': (_, { thickMm, wantsMm }) =>
    `the adapter is ${thickMm} mm thick and must be ${wantsMm} mm, the difference of the two flange distances, to reach infinity`,
  'joints-in-a-ring': ({ instance }) => `"${instance}" ends up sitting on itself`,
}

/** Words for what the core found wrong with a rig: where and what. */
export const wordedIssues = (issues: readonly Issue[]): { path: string; message: string }[] =>
  issues.map(({ code, path, names, numbers }) => ({ path, message: words[code]?.(names ?? {}, numbers ?? {}) ?? code }))

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
