import { edit } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark } from '@zucchini/demo/scenario'
import { evaluate } from './evaluate.ts'
import { misfitsHere } from './fits-here.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }

test('whatever won’t go on, for whatever reason, and is put on all the same leaves a rig that can be judged', () => {
  const [setup] = firstMark.setups
  const id = setup?.id ?? ''
  const { points } = evaluate(firstMark, id, context)
  const oneOfEach = new Map(
    points
      .filter(({ open }) => open)
      .flatMap((point) => misfitsHere(firstMark, id, point, context))
      .map((misfit) => [misfit.issue.code, misfit]),
  )
  expect([...oneOfEach.keys()]).toEqual(
    expect.arrayContaining(['ring-size-differs', 'standards-differ', 'filter-size-differs']),
  )
  for (const [code, misfit] of oneOfEach) {
    const edited = edit(firstMark, misfit.commands, context.catalogue)
    if (!edited.ok) throw new Error(`${code}: ${edited.issues[0]?.code ?? ''}`)
    const { findings } = evaluate(edited.value, id, context)
    expect([code, findings.length > 0]).toEqual([code, true])
  }
})
