const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/'

/** Bytes as text (RFC 4648). @example the bytes of "Ma" give "TWE=" */
export const base64 = (bytes: Uint8Array): string => {
  const out: string[] = []
  for (let i = 0; i < bytes.length; i += 3) {
    const [a = 0, b, c] = [bytes[i], bytes[i + 1], bytes[i + 2]]
    const word = (a << 16) | ((b ?? 0) << 8) | (c ?? 0)
    out.push(
      ALPHABET[(word >> 18) & 63] ?? '',
      ALPHABET[(word >> 12) & 63] ?? '',
      b === undefined ? '=' : (ALPHABET[(word >> 6) & 63] ?? ''),
      c === undefined ? '=' : (ALPHABET[word & 63] ?? ''),
    )
  }
  return out.join('')
}
