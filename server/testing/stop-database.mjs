export default async () => globalThis.__stopDatabase?.()
