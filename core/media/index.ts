export * from './recording.ts'
