import { spawn } from 'node:child_process'
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { clearPreparation, endOrphan, runDatabase, tellingOf } from './database.mjs'
import { alive, wait } from './processes.mjs'

/** Writes files into a folder without end, as the program does that prepares a database and was left at work. */
const WRITER = `
const { mkdirSync, writeFileSync } = require('node:fs')
const folder = process.argv[1].split('=')[1]
for (let i = 0; ; i++) { mkdirSync(folder + '/mysql', { recursive: true }); writeFileSync(folder + '/mysql/' + (i % 400), '') }
`

test('a preparation left at work is ended before its folder is thrown away', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-preparing-'))
  const aside = join(dir, 'data.preparing')
  const writer = spawn(process.execPath, ['-e', WRITER, `--`, `--datadir=${aside}`], { stdio: 'ignore' })
  try {
    while (!existsSync(join(aside, 'mysql')) || readdirSync(join(aside, 'mysql')).length < 50) await wait(20)
    await clearPreparation(aside)
    expect(alive(writer.pid)).toBe(false)
    await wait(100)
    expect(existsSync(aside)).toBe(false)
  } finally {
    writer.kill('SIGKILL')
    rmSync(dir, { recursive: true, force: true })
  }
})

/** A process that looks as if it served a folder; the database of another folder whose path only begins alike too. */
const serving = (settings: string) =>
  spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)', '--', `--defaults-file=${settings}`], {
    stdio: 'ignore',
  })

test('a database whose starter was killed before it wrote anything down is found and ended', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-orphan-'))
  const orphan = serving(join(dir, 'my.cnf'))
  const other = serving(join(`${dir}-copy`, 'my.cnf'))
  try {
    await wait(200)
    await endOrphan(dir)
    expect(alive(orphan.pid)).toBe(false)
    expect(alive(other.pid)).toBe(true)
  } finally {
    for (const child of [orphan, other]) child.kill('SIGKILL')
    rmSync(dir, { recursive: true, force: true })
  }
})

test('where the folder for things that pass is closed to others, the database comes up all the same', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-closed-'))
  const closed = mkdtempSync(join(tmpdir(), 'zucchini-mine-'))
  const usual = process.env['TMPDIR']
  chmodSync(dir, 0o755)
  process.env['TMPDIR'] = closed
  try {
    const database = await runDatabase({ dir: join(dir, 'db'), databases: ['zucchini'] })
    expect(database.url('zucchini')).toContain(`127.0.0.1:${database.port}/zucchini`)
    await database.stop()
  } finally {
    if (usual === undefined) delete process.env['TMPDIR']
    else process.env['TMPDIR'] = usual
    for (const one of [dir, closed]) rmSync(one, { recursive: true, force: true })
  }
}, 60_000)

test('of a preparation that failed its errors are told, and its last words only where it named none', () => {
  const advice = Array.from({ length: 20 }, (_, i) => `advice ${i}`)
  const errors = ['0 [ERROR] no room in the folder', '0 [ERROR] Aborting']
  expect(tellingOf(['Installing ...', ...errors, ...advice].join('\n'))).toBe(errors.join('\n'))
  expect(tellingOf(advice.join('\n'))).toBe(advice.slice(-8).join('\n'))
})
