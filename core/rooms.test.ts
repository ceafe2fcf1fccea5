import { readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, normalize, relative } from 'node:path'

/**
 * Which room may enter which. `brief` knows parts' capabilities; `assess` puts every room's figures into one picture.
 */
const mayEnter: Readonly<Record<string, readonly string[]>> = {
  kernel: [],
  engine: [],
  catalogue: ['kernel'],
  brief: ['kernel', 'catalogue'],
  assembly: ['kernel', 'catalogue', 'brief'],
  balance: ['kernel', 'catalogue', 'assembly'],
  money: ['kernel', 'catalogue', 'assembly'],
  locker: ['kernel', 'catalogue', 'assembly'],
  clearance: ['kernel', 'catalogue', 'assembly'],
  power: ['kernel', 'catalogue', 'brief', 'assembly'],
  cabling: ['kernel', 'catalogue', 'assembly'],
  media: ['kernel', 'catalogue', 'assembly'],
  optics: ['kernel', 'catalogue', 'brief', 'assembly'],
  wiring: ['kernel', 'catalogue', 'brief', 'assembly', 'power', 'cabling'],
  drawing: ['kernel', 'catalogue', 'assembly', 'balance'],
  'build-order': ['kernel', 'catalogue', 'assembly', 'balance', 'cabling'],
  log: ['kernel', 'catalogue'],
  formats: ['kernel', 'catalogue', 'assembly', 'locker'],
  context: ['kernel', 'catalogue', 'assembly', 'balance', 'money', 'media', 'power', 'log'],
  facts: [
    'kernel',
    'engine',
    'catalogue',
    'brief',
    'assembly',
    'context',
    'balance',
    'money',
    'clearance',
    'power',
    'cabling',
    'media',
    'optics',
    'wiring',
    'build-order',
  ],
  checks: [
    'kernel',
    'catalogue',
    'brief',
    'assembly',
    'context',
    'facts',
    'balance',
    'money',
    'clearance',
    'power',
    'cabling',
    'media',
    'optics',
    'wiring',
    'build-order',
    'log',
  ],
  remedies: ['kernel', 'catalogue', 'assembly', 'facts', 'checks', 'clearance', 'cabling', 'wiring'],
  'ways-out': ['kernel', 'catalogue', 'assembly', 'balance', 'clearance', 'context', 'facts', 'checks', 'remedies'],
  assess: [
    'ways-out',
    'remedies',
    'kernel',
    'catalogue',
    'brief',
    'assembly',
    'balance',
    'locker',
    'money',
    'clearance',
    'formats',
    'build-order',
    'drawing',
    'power',
    'cabling',
    'media',
    'optics',
    'wiring',
    'context',
    'facts',
    'checks',
    'log',
  ],
}
const core = import.meta.dirname
const root = dirname(core)
const sourcesUnder = (dir: string): string[] =>
  readdirSync(dir).flatMap((name): string[] => {
    if (name === 'node_modules' || name === 'dist') return []
    const path = join(dir, name)
    if (statSync(path).isDirectory()) return sourcesUnder(path)
    return /\.(ts|vue)$/.test(name) ? [path] : []
  })
const importsOf = (file: string): string[] => {
  const text = readFileSync(file, 'utf8')
  return [/^\s*(?:import|export)\b[^'"]*?from '([^']+)'/gm, /^\s*import '([^']+)'/gm, /\bimport\('([^']+)'\)/g].flatMap(
    (form) => [...text.matchAll(form)].map((found) => found[1] ?? ''),
  )
}
const isTest = (file: string) =>
  file.endsWith('.test.ts') || /\/testing\//.test(file) || file.endsWith('checks/tester.ts')
const roomOf = (file: string) => relative(core, file).split('/')[0] ?? ''

test('every folder of the core is a room of the table, with a door', () => {
  const rooms = readdirSync(core).filter(
    (name) => statSync(join(core, name)).isDirectory() && name !== 'testing' && name !== 'node_modules',
  )
  expect(rooms.sort()).toEqual(Object.keys(mayEnter).sort())
  for (const room of rooms) expect(readdirSync(join(core, room))).toContain('index.ts')
})

test('rooms are entered by the front door only, and only where the table allows', () => {
  const trespasses = sourcesUnder(core)
    .filter((file) => !isTest(file))
    .flatMap((file) =>
      importsOf(file).flatMap((name) => {
        if (!name.startsWith('.'))
          return name === 'zod' ||
            ((name === 'papaparse' || name === 'ical-generator') && roomOf(file) === 'formats') ||
            (name === '@date-fns/tz' && roomOf(file) === 'brief')
            ? []
            : [`${file}: the core needs no package "${name}"`]
        const target = normalize(join(dirname(file), name))
        const [from, to] = [roomOf(file), roomOf(target)]
        if (from === to) return []
        if (relative(join(core, to), target) !== 'index.ts') return [`${file} enters ${to} by the back: ${name}`]
        return mayEnter[from]?.includes(to) ? [] : [`${from} may not enter ${to}: ${file}`]
      }),
    )
  expect(trespasses).toEqual([])
})

test('the table itself has no ring', () => {
  const visit = (room: string, path: readonly string[]): void => {
    expect(path).not.toContain(room)
    for (const next of mayEnter[room] ?? []) visit(next, [...path, room])
  }
  for (const room of Object.keys(mayEnter)) visit(room, [])
})

test('the core knows no clock, no chance, no browser and no Node', () => {
  const found = sourcesUnder(core)
    .filter((file) => !isTest(file))
    .flatMap((file) => {
      const text = readFileSync(file, 'utf8')
      return [/Math\.random/, /Date\.now|new Date\(\)/, /\bdocument\./, /\bwindow\./, /process\./, /'node:/]
        .filter((bad) => bad.test(text))
        .map((bad) => `${file}: ${bad}`)
    })
  expect(found).toEqual([])
})

test('web and server come in by the core’s doors, and web takes nothing of the server', () => {
  const trespasses = ['web', 'server', 'demo', 'contract'].flatMap((side) =>
    sourcesUnder(join(root, side)).flatMap((file) =>
      importsOf(file).flatMap((name) => {
        // What is written down for people is shown by the page as it is.
        const read = side === 'web' && /^\.\.\/docs\/[a-z-]+\.md\?raw$/.test(name)
        const direct =
          !read && name.startsWith('.') && !normalize(join(dirname(file), name)).startsWith(join(root, side))
        const deep = /^@zucchini\/core\/[^/]+\/./.test(name)
        const foreign = (side === 'web' || side === 'contract') && name.startsWith('@zucchini/server')
        return (direct && !isTest(file)) || deep || foreign ? [`${file}: ${name}`] : []
      }),
    ),
  )
  expect(trespasses).toEqual([])
})
