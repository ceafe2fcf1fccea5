// What Node has to know to run tests of a page: it reads what the page's build reads, and each file of such tests begins
// with a simulated page.
import { createHash } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { transformSync } from '@swc/core'
import { compileScript, parse } from 'vue/compiler-sfc'

/** The Vue compiler turns a single-file component into TypeScript, swc that into a module. */
const componentOf = (source, path) => {
  const { descriptor, errors } = parse(source, { filename: path })
  if (errors.length > 0) throw errors[0]
  const id = createHash('sha256').update(path).digest('hex').slice(0, 8)
  const { content } = compileScript(descriptor, { id, inlineTemplate: true })
  return transformSync(content, {
    filename: `${path}.ts`,
    jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  }).code
}
/** A text that the page takes in as it is. */
const textOf = (source) => `export default ${JSON.stringify(source)}`

const web = new URL('../web/', import.meta.url).href
const between = new URL('testing/between.ts', web).href
/** Stands before the first line of each file of tests, so that its lines keep their numbers. */
const first =
  `import { afterFile as leaveFile, afterTest as leaveTest } from ${JSON.stringify(between)};` +
  'afterEach(leaveTest);afterAll(leaveFile);'

export const load = async (url, context, next) => {
  if (!url.startsWith('file:')) return next(url, context)
  if (url.startsWith(web) && /\.test\.ts(?:\?|$)/.test(url)) {
    const made = await next(url, context)
    return { ...made, source: `${first}${String(made.source)}` }
  }
  const kind = /\.(vue|md|css)(?:\?raw)?$/.exec(url)?.[1]
  if (!kind) return next(url, context)
  const path = fileURLToPath(url.replace(/\?raw$/, ''))
  const source = await readFile(path, 'utf8')
  return { format: 'module', source: kind === 'vue' ? componentOf(source, path) : textOf(source), shortCircuit: true }
}
