import { closeSync, fsyncSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'

const flushFolder = (dir) => {
  const folder = openSync(dir, 'r')
  try {
    fsyncSync(folder)
  } finally {
    closeSync(folder)
  }
}

/**
 * Writes a file so that it stands there whole or as it was before: under another name, flushed, renamed, the folder
 * flushed.
 */
export const writeWholeSync = (path, text, mode = 0o644) => {
  const half = `${path}.${process.pid}.part`
  const file = openSync(half, 'w', mode)
  try {
    writeSync(file, text)
    fsyncSync(file)
  } finally {
    closeSync(file)
  }
  renameSync(half, path)
  flushFolder(dirname(path))
}

/** What a small state file says; one that is missing, empty or cut says nothing. */
export const readState = (path) => {
  try {
    const value = JSON.parse(readFileSync(path, 'utf8'))
    return value !== null && typeof value === 'object' ? value : undefined
  } catch {
    return undefined
  }
}
