export * from './evaluator.ts'
export * from './names.ts'
