export * from './entry.ts'
export * from './lessons.ts'
export * from './file.ts'
