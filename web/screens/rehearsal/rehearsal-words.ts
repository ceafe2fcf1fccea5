import type { RehearsalFrame } from '../../api.ts'

/** What happened, as a colleague would call it across the deck. */
export const eventWords = ({ what, name }: RehearsalFrame['events'][number]): string =>
  ({
    low: `${name}: gauge blinks`,
    empty: `${name} is empty`,
    swap: `changed to ${name}`,
    dark: `${name} goes dark`,
    back: `${name} is back`,
    over: 'the day is over',
  })[what] ?? `${what} ${name}`

export const eventLevel = (what: string): 'stop' | 'risk' | 'hint' | 'ok' =>
  what === 'dark'
    ? 'stop'
    : what === 'low' || what === 'empty'
      ? 'risk'
      : what === 'over' || what === 'back'
        ? 'ok'
        : 'hint'

export const kindWords: Readonly<Record<string, string>> = {
  off: 'switched off',
  setup: 'setting up',
  standby: 'waiting',
  roll: 'rolling',
}

/** The time of the day, from the first scene on: "2 h 05". */
export const clock = (second: number): string => {
  const minutes = Math.floor(second / 60 + 1e-6)
  return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
}

/** Minutes of the day that pass in one second. */
export const speeds = [
  [1, 'slow'],
  [6, 'brisk'],
  [30, 'fast'],
  [120, 'a rush'],
] as const
