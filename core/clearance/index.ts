export * from './clashes.ts'
export * from './size.ts'
