// Lets Jest read .vue files: the Vue compiler turns one into TypeScript, swc into a module.
import { createHash } from 'node:crypto'
import { transformSync } from '@swc/core'
import { compileScript, parse } from 'vue/compiler-sfc'

const compile = (source, path) => {
  const { descriptor, errors } = parse(source, { filename: path })
  if (errors.length > 0) throw errors[0]
  const id = createHash('sha256').update(path).digest('hex').slice(0, 8)
  return compileScript(descriptor, { id, inlineTemplate: true }).content
}

export default {
  process: (source, path) =>
    transformSync(compile(source, path), {
      filename: `${path}.ts`,
      jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
      module: { type: 'es6' },
      sourceMaps: 'inline',
    }),
}
