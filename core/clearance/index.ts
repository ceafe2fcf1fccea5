export * from './clashes.ts'
export * from './size.ts'
export * from './rooms.ts'
