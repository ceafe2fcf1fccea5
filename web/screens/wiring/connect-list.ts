import type { Assessment } from '@zucchini/core/assess'
import { connectOrder } from '@zucchini/core/cabling'

/** One step of connecting, and which part of the order it belongs to. */
export interface Connect {
  readonly stage: 'power' | 'control' | 'sound' | 'on' | 'picture'
  readonly text: string
  readonly key: string
}

/** The order to plug in and switch on, in words; strip in reverse. */
export const connectList = ({ facts, assembly }: Assessment): readonly Connect[] => {
  const screens = facts.pictures
    .filter(({ runs, sink }) => runs.length > 0 && sink.part.power?.drawW)
    .map(({ sink }) => sink.instance.id)
  const name = (id: string) => assembly.byInstance.get(id)?.part.name ?? id
  return connectOrder(facts.leads, assembly.setup.root, screens).map((step): Connect => {
    if (step.do === 'switch-on')
      return { stage: 'on', text: `switch on ${name(step.piece ?? '')}`, key: `on-${step.piece ?? ''}` }
    const { run } = step
    return {
      stage: step.stage,
      text: run ? `${run.part.name}: ${run.from.piece.part.name} to ${run.to.piece.part.name}` : '',
      key: run?.link.cable ?? '',
    }
  })
}
