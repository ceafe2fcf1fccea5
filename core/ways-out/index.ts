export * from './accept.ts'
