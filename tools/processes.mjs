import { readFileSync, readdirSync } from 'node:fs'

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Is there a process with this number? */
export const alive = (pid) => {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'))
  } catch (error) {
    return error?.code === 'EPERM'
  }
}

/** When a process began, as the kernel counts it: numbers are given again, beginnings are not. */
export const bornAt = (pid) => {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19])
  } catch {
    return undefined
  }
}

/** The words a process was started with. */
export const commandOf = (pid) => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').filter(Boolean)
  } catch {
    return []
  }
}

/** All processes that were started with a word that says this, but for the one that asks. */
export const startedWith = (said) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => pid !== process.pid && commandOf(pid).some((word) => word.includes(said)))

/** Is it the very process that was written down, and not another one under its number? */
export const isStill = ({ pid, born }) =>
  alive(pid) && (born === undefined || bornAt(pid) === undefined || bornAt(pid) === born)

/** Asks a process to end, waits, and ends it if it will not. @returns whether it is gone */
export const endProcess = async (pid, withinMs) => {
  try {
    process.kill(pid, 'SIGTERM')
    const until = Date.now() + withinMs
    while (alive(pid) && Date.now() < until) await wait(40)
    if (alive(pid)) process.kill(pid, 'SIGKILL')
    for (let i = 0; alive(pid) && i < 50; i++) await wait(40)
  } catch {
    // It was gone already.
  }
  return !alive(pid)
}
