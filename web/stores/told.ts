/** A figure that belongs to no set-up, told by those who show it: what it comes to, how, and what it is made of. */
export interface Told {
  /** Stands on the page beside the figure: `worth`, `price`. */
  readonly id: string
  readonly title: string
  readonly value: string
  readonly how: string
  /** Under which titles its formulas are written down. */
  readonly formulas: readonly string[]
  readonly rows: readonly { readonly name: string; readonly value: string; readonly note?: string }[]
}
