import { statfsSync } from 'node:fs'

/** So little room is none: the database asks for more at a time. bytes */
const NONE_BYTES = 4e6

/** Room left where everything is stored, bytes; undefined when that can't be told, as with a database elsewhere. */
export const roomLeft = (dir = process.env['ZUCCHINI_DATA']): number | undefined => {
  if (!dir) return undefined
  try {
    const { bavail, bsize } = statfsSync(dir)
    return bavail * bsize
  } catch {
    return undefined
  }
}

export const diskIsFull = (): boolean => (roomLeft() ?? Infinity) < NONE_BYTES
