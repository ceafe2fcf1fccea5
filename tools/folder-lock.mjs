import { randomUUID } from 'node:crypto'
import { linkSync, mkdirSync, realpathSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { bornAt, isStill } from './processes.mjs'
import { Stop } from './say.mjs'
import { readState, writeWholeSync } from './whole-file.mjs'

/** What tells a folder from a copy of it: where on which disk it lies. */
const placeOf = (dir) => {
  const { dev, ino } = statSync(dir)
  return `${dev}:${ino}`
}

/**
 * Locks a data folder for this process: nobody else starts on it meanwhile. A lock whose process is gone, or that came
 * along with a copy of the folder, counts for nothing.
 * @throws {Stop} naming the address of the program that runs on the folder already
 */
export const lockFolder = (dir) => {
  mkdirSync(dir, { recursive: true })
  const path = join(dir, 'lock.json')
  const mine = {
    pid: process.pid,
    born: bornAt(process.pid),
    place: placeOf(dir),
    folder: realpathSync(dir),
    token: randomUUID(),
  }
  const draft = `${path}.${mine.token}`
  for (let tries = 0; ; tries++) {
    writeFileSync(draft, JSON.stringify(mine), { flush: true })
    try {
      // A link is made wholly or not at all, and never over another one.
      linkSync(draft, path)
      break
    } catch (error) {
      if (error.code !== 'EEXIST' || tries > 20) throw error
      const held = readState(path)
      if (held && held.place === mine.place && isStill(held))
        throw new Stop(
          held.address
            ? `Zucchini runs on this folder already: ${held.address} (${held.folder}). Open it there, or stop that one first.`
            : `Zucchini is just being started on this folder (${held.folder}, process ${held.pid}). Wait a moment, or stop that one first.`,
        )
      // Nobody holds it any more. Renamed away, so that of two who see that only one takes it.
      try {
        renameSync(path, `${path}.${mine.token}.old`)
        rmSync(`${path}.${mine.token}.old`, { force: true })
      } catch {
        // Somebody else was faster.
      }
    } finally {
      rmSync(draft, { force: true })
    }
  }
  const holds = () => readState(path)?.token === mine.token
  return {
    /** Lets others know where the program is to be found. */
    tell: (address) => holds() && writeWholeSync(path, JSON.stringify({ ...mine, address })),
    release: () => holds() && rmSync(path, { force: true }),
  }
}

/** The id of this installation: made once, kept in its data folder; a copied folder gets one of its own. */
export const installationOf = (dir) => {
  const path = join(dir, 'installation.json')
  const known = readState(path)
  if (typeof known?.id === 'string' && known.place === placeOf(dir)) return known.id
  const id = randomUUID()
  writeWholeSync(path, JSON.stringify({ id, place: placeOf(dir) }))
  return id
}
