export * from './outlines.ts'
export * from './views.ts'
