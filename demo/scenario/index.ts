export * from './ferry.ts'
