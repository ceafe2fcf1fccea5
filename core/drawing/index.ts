export * from './mount-marks.ts'
export * from './outlines.ts'
export * from './views.ts'
