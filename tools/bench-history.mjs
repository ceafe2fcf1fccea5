// A rig of about 70 kB with ten thousand edits: how much its history takes in the database, and how long it takes to
// open.
import { createPool } from 'mysql2/promise'
import { serveForBench } from './bench-serve.mjs'
import { fail, say } from './say.mjs'

const EDITS = Number(process.env.EDITS ?? 10_000)
const RIG_BYTES = 70_000
const OPENINGS = 9

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

const run = async () => {
  const { base: served, databaseUrl, stop } = await serveForBench()
  const db = createPool({ uri: databaseUrl, connectionLimit: 2 })
  try {
    const base = `${served}/api`
    const send = async (method, path, body) => {
      const answer = await fetch(base + path, {
        method,
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' },
      })
      if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`)
      return answer.json()
    }
    const { rig } = await (await fetch(`${base}/rigs/winter-ferry-2`)).json()
    // Notes on its pieces and more set-ups make it as large as the rig of a long job.
    const [first] = rig.setups
    const large = { ...rig, id: 'long', setups: [...rig.setups] }
    for (let i = 0; JSON.stringify(large).length < RIG_BYTES && large.setups.length < 24; i++)
      large.setups.push({ ...first, id: `more-${i}`, name: `more ${i}` })
    large.kit = large.kit.map((piece) => ({
      ...piece,
      notes: 'x'.repeat(
        Math.min(400, Math.max(0, Math.ceil((RIG_BYTES - JSON.stringify(large).length) / large.kit.length))),
      ),
    }))
    const bytes = JSON.stringify(large).length
    await send('POST', '/rigs', { rig: large, note: 'begun' })
    const since = performance.now()
    let now = large
    for (let i = 1; i <= EDITS; i++) {
      // As edits are: a slide of one joint, now and then a note or a figure of the brief.
      const at = i % now.setups.length
      const setups = now.setups.map((setup, n) =>
        n === at
          ? {
              ...setup,
              joints: setup.joints.map((joint, j) =>
                j === i % setup.joints.length ? { ...joint, slideMm: (i % 37) / 2 } : joint,
              ),
            }
          : setup,
      )
      now = { ...now, setups, ...(i % 25 === 0 ? { brief: { ...now.brief, about: `edit ${i}` } } : {}) }
      await send('PUT', '/rigs/long', { base: i, rig: now, note: `edit ${i}` })
    }
    const perSave = (performance.now() - since) / EDITS
    const [[{ stored }]] = await db.query("SELECT SUM(LENGTH(body)) AS stored FROM rig_revision WHERE rigId = 'long'")
    const open = async (path) => {
      const times = []
      for (let i = 0; i < OPENINGS; i++) {
        const begun = performance.now()
        const answer = await fetch(base + path)
        await answer.arrayBuffer()
        if (!answer.ok) throw new Error(`${path}: ${answer.status}`)
        times.push(performance.now() - begun)
      }
      return median(times)
    }
    say(`A rig of ${Math.round(bytes / 1000)} kB with ${EDITS} edits (${perSave.toFixed(1)} ms each)`)
    say(`  its history takes ${(Number(stored) / 1e6).toFixed(1)} MB (at most 50)`)
    say(`  the history opens in ${(await open('/rigs/long/revisions')).toFixed(0)} ms (at most 300)`)
    say(`  the line for undo opens in ${(await open('/rigs/long/line')).toFixed(0)} ms`)
    for (const revision of [2, Math.round(EDITS / 2), EDITS - 1])
      say(`  revision ${revision} is read in ${(await open(`/rigs/long/revisions/${revision}`)).toFixed(0)} ms`)
  } finally {
    await db.end()
    await stop()
  }
}

run().then(() => process.exit(0), fail)
