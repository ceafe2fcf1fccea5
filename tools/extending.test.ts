import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, dirname, join } from 'node:path'

const root = join(import.meta.dirname, '..')

/** What is typed by hand of the project; what is built or installed is not copied. */
const TYPED = ['contract', 'core', 'demo', 'docs', 'server', 'tools', 'web', 'jest.config.js', 'package.json']
const TYPED_TOO = ['tsconfig.base.json']
const LEFT = new Set(['dist', 'node_modules', 'screenshots'])

/** A copy of the project with the same packages, whose own workspaces are its own. */
const copyOf = (): string => {
  const copy = mkdtempSync(join(tmpdir(), 'zucchini-extending-'))
  for (const name of [...TYPED, ...TYPED_TOO])
    cpSync(join(root, name), join(copy, name), { recursive: true, filter: (path) => !LEFT.has(basename(path)) })
  const packages = join(copy, 'node_modules')
  mkdirSync(join(packages, '@zucchini'), { recursive: true })
  for (const name of readdirSync(join(root, 'node_modules')))
    if (name !== '@zucchini') symlinkSync(join(root, 'node_modules', name), join(packages, name))
  for (const name of ['contract', 'core', 'demo', 'web'])
    symlinkSync(join(copy, name), join(packages, '@zucchini', name))
  return copy
}

interface Block {
  readonly kind: string
  readonly file: string
  readonly lines: readonly string[]
}

const blocksOf = (page: string): readonly Block[] =>
  [...page.matchAll(/^```(ts|vue|diff)\n\/\/ (\S+)\n([\s\S]*?)^```$/gm)].map(([, kind = '', file = '', text = '']) => ({
    kind,
    file,
    lines: text.trimEnd().split('\n'),
  }))

/** Types what a block says. A line with `+` goes after the line above it, which must be there once. */
const typed = (copy: string, { kind, file, lines }: Block): void => {
  const path = join(copy, file)
  if (kind !== 'diff') {
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, `${lines.join('\n')}\n`)
    return
  }
  const now = readFileSync(path, 'utf8').split('\n')
  let at = -1
  for (const line of lines) {
    const said = line.slice(1)
    if (line.startsWith('+')) now.splice(++at, 0, said)
    else {
      at = now.indexOf(said)
      if (at < 0) throw new Error(`${file} has no line "${said}"`)
    }
  }
  writeFileSync(path, now.join('\n'))
}

test('what the page on extending says, typed as it stands, works', () => {
  const blocks = blocksOf(readFileSync(join(root, 'docs/extending.md'), 'utf8'))
  expect(blocks.map(({ file }) => file)).toEqual([
    'core/checks/clearance/too-long.ts',
    'core/checks/clearance/index.ts',
    'core/checks/clearance/too-long.test.ts',
    'core/catalogue/interfaces/peg-10.ts',
    'core/catalogue/interfaces/index.ts',
    'web/screens/weights/WeightsScreen.vue',
    'web/screens/list.ts',
  ])
  const copy = copyOf()
  const run = (...words: string[]) => {
    const done = spawnSync(process.execPath, words, { cwd: copy, encoding: 'utf8', env: { ...process.env, CI: '1' } })
    return `${done.status}: ${`${done.stdout}${done.stderr}`.trim().split('\n').slice(-60).join('\n')}`
  }
  const loaded = ['--import', 'tsx', '--no-warnings']
  try {
    for (const block of blocks) typed(copy, block)
    const fine = expect.stringMatching(/^0: /) as string
    expect(run('node_modules/typescript-native/bin/tsc', '-p', 'core/tsconfig.json')).toEqual(fine)
    expect(run(...loaded, 'tools/docs.ts')).toEqual(fine)
    const jest = [...loaded, 'node_modules/jest/bin/jest.js', '--runInBand', '--forceExit']
    const core = ['--selectProjects', 'core', '--testPathPatterns', 'too-long|checks/checks.test|catalogue/']
    expect(run(...jest, ...core)).toEqual(fine)
    expect(run(...jest, '--selectProjects', 'web', '--testPathPatterns', 'screens/list')).toEqual(fine)
  } finally {
    rmSync(copy, { recursive: true, force: true })
  }
})
