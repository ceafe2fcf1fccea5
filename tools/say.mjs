/** Plain words to the terminal, and one way to stop with a reason the reader can act on. */
export class Stop extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`)

/** Ends the program with a worded reason instead of a stack, unless it is a defect of ours. */
export const fail = (error) => {
  process.stderr.write(error instanceof Stop ? `\nStopped: ${error.message}\n` : `\n${error?.stack ?? error}\n`)
  process.exit(1)
}

export const seconds = (since) => `${((Date.now() - since) / 1000).toFixed(1)} s`
