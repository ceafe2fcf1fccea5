import type { Run } from '../../cabling/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { bearsAt, type Feed, suits } from '../../power/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const runOf = (feed: Feed, facts: Sees<'leads'>): Run | undefined => facts.leads.find(({ link }) => link === feed.link)

/** A source whose voltage the input was not made for. */
export const voltage = defineCheck<Feed, object, 'network' | 'runDown'>({
  id: 'voltage',
  family: 'power',
  title: 'The voltage does not suit',
  why: 'Too many volts burn the input; too few switch it off as the battery runs down. Check before plugging: voltage, then polarity.',
  level: 'stop',
  source: 'The ranges stated for source and input; USB-C agrees on 5, 9, 15 or 20 V.',
  ...noOptions,
  about: 'electric',
  needs: ['network', 'runDown'],
  limit: { measured: 'volts', allowed: 'mostVolts' },
  messages: {
    speaks: {
      over: 'Too many volts. {from} gives up to {volts:V}; {to} bears {mostVolts:V} at most.',
      under:
        'Too few volts towards the end. {from} falls to {lowVolts:V} as it empties; {to} wants at least {leastVolts:V}.',
      early:
        '{to} ends about {earlierMin:min} before {from} is empty. It switches off at {leastVolts:V}; the battery goes down to {lowVolts:V}.',
      step: 'No USB-C step in common. {from} gives {lowVolts:V} to {volts:V}; {to} takes {leastVolts:V} to {mostVolts:V}.',
    },
    silent: { suits: 'What {from} gives suits {to}.' },
    cannotTell: { unknown: 'Volts unknown. What {from} gives or {to} bears is not stated: measure before plugging.' },
  },
  // What a plate or a dummy pack only passes on is told about at the lead or battery behind it.
  subjects: ({ network }) =>
    network.feeds.filter(({ link, from }) => link !== undefined || network.cells.some(({ id }) => id === from)),
  judge: (feed, facts) => {
    const [from, to] = [feed.from, feed.to].map((id) => facts.assembly.byInstance.get(id))
    const { volts, connector } = bearsAt(facts.assembly, feed)
    const key = feed.link?.cable ?? ''
    const names = { from: from?.part.name ?? '', to: to?.part.name ?? '' }
    const parts = [...(feed.link ? [feed.link.cable] : []), feed.from, feed.to]
    if (!feed.volts || !volts) return { group: 'cannotTell', message: 'unknown', names, key, parts }
    const numbers = { volts: feed.volts.max, lowVolts: feed.volts.min, mostVolts: volts.max, leastVolts: volts.min }
    if (suits(feed.volts, volts, connector ?? 'dummy'))
      return { group: 'silent', message: 'suits', names, key, numbers }
    const message = connector === 'usb-c' ? 'step' : exceeds(feed.volts.max, volts.max) ? 'over' : 'under'
    // A battery that goes lower than its load wants is not used up: what is left in it would have run it on.
    const runsMin = facts.runDown.nodeMin.get(feed.to)
    const ends = message === 'under' && feed.ends && runsMin !== undefined ? feed.ends : undefined
    if (ends && runsMin !== undefined && Number.isFinite(runsMin))
      return {
        group: 'speaks',
        message: 'early',
        level: 'hint',
        names: { ...names, from: facts.assembly.byInstance.get(ends.cell)?.part.name ?? names.from },
        key,
        numbers: { ...numbers, earlierMin: (runsMin * ends.share) / (1 - ends.share) },
        parts,
        ...(to ? { at: to.centre } : {}),
      }
    // What draws nothing, or goes on from another source, loses no minute by it.
    const level = message === 'over' ? 'stop' : ends ? 'hint' : 'risk'
    return { group: 'speaks', message, level, names, key, numbers, parts, ...(to ? { at: to.centre } : {}) }
  },
  aims: (feed, facts, { group }) => {
    if (group !== 'speaks') return []
    const run = runOf(feed, facts)
    if (run)
      return [
        { do: 'lead', run },
        { do: 'unplug', run },
      ]
    const battery = facts.assembly.byInstance.get(feed.from)
    return battery ? [{ do: 'take-off', piece: battery }] : []
  },
})
