export * from './accept.ts'
export * from './search.ts'
export * from './target.ts'
export * from './repair.ts'
