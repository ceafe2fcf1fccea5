import type { Part } from '@zucchini/core/catalogue'
import { millimetres, type Units } from '../../wording.ts'
import { stopSpan } from '../light/light-words.ts'

type Fact = readonly [title: string, text: string]
const effects = {
  nd: 'neutral density',
  'variable-nd': 'variable ND',
  polariser: 'polariser',
  mist: 'mist',
  clear: 'clear glass',
  graduated: 'graduated, dark above',
} as const

/** What a part does with light, as one reads it on its page. */
export const opticsFacts = ({ optics, opening, mounts }: Part, units: Units): readonly Fact[] => {
  const mm = (value: number) => millimetres(value, units)
  const facts: (Fact | false | undefined)[] = []
  if (optics?.kind === 'lens')
    facts.push(
      [
        'focal length',
        optics.focalMinMm === optics.focalMaxMm
          ? mm(optics.focalMinMm)
          : `${optics.focalMinMm} to ${mm(optics.focalMaxMm)}`,
      ],
      ['opens to', `f/${optics.stop}`],
      ['image circle', mm(optics.imageCircleMm)],
      ['focuses', optics.autofocus ? 'by itself' : 'by hand'],
      ['entrance pupil', `${mm(optics.pupilMm)} ahead of the flange`],
      optics.throwDeg !== undefined && ['stop to stop', `${optics.throwDeg}°`],
      optics.turnsFront && ['its front', 'turns with a ring'],
    )
  if (optics?.kind === 'sensor')
    facts.push(
      ['sensor', `${optics.wideMm} × ${mm(optics.tallMm)}`],
      optics.isos && ['native ISO', optics.isos.map((one) => one.toLocaleString('en')).join(', ')],
      optics.isoMax !== undefined && ['fit to show up to', `ISO ${optics.isoMax.toLocaleString('en')}`],
      optics.nd && [
        'ND inside',
        optics.nd.smooth
          ? stopSpan(Math.min(...optics.nd.stops), Math.max(...optics.nd.stops))
          : `${optics.nd.stops.join(', ')} stops`,
      ],
      optics.crops && ['crop modes', optics.crops.map((crop) => `${crop} ×`).join(', ')],
    )
  if (optics?.kind === 'filter')
    facts.push(
      ['effect', effects[optics.effect]],
      optics.maxStops > 0 && ['takes', stopSpan(optics.minStops, optics.maxStops)],
    )
  if (optics?.kind === 'adapter') facts.push(['contacts', optics.contacts ? 'focus and iris from the body' : 'none'])
  if (optics?.kind === 'support') facts.push(['cradle', `${optics.lowMm} to ${mm(optics.highMm)} over the rods`])
  if (opening)
    facts.push([
      'clear',
      opening.clearMm !== undefined
        ? `${mm(opening.clearMm)} across`
        : `${opening.wideMm ?? 0} × ${mm(opening.tallMm ?? 0)}`,
    ])
  const flange = mounts.find(({ flangeMm }) => flangeMm !== undefined)?.flangeMm
  facts.push(flange !== undefined && ['flange distance', mm(flange)])
  return facts.filter((fact): fact is Fact => Array.isArray(fact))
}
