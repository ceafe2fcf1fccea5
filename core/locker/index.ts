export * from './piece.ts'
export * from './usage.ts'
export * from './value.ts'
export * from './weighing.ts'
