export * from './accept.ts'
export * from './search.ts'
