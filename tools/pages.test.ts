import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { checksPage, rigSchemaText, standardsPage } from './pages.ts'

test.each([
  ['checks.md', checksPage],
  ['standards.md', standardsPage],
  ['rig-file.schema.json', rigSchemaText],
])('docs/%s is what the code says (npm run docs)', (name, make) => {
  expect(readFileSync(join(import.meta.dirname, '../docs', name), 'utf8')).toBe(make())
})
