import { evaluate } from '@zucchini/core/assess'
import { momentOf } from '@zucchini/core/facts'
import { firstMark, secondMark } from '@zucchini/demo/scenario'
import { demoContext } from '../../testing/demo.ts'
import { heldScale } from './held-scale.ts'

const style = { units: 'metric', currency: 'EUR' } as const

test('a scale asks the one rule that grades it; all others wait for whoever looks at the findings', () => {
  for (const setup of ['crossing', 'wheelhouse', 'gimbal-walk']) {
    const assessment = evaluate(structuredClone(secondMark), setup, demoContext)
    heldScale(assessment, style)
    const asked = [...momentOf(assessment.strict).evaluator.counts.keys()].filter((query) => query.startsWith('check '))
    expect([setup, asked.length <= 1]).toEqual([setup, true])
  }
})

test('it is graded as the findings grade it: a stop or a risk is over, a hint is a look, else good', () => {
  for (const rig of [firstMark, secondMark])
    for (const { id } of rig.setups) {
      const assessment = evaluate(rig, id, demoContext)
      const graders = { tripod: 'plate-offset', shoulder: 'shoulder-front-heavy' } as const
      const { support } = assessment.assembly.setup
      if (support !== 'tripod') continue
      const levels = assessment.findings.filter(({ check }) => check === graders[support]).map(({ level }) => level)
      const wanted = levels.length === 0 ? 'good' : levels[0] === 'hint' ? 'look' : 'over'
      expect([id, heldScale(assessment, style).state]).toEqual([id, wanted])
    }
})
