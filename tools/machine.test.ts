import { createServer } from 'node:net'
import { checkDisk, checkNode, ensureProgram, everyoneMayPass, freePort, isRoot, portIsFree } from './machine.mjs'
import { Stop } from './say.mjs'

test.each(['18.20.0', '20.18.9', '16.0.0'])('Node %s is turned away with words', (version) => {
  expect(() => checkNode(version)).toThrow(/too old. Install Node 20.19 or newer/)
})

test.each(['20.19.0', '22.1.0', '24.0.0'])('Node %s will do', (version) => {
  expect(() => checkNode(version)).not.toThrow()
})

test('a full disk is told in numbers', () => {
  expect(() => checkDisk('/', Number.MAX_SAFE_INTEGER)).toThrow(/MB free; .* MB are wanted/)
  expect(() => checkDisk('/', 1)).not.toThrow()
})

test('a taken port is seen, and another is found', async () => {
  const server = createServer()
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as { port: number }
  expect(await portIsFree(port)).toBe(false)
  expect(await freePort(port)).not.toBe(port)
  await new Promise((done) => server.close(done))
  expect(await portIsFree(port)).toBe(true)
})

test('a program that is there is found, one that can not be had is a worded stop', () => {
  expect(ensureProgram('sh', [])).toMatch(/\/sh$/)
  if (!isRoot()) expect(() => ensureProgram('no-such-program', ['no-such-package'])).toThrow(Stop)
})

test('a closed folder on the way is seen', () => {
  const modes: Record<string, number> = { '/a/b/c': 0o755, '/a/b': 0o700, '/a': 0o755 }
  expect(everyoneMayPass('/a/b/c', (dir: string) => ({ mode: modes[dir] ?? 0 }))).toBe(false)
  expect(everyoneMayPass('/a', (dir: string) => ({ mode: modes[dir] ?? 0 }))).toBe(true)
})
