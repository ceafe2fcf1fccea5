import type { AspectId, Scene } from '@zucchini/core/brief'
import type { Catalogue } from '@zucchini/core/catalogue'
import type { EconomyWay, NdChoice } from '@zucchini/core/optics'
import { shortName } from '../../wording.ts'

export const sceneWords: Readonly<Record<Scene, string>> = {
  'water-in-sun': 'water or snow in sun',
  sun: 'sun',
  hazy: 'hazy sun',
  overcast: 'overcast or shade',
  dusk: 'dusk',
  indoor: 'indoors',
  night: 'street at night',
}

export const aspectWords: Readonly<Record<AspectId, string>> = {
  '16:9': '16:9',
  '9:16': '9:16 upright',
  '2.39': '2.39 wide',
  full: 'all of the sensor',
}

export const wayWords: Readonly<Record<EconomyWay['way'], string>> = {
  'one-with-rings': 'one large, with rings',
  'one-each': 'one for each thread',
  'drop-in': 'dropped into a box',
}

const tenth = (value: number): string => String(Math.round(value * 10) / 10)

export const fNumber = (value: number): string => `f/${tenth(value)}`
export const ev = (value: number): string => `EV ${tenth(value)}`
/** A sensitivity as cameras write it: two figures count. @example 1225: "ISO 1,200" */
export const iso = (value: number): string => `ISO ${Number(value.toPrecision(2)).toLocaleString('en')}`
/** Stops as spoken of: "6.8 stops", "2 to 8 stops". */
export const stopSpan = (min: number, max: number): string =>
  min === max ? `${tenth(max)} stops` : `${tenth(min)} to ${tenth(max)} stops`
/** Minutes after midnight as a clock shows them. @example 705: "11:45" */
export const clock = (minute: number): string => {
  const whole = Math.round(minute) % 1440
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`
}
/** The other way round; undefined for what is no time of day. @example "11:45": 705 */
export const minuteOf = (text: string): number | undefined => {
  const found = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(text)
  return found ? Number(found[1]) * 60 + Number(found[2]) : undefined
}

/** What a filter or a step of the camera's own is called. */
export const filterName = (id: string, catalogue: Catalogue, short = false): string => {
  const part = catalogue.parts.get(id)
  if (part) return short ? shortName(part.name) : part.name
  const stops = id.replace('camera', '').trim()
  return stops ? `the camera’s ND, ${stops} stops` : 'the camera’s own ND'
}

export const choiceName = ({ ids }: Pick<NdChoice, 'ids'>, catalogue: Catalogue, short = false): string =>
  ids.length === 0 ? 'the bare lens' : ids.map((id) => filterName(id, catalogue, short)).join(' with ')
