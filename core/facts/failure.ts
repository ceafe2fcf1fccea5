import type { FactName } from './figures.ts'

/** A figure that could not be worked out: it is told once, whoever else waits for it. */
export class FactFailure extends Error {
  readonly fact: FactName
  constructor(fact: FactName, cause: unknown) {
    super(cause instanceof Error ? cause.message : String(cause), { cause })
    this.fact = fact
  }
}
