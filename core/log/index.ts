export * from './entry.ts'
export * from './lessons.ts'
