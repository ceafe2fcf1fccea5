export * from './changeover.ts'
