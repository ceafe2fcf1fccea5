/** Something wrong with what a person gave us: a code the wording knows, where it is, and the numbers that show it. */
export interface Issue {
  readonly code: string
  readonly path: string
  readonly numbers?: Readonly<Record<string, number>>
  readonly names?: Readonly<Record<string, string>>
}

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] }

export const good = <T>(value: T): Outcome<T> => ({ ok: true, value })
export const bad = (code: string, path = '', more: Pick<Issue, 'numbers' | 'names'> = {}): Outcome<never> => ({
  ok: false,
  issues: [{ code, path, ...more }],
})
