export * from './context.ts'
export * from './margins.ts'
export { contextFor } from './priced.ts'
