import { connectors, type Part } from '@zucchini/core/catalogue'
import { hours, voltSpan, wattHours, watts } from '../../wording.ts'

/** What a part draws, holds, passes and records, as one reads it on its page. */
export const electricFacts = ({
  power,
  cable,
  media,
  delayMs,
}: Part): readonly (readonly [title: string, text: string])[] => {
  const end = (side: 'a' | 'b') =>
    cable
      ? `${connectors[cable[side].connector].title}${cable[side].angle === 'straight' ? '' : `, ${cable[side].angle}`}`
      : ''
  const facts: (readonly [string, string] | false | undefined)[] = [
    cable && ['ends', `${end('a')} – ${end('b')}`],
    cable && ['length', `${cable.lengthMm} mm${cable.coil ? ', spring' : ''}`],
    cable && ['passes', cable.carries.join(', ')],
    cable?.converts && ['gives out', `${voltSpan(cable.converts.volts)}, ${watts(cable.converts.watts)}`],
    power?.drawW !== undefined && ['draws', watts(power.drawW)],
    power?.standbyW !== undefined && power.standbyW !== power.drawW && ['waiting', watts(power.standbyW)],
    power?.ownMin !== undefined && ['own battery', hours(power.ownMin)],
    power?.store && ['holds', wattHours(power.store.capacityWh)],
    power?.store && ['volts', voltSpan(power.store.volts)],
    power?.store && ['gives at most', watts(power.store.maxW)],
    power?.store && ['gauge', power.store.gauge ? 'yes' : 'none'],
    power?.chargesW !== undefined && ['charges a bay with', watts(power.chargesW)],
    media?.codecs && ['records', media.codecs.map(({ title }) => title).join('; ')],
    media?.stores && ['takes', `${media.stores.gb} GB at ${media.stores.writeMBs} MB/s`],
    delayMs !== undefined && ['picture late by', `${delayMs} ms`],
  ]
  return facts.filter((fact): fact is readonly [string, string] => Array.isArray(fact))
}
