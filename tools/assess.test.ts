import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { catalogueOf } from '@zucchini/core/catalogue'
import { writeRigFile } from '@zucchini/core/formats'
import { demoParts } from '@zucchini/demo/catalogue'
import { firstMark, secondMark } from '@zucchini/demo/scenario'

const dir = mkdtempSync(join(tmpdir(), 'zucchini-assess-'))
afterAll(() => rmSync(dir, { recursive: true, force: true }))

const catalogue = catalogueOf(demoParts)
const assess = (name: string, text: string, ...more: string[]) => {
  const file = join(dir, name)
  writeFileSync(file, text)
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(import.meta.dirname, 'assess.ts'), file, ...more],
    { encoding: 'utf8', cwd: join(import.meta.dirname, '..') },
  )
  return { status, stdout, stderr }
}

test('a rig with stops ends in 1 and says them with their numbers', () => {
  const { status, stdout } = assess('first.json', writeRigFile(firstMark, catalogue), '--setup', 'crossing')
  expect(status).toBe(1)
  const { setups } = JSON.parse(stdout) as {
    setups: { setup: string; inHandG: number; findings: { level: string; text: string }[] }[]
  }
  expect(setups.map(({ setup, inHandG }) => [setup, inHandG])).toEqual([['crossing', 3322]])
  expect(setups[0]).toMatchObject({ dayMin: 360, dayFailsAtMin: expect.closeTo(76.64, 2) as unknown })
  expect(setups[0]?.findings[0]).toMatchObject({ level: 'stop' })
  expect(setups[0]?.findings.some(({ text }) => text.includes('pinned 3/8" screw'))).toBe(true)
})

test('a rig without stops ends in 0; with room in the budget the second mark is one', () => {
  const rich = { ...secondMark, brief: { ...secondMark.brief, budgetMinor: 900_000 } }
  const { status, stdout } = assess('second.json', writeRigFile(rich, catalogue))
  expect((JSON.parse(stdout) as { setups: unknown[] }).setups).toHaveLength(5)
  expect(status).toBe(0)
})

test('what is no rig file ends in 2, with words', () => {
  expect(assess('junk.json', '{}')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.stringContaining('not-a-rig-file') as string,
  })
  expect(assess('first.json', writeRigFile(firstMark, catalogue), '--setup', 'nowhere')).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('This rig has: crossing, slip') as string,
  })
})
