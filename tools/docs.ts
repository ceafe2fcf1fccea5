// npm run docs: writes the pages of docs/ that come from the code: checks, standards, and the schema of the rig file.
import { writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { checksPage, rigSchemaText, standardsPage } from './pages.ts'

const docs = join(dirname(dirname(fileURLToPath(import.meta.url))), 'docs')

writeFileSync(join(docs, 'checks.md'), checksPage())
writeFileSync(join(docs, 'standards.md'), standardsPage())
writeFileSync(join(docs, 'rig-file.schema.json'), rigSchemaText())
