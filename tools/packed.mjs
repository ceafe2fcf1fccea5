import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join, relative, sep } from 'node:path'
import { gzipSync } from 'node:zlib'

/** What is text at heart; pictures and the like are packed already. */
const PACKED = /\.(?:js|css|html|json|svg|webmanifest|ttf|wasm)$/
/** Less than this is one packet of a network either way. Bytes */
const LEAST = 1024

const filesUnder = (path) =>
  statSync(path).isDirectory() ? readdirSync(path).flatMap((name) => filesUnder(join(path, name))) : [path]

/**
 * Lays packed copies beside the files of a built page, for whoever asks over a network that is slower than unpacking: a
 * phone in the field, which takes no other packing by plain http.
 * @param dir folder of the built page
 * @returns which files have copies, by their names within it
 */
export const packFiles = (dir) => {
  const packed = []
  for (const path of filesUnder(dir).sort()) {
    if (!PACKED.test(path)) continue
    const content = readFileSync(path)
    if (content.length < LEAST) continue
    writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }))
    packed.push(relative(dir, path).split(sep).join('/'))
  }
  return packed
}
