/** The module form of the package carries no types of its own; they are the same as those of its plain form. */
declare module 'fast-json-patch/index.mjs' {
  export * from 'fast-json-patch'
}
