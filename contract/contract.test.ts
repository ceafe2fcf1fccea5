import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { filled } from '@zucchini/core/kernel'
import { z } from 'zod'
import * as contract from './index.ts'

const root = join(import.meta.dirname, '..')
const sources = (dir: string): string[] =>
  readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    if (entry.name === 'node_modules' || entry.name === 'dist' || entry.name === 'testing') return []
    const path = join(dir, entry.name)
    if (entry.isDirectory()) return sources(path)
    return entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts') ? [readFileSync(path, 'utf8')] : []
  })
const endpoints = Object.entries(contract).flatMap(([name, value]) =>
  typeof value === 'object' && 'method' in value && 'path' in value
    ? [[name, value as contract.Endpoint] as const]
    : [],
)
/** Codes of the schema library, and of what is never shown. */
const UNWORDED = new Set(['custom'])

test('everything the core can refuse or find wrong has its words', () => {
  const codes = new Set(
    sources(join(root, 'core')).flatMap((text) =>
      [...text.matchAll(/\bbad\(\s*'([a-z-]+)'|\bcode: '([a-z-]+)'/g)].map(([, made, stated]) => made ?? stated ?? ''),
    ),
  )
  expect(codes.size).toBeGreaterThan(40)
  expect([...codes].filter((code) => !(code in contract.issueWords) && !UNWORDED.has(code))).toEqual([])
})

test('no words stand for what nobody says, and every unit in them is known', () => {
  const core = sources(join(root, 'core')).join('\n')
  for (const [code, text] of Object.entries(contract.issueWords)) {
    expect([code, core.includes(`'${code}'`)]).toEqual([code, true])
    expect(filled(text, () => '')).not.toContain('{')
  }
})

test('every address is stated once, and the server serves every one of them and no other', () => {
  const stated = endpoints.map(([, { method, path }]) => `${method} ${path}`)
  expect(new Set(stated).size).toBe(stated.length)
  const routes = sources(join(root, 'server/features')).join('\n')
  for (const [name] of endpoints) expect([name, routes.includes(`contract.${name}.path`)]).toEqual([name, true])
  expect([...routes.matchAll(/app\.(?:get|post|put|delete)\(\s*'/g)]).toEqual([])
})

test('an address with places states what goes there', () => {
  for (const [name, { path, schema }] of endpoints) {
    const places = [...path.matchAll(/:(\w+)/g)].map(([, place]) => place)
    expect([name, new Set(Object.keys(schema.params?.shape ?? {}))]).toEqual([name, new Set(places)])
  }
})

test('an answer may say more than a page knows: one of an older program still reads it', () => {
  const answers = endpoints.flatMap(([name, { schema, kept }]) =>
    [kept, ...Object.values(schema.response ?? {})].flatMap((one) =>
      one instanceof z.ZodObject ? [[name, one.def.catchall instanceof z.ZodNever ? 'never' : 'more'] as const] : [],
    ),
  )
  expect(answers.length).toBeGreaterThan(20)
  // A strict object refuses what it does not know: its catch-all is "never".
  expect(answers.filter(([, rest]) => rest === 'never')).toEqual([['onePart', 'never']])
})
