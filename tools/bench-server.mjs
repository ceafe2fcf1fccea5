// How fast the server answers, beside a bare one that sends the same bytes, in one run: ratios, since the machine's own
// speed cancels out.
import { Agent, request } from 'node:http'
import fastify from 'fastify'
import { createPool } from 'mysql2/promise'
import { serveForBench } from './bench-serve.mjs'
import { fail, say } from './say.mjs'

const AT_ONCE = 16
const WARM_MS = 600
const RUN_MS = 1500
const ROUNDS = 5

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE })
const once = (url, method, body) =>
  new Promise((resolve, reject) => {
    const headers = body ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) } : {}
    const asked = request(url, { method, agent, headers }, (answer) => {
      let bytes = 0
      answer.on('data', (chunk) => (bytes += chunk.length))
      answer.on('end', () => resolve({ status: answer.statusCode, bytes }))
    })
    asked.on('error', reject)
    asked.end(body)
  })

/** Requests a second, so many at once. */
const rate = async (ask, ms, atOnce = AT_ONCE) => {
  let count = 0
  const until = Date.now() + ms
  const lane = async (i) => {
    while (Date.now() < until) {
      await ask(i)
      count++
    }
  }
  const since = performance.now()
  await Promise.all(Array.from({ length: atOnce }, (_, i) => lane(i)))
  return (count / (performance.now() - since)) * 1000
}

/** Ours against the bare one, turn by turn. */
const pair = async (name, ours, bare, most, atOnce) => {
  const ratios = []
  const rates = [[], []]
  for (let i = 0; i < ROUNDS; i++) {
    await rate(ours, WARM_MS, atOnce)
    const a = await rate(ours, RUN_MS, atOnce)
    await rate(bare, WARM_MS, atOnce)
    const b = await rate(bare, RUN_MS, atOnce)
    ratios.push(b / a)
    rates[0].push(a)
    rates[1].push(b)
  }
  say(
    `${name.padEnd(44)} 1 : ${median(ratios).toFixed(2)} (at most ${most})   ours ${Math.round(median(rates[0]))}/s, bare ${Math.round(median(rates[1]))}/s`,
  )
}

const bareServer = async (answers, db) => {
  const app = fastify({ bodyLimit: 4e6 })
  for (const [path, bytes] of Object.entries(answers))
    app.get(path, (_, reply) => reply.header('content-type', 'application/json; charset=utf-8').send(bytes))
  app.put('/save/:id', async ({ params, body }) => {
    const connection = await db.getConnection()
    try {
      await connection.beginTransaction()
      await connection.query('REPLACE INTO bare (id, doc) VALUES (?, ?)', [params.id, JSON.stringify(body.rig)])
      await connection.commit()
    } finally {
      connection.release()
    }
    return { ok: true }
  })
  await app.listen({ port: 0, host: '127.0.0.1' })
  return { url: `http://127.0.0.1:${app.server.address().port}`, close: () => app.close() }
}

const run = async () => {
  const { base: served, databaseUrl, stop } = await serveForBench()
  const db = createPool({ uri: databaseUrl, connectionLimit: 8 })
  let bare
  try {
    const base = served
    await db.query('CREATE TABLE bare (id VARCHAR(64) PRIMARY KEY, doc JSON NOT NULL)')
    const bytesOf = async (path) => Buffer.from(await (await fetch(base + path)).arrayBuffer())
    for (let i = 0; i < 40; i++) {
      const { rigs } = JSON.parse(await bytesOf('/api/rigs'))
      if (rigs.every(({ fresh }) => fresh)) break
      await new Promise((done) => setTimeout(done, 250))
    }
    const { rig } = JSON.parse(await bytesOf('/api/rigs/winter-ferry-2'))
    bare = await bareServer(
      { '/rig': await bytesOf('/api/rigs/winter-ferry-2'), '/shelf': await bytesOf('/api/rigs') },
      db,
    )
    const get = (url) => async () => {
      const { status } = await once(url, 'GET')
      if (status !== 200) throw new Error(`${url}: ${status}`)
    }
    say(
      `The server, ${AT_ONCE} asking at once, against a bare one that sends the same bytes (medians of ${ROUNDS} pairs)`,
    )
    await pair('  one rig', get(`${base}/api/rigs/winter-ferry-2`), get(`${bare.url}/rig`), 2.5)
    await pair('  the shelf', get(`${base}/api/rigs`), get(`${bare.url}/shelf`), 4)
    const made = []
    for (let i = 0; i < 4; i++) {
      const id = `bench-${i}`
      await once(`${base}/api/rigs`, 'POST', JSON.stringify({ rig: { ...rig, id }, note: '' }))
      made.push({ id, base: 1 })
    }
    let n = 0
    const save = async (i) => {
      const one = made[i]
      const body = JSON.stringify({ base: one.base, rig: { ...rig, id: one.id, name: `edit ${n++}` }, note: 'bench' })
      const { status } = await once(`${base}/api/rigs/${one.id}`, 'PUT', body)
      if (status !== 200) throw new Error(`save: ${status}`)
      one.base++
    }
    const bareSave = async (i) => {
      const body = JSON.stringify({ base: 1, rig: { ...rig, id: `bare-${i}`, name: `edit ${n++}` }, note: 'bench' })
      await once(`${bare.url}/save/bare-${i}`, 'PUT', body)
    }
    await pair('  a save, with a commit as durable, 4 at once', save, bareSave, 3, 4)
    await pair('  a save, with a commit as durable, one', save, bareSave, 3, 1)
  } finally {
    await bare?.close()
    await db.end()
    await stop()
    agent.destroy()
  }
}

run().then(() => process.exit(0), fail)
