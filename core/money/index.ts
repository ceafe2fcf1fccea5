export * from './cost.ts'
