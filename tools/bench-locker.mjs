// A full locker: five thousand pieces and a hundred thousand prices. How long until it is shown, filtered and scrolled,
// and by which indexes.
import { createConnection } from 'mysql2/promise'
import { say } from './say.mjs'

const PIECES = 5000
const PRICES = 100_000
const AT_ONCE = 2000
const RUNS = 30
const OPENINGS = 5

const at = (times, share) => `${[...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)].toFixed(1)} ms`
const tell = (name, times) =>
  say(
    `${name.padEnd(58)} median ${at(times, 0.5).padStart(9)}   p95 ${at(times, 0.95).padStart(9)}   (${times.length} runs)`,
  )

const fill = async (db) => {
  const [parts] = await db.query("SELECT id FROM part WHERE origin = 'demo' ORDER BY id")
  const ids = parts.map(({ id }) => id)
  const places = ['top drawer', 'bottom drawer', 'van', 'studio', 'shoulder bag', 'loft']
  for (let i = 0; i < PIECES; i += AT_ONCE) {
    const rows = Array.from({ length: Math.min(AT_ONCE, PIECES - i) }, (_, n) => {
      const [id, partId] = [`bench-${i + n}`, ids[(i + n) % ids.length]]
      const doc = {
        id,
        partId,
        state: 'kept',
        condition: 'good',
        place: places[(i + n) % places.length],
        serial: `S${i + n}`,
        boughtOn: '2024-01-15',
        boughtFor: '',
        paidMinor: 1000 + n,
        insuredMinor: null,
        currency: 'EUR',
        notes: '',
        measuredG: null,
        measuredOn: null,
        lentTo: '',
        lentOn: null,
        endedOn: null,
        soldMinor: null,
        usedOn: null,
      }
      return [id, partId, 'kept', 1, JSON.stringify(doc), new Date()]
    })
    await db.query('INSERT INTO locker_piece (id, partId, state, revision, doc, updatedAt) VALUES ?', [rows])
  }
  for (let i = 0; i < PRICES; i += AT_ONCE) {
    const rows = Array.from({ length: AT_ONCE }, (_, n) => {
      const k = i + n
      const day = new Date(Date.now() - (Math.floor(k / ids.length) % 290) * 86_400_000).toISOString().slice(0, 10)
      return [
        ids[k % ids.length],
        day,
        `bench shop ${Math.floor(k / (ids.length * 290))}`,
        1000 + (k % 900),
        0,
        'EUR',
        0,
        1,
        'csv',
      ]
    })
    await db.query(
      'INSERT IGNORE INTO price_point (partId, seenOn, shop, amountMinor, shippingMinor, currency, used, available, source) VALUES ?',
      [rows],
    )
  }
}

const questions = [
  [
    'the ledger of a part',
    'SELECT * FROM price_point WHERE partId = ? ORDER BY seenOn DESC, shop ASC LIMIT 1000',
    ['calabash-85'],
  ],
  ['pieces of a part', 'SELECT * FROM locker_piece WHERE partId = ? ORDER BY id', ['calabash-h1']],
  [
    'pieces owned, counted',
    "SELECT partId, COUNT(*) FROM locker_piece WHERE state IN ('kept', 'lent') GROUP BY partId",
    [],
  ],
  ['prices of the simulated shops', 'SELECT id FROM price_point WHERE source = ?', ['feed']],
]

/** @param page a page of the app; @param base its address; @param url the database */
export const benchLocker = async (page, base, url) => {
  const db = await createConnection(url)
  try {
    await fill(db)
    const [[{ pieces, prices }]] = await db.query(
      'SELECT (SELECT COUNT(*) FROM locker_piece) AS pieces, (SELECT COUNT(*) FROM price_point) AS prices',
    )
    say(`The locker with ${pieces} pieces and ${prices} prices`)
    for (const [name, sql, values] of questions) {
      const [[plan]] = await db.query(`EXPLAIN ${sql}`, values)
      say(`  ${name.padEnd(56)} by ${plan.key ?? 'no index'}, ${plan.rows} rows looked at`)
    }
    const asked = async () => {
      const since = performance.now()
      const answer = await fetch(`${base}/api/prices`)
      await answer.text()
      return performance.now() - since
    }
    const stored = []
    for (let i = 0; i < 5; i++) {
      const body = {
        partId: 'calabash-85',
        seenOn: new Date().toISOString().slice(0, 10),
        shop: `bench ${i}`,
        amountMinor: 5000,
        shippingMinor: 0,
        currency: 'EUR',
        used: false,
        available: true,
      }
      const since = performance.now()
      await (
        await fetch(`${base}/api/prices`, {
          method: 'POST',
          body: JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
        })
      ).text()
      stored.push(performance.now() - since)
    }
    tell('  a price stored, its range worked out anew', stored)
    const anew = []
    for (let i = 0; i < 3; i++) {
      const body = { currency: 'GBP', seenOn: new Date().toISOString().slice(0, 10), rate: 1.1 + i / 100 }
      const since = performance.now()
      await (
        await fetch(`${base}/api/prices/rates`, {
          method: 'POST',
          body: JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
        })
      ).text()
      anew.push(performance.now() - since)
    }
    tell('  a rate stored, all ranges worked out anew', anew)
    tell('  all price ranges, asked again', await Promise.all([asked(), asked(), asked()]))
    const cold = []
    const within = []
    const first = page.locator('[data-piece]').first()
    for (let i = 0; i < OPENINGS; i++) {
      await page.goto('about:blank')
      let since = performance.now()
      await page.goto(`${base}/locker`, { waitUntil: 'commit' })
      await first.waitFor()
      cold.push(performance.now() - since)
      await page.goto(`${base}/`)
      const way = page.getByRole('link', { name: 'Locker', exact: true }).first()
      await way.waitFor()
      await page.waitForTimeout(500)
      since = performance.now()
      await way.click()
      await first.waitFor()
      within.push(performance.now() - since)
    }
    tell('  the Locker from an empty page to its first line', cold)
    tell('  the Locker from the shelf to its first line', within)
    await page.waitForTimeout(1500)
    const times = await page.evaluate(async (runs) => {
      const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
      const field = document.querySelector('input[type=search]')
      const list = document.querySelector('[aria-label=Pieces]')
      const filter = []
      const scroll = []
      for (let i = 0; i < runs; i++) {
        let since = performance.now()
        field.value = ['zoom', 'cage', 'van lead', ''][i % 4]
        field.dispatchEvent(new Event('input', { bubbles: true }))
        await painted()
        filter.push(performance.now() - since)
        await new Promise((resolve) => setTimeout(resolve, 40))
        since = performance.now()
        list.scrollTop = ((i * 7919) % 4000) * 30
        await painted()
        scroll.push(performance.now() - since)
        await new Promise((resolve) => setTimeout(resolve, 40))
      }
      return { filter, scroll }
    }, RUNS)
    tell('  a word typed to filtered and painted', times.filter)
    tell('  scrolled to painted', times.scroll)
  } finally {
    await db.end()
  }
}
