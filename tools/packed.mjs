import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, sep } from 'node:path'
import { gzipSync } from 'node:zlib'

/** What is text at heart; pictures and the like are packed already. */
const PACKED = /\.(?:js|css|html|json|svg|webmanifest|ttf|wasm)$/
/** Less than this is one packet of a network either way. Bytes */
const LEAST = 1024

/**
 * Lays packed copies beside the files of a built page, for whoever asks over a network that is slower than unpacking: a
 * phone in the field, which takes no other packing by plain http.
 * @param dir folder of the built page
 * @returns which files have copies, by their names within it
 */
export const packFiles = (dir) => {
  const packed = []
  for (const name of readdirSync(dir, { recursive: true })) {
    if (!PACKED.test(name)) continue
    const path = join(dir, name)
    const content = readFileSync(path)
    if (content.length < LEAST) continue
    writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }))
    packed.push(name.split(sep).join('/'))
  }
  return packed
}
