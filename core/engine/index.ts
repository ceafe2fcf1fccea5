export * from './evaluator.ts'
