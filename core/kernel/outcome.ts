/** Something wrong with what a person gave us: a code the wording knows, where it is, and the numbers that show it. */
export interface Issue<Code extends string = string> {
  readonly code: Code
  readonly path: string
  readonly numbers?: Readonly<Record<string, number>>
  readonly names?: Readonly<Record<string, string>>
}

export type Outcome<T, Code extends string = string> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue<Code>[] }

export const good = <T>(value: T): Outcome<T, never> => ({ ok: true, value })
export const bad = <Code extends string>(
  code: Code,
  path = '',
  more: Pick<Issue, 'numbers' | 'names'> = {},
): Outcome<never, Code> => ({
  ok: false,
  issues: [{ code, path, ...more }],
})
