import tokens from '../tokens.css?raw'

/** The tokens of paper, by name; printed matter has no dark side. */
const colours: ReadonlyMap<string, string> = new Map(
  [...(tokens.split('[data-theme')[0] ?? '').matchAll(/--([\w-]+):\s*(#[0-9a-f]+)/gi)].map(
    ([, name = '', value = '']) => [name, value] as const,
  ),
)
/** Black on white, whatever the pages' paper is. */
const printed: ReadonlyMap<string, string> = new Map([
  ...colours,
  ['paper', '#ffffff'],
  ['card', '#ffffff'],
  ['ink', '#000000'],
])

/**
 * A drawing with its colours named by tokens as one that states them, which is what other programs understand.
 * @example `fill="var(--d-metal, none)"` becomes `fill="#d9d9ce"`
 */
export const inPrint = (svg: string): string =>
  svg
    .replaceAll(/color-mix\(in srgb, var\(--([\w-]+)\)[^)]*\)/g, (_, name: string) => printed.get(name) ?? 'none')
    .replaceAll(/var\(--([\w-]+)(?:,\s*([\w#-]+))?\)/g, (_, name: string, other = 'none') => printed.get(name) ?? other)
    .replaceAll('class="so-far"', 'opacity="0.45"')
