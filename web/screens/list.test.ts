import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { createMemoryHistory, createRouter } from 'vue-router'
import { reachable, routes, screens, screensFrom } from './list.ts'

const here = import.meta.dirname
const source = readFileSync(join(here, 'list.ts'), 'utf8')

test('every folder with a screen is in the list, and the list names no file that is not there', () => {
  const files = [...source.matchAll(/import\('\.\/([^']+)'\)/g)].map(([, file]) => file ?? '')
  for (const file of files) expect([file, existsSync(join(here, file))]).toEqual([file, true])
  const folders = readdirSync(here, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name)
  for (const folder of folders)
    expect([folder, files.some((file) => file.startsWith(`${folder}/`))]).toEqual([folder, true])
})

test('no name and no address stands twice', () => {
  for (const key of ['name', 'path'] as const) expect(new Set(screens.map((one) => one[key])).size).toBe(screens.length)
})

test.each([
  ['/', 'shelf'],
  ['/rigs/winter-ferry-1', 'bench'],
  ['/rigs/winter-ferry-1/set-ups', 'setups'],
  ['/catalogue/new', 'new-part'],
  ['/catalogue/typha-stud-14', 'part'],
  ['/catalogue/typha-stud-14/edit', 'edit-part'],
  ['/how-i-work', 'work'],
  ['/no/such/place', 'nowhere'],
])('%s opens %s', (address, name) => {
  const router = createRouter({ history: createMemoryHistory(), routes: [...routes] })
  expect(router.resolve(address).name).toBe(name)
})

test('the rail has a sign for each of its screens; the search leads to what needs no more than a rig', () => {
  expect(screensFrom('bench rail').map(({ title }) => title)).toEqual([
    'Light',
    'Wiring',
    'Balance',
    'Money',
    'Set-ups',
    'Build',
    'Pack',
    'Log',
  ])
  expect(screensFrom('bench rail').every(({ icon }) => icon !== undefined)).toBe(true)
  expect(reachable.map(({ name }) => name)).not.toContain('part')
  expect(reachable.map(({ name }) => name)).not.toContain('nowhere')
  expect(reachable.map(({ name }) => name)).toContain('rehearsal')
})
