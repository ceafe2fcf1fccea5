import { demoParts } from '../../demo/catalogue/index.ts'
import { demoRigs, secondMark } from '../../demo/scenario/index.ts'
import { RIG_VERSION } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { LONGEST_FILE, readRigFile, writeRigFile } from './index.ts'

const catalogue = catalogueOf(demoParts)
const empty = catalogueOf([])
const text = writeRigFile(secondMark, catalogue)
const spoilt = (
  change: (file: {
    format: string
    version: number
    rig: Record<string, never> & { kit: { partId: string }[]; setups: { joints: Record<string, unknown>[] }[] }
    parts: Record<string, unknown>[]
  }) => void,
): string => {
  const file = JSON.parse(text) as Parameters<typeof change>[0]
  change(file)
  return JSON.stringify(file)
}

test.each(demoRigs.map((rig) => [rig.id, rig] as const))('%s goes out and comes back equal, to the byte', (_, rig) => {
  const once = writeRigFile(rig, catalogue)
  const report = readRigFile(once, catalogue)
  expect(report).toMatchObject({ ok: true, rig, newParts: [], differing: [] })
  expect(writeRigFile(report.rig as never, catalogue)).toBe(once)
})

test('the file stands alone: an empty catalogue reads it and learns its parts', () => {
  const report = readRigFile(text, empty)
  expect(report.ok).toBe(true)
  const named = [...secondMark.kit, ...secondMark.brief.lenses].map(({ partId }) => partId)
  expect(report.newParts.map(({ id }) => id)).toEqual([...new Set(named)].sort())
  expect(writeRigFile(report.rig as never, catalogueOf(report.newParts))).toBe(text)
})

test('a part that differs from the catalogue’s own is named, and the catalogue’s own stays', () => {
  expect(
    readRigFile(
      spoilt(({ parts }) => (parts[0] = { ...parts[0], massG: 1 })),
      catalogue,
    ),
  ).toMatchObject({ ok: true, newParts: [], differing: [expect.any(String)] })
})

test.each<[string, string, string, string]>([
  ['no JSON', '{"format":', 'not-json', ''],
  ['ten megabytes of junk', 'x'.repeat(10_000_000), 'file-too-long', ''],
  ['some other file', '{"format":"picture"}', 'not-a-rig-file', 'format'],
  ['a list', '[1,2,3]', 'not-a-rig-file', 'format'],
  ['nothing', 'null', 'not-a-rig-file', 'format'],
  ['a later version', spoilt((file) => (file.version = 9)), 'file-too-new', 'version'],
  [
    'an unknown part',
    spoilt(({ rig }) => {
      if (rig.kit[0]) rig.kit[0].partId = 'unheard-of'
    }),
    'part-unknown',
    'rig.kit[0].partId',
  ],
  [
    'a ring of joints',
    spoilt(({ rig }) => {
      rig.setups.forEach(({ joints }) => {
        joints[2] = { ...joints[2], host: 'handle', hostMount: 'shoe' }
      })
    }),
    'joints-in-a-ring',
    'rig.setups[0].joints',
  ],
  ['a number that is none', text.replace('"massG": 372', '"massG": null'), 'not-as-expected', 'parts[0].massG'],
  ['an absurd size', text.replace(/"radius": 36\.5/, '"radius": 3e99'), 'not-as-expected', 'parts[0].solids[3].radius'],
  [
    'a mounting standard nobody knows',
    spoilt((file) => Object.assign((file.parts[0] as { mounts: object[] }).mounts[0] ?? {}, { standard: 'glue' })),
    'standard-unknown',
    'parts[0].mounts[0].standard',
  ],
  ['a field nobody knows', spoilt((file) => Object.assign(file.rig, { colour: 'red' })), 'not-as-expected', 'rig'],
])('refused with place and reason: %s', (_, file, code, path) => {
  const report = readRigFile(file, code === 'standard-unknown' ? empty : catalogue)
  expect(report.ok).toBe(false)
  expect(report.rig).toBeUndefined()
  expect([report.issues[0]?.code, report.issues[0]?.path]).toEqual([code, path])
})

test('a file of the first version is brought up to date: level, nothing braced, nothing posed', () => {
  const first = spoilt((file) => {
    file.version = 1
    const rig = file.rig as unknown as {
      version: number
      brief: Record<string, unknown>
      setups: Record<string, unknown>[]
    }
    rig.version = 1
    delete rig.brief['wideMm']
    for (const setup of rig.setups)
      for (const field of ['orientation', 'capG', 'braces', 'poses', 'links']) delete setup[field]
  })
  const report = readRigFile(first, catalogue)
  expect(report.issues).toEqual([])
  expect(report.rig?.version).toBe(RIG_VERSION)
  expect(report.rig?.brief.wideMm).toBe(0)
  expect(report.rig?.setups[0]).toMatchObject({ orientation: 'level', capG: 0, braces: [], poses: [], links: [] })
})

test('what is older than any version ever written is refused, not guessed at', () => {
  expect(
    readRigFile(
      spoilt((file) => (file.version = 0)),
      catalogue,
    ),
  ).toMatchObject({ ok: false, issues: [{ path: 'version' }] })
})

test('the longest file is named in the refusal', () => {
  expect(readRigFile('x'.repeat(LONGEST_FILE + 1), catalogue).issues[0]?.numbers).toEqual({
    count: LONGEST_FILE + 1,
    most: LONGEST_FILE,
  })
})
