import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { cropFor, diagonalMm, pictureOf, sensorOf } from '../../optics/index.ts'
import { defineCheck, partsThat, noOptions } from '../check.ts'
import { deliveryOf } from '../../facts/index.ts'

/** Drawn circles are stated to the tenth of a millimetre. */
const ROUNDING_MM = 0.1

/** A lens whose picture is smaller than the sensor. */
export const imageCircle = defineCheck<PlacedPart, object>({
  id: 'image-circle',
  family: 'glass',
  title: 'The lens does not fill the sensor',
  why: 'Dark corners in every shot, or the camera crops by itself and nothing is as wide as planned.',
  level: 'risk',
  source: 'The image circle stated for the lens against the diagonal of the picture that is delivered.',
  ...noOptions,
  about: 'glass',
  needs: [],
  limit: { measured: 'diagonalMm', allowed: 'circleMm' },
  messages: {
    speaks: {
      small:
        'The corners stay dark. {lens} draws a circle of {circleMm:mm}, the picture is {diagonalMm:mm} across; a crop of {cropTimes:times} uses what is there.',
    },
    silent: { fills: '{lens} fills the picture.' },
    cannotTell: { unknown: 'Image circle or sensor unknown. Whether {lens} fills the picture is not stated.' },
  },
  subjects: partsThat(({ role }) => role === 'lens'),
  judge: ({ instance, part, centre }, facts) => {
    const sensor = sensorOf(facts.assembly)
    const names = { lens: part.name }
    if (!sensor || part.optics?.kind !== 'lens')
      return { group: 'cannotTell', message: 'unknown', names, parts: [instance.id] }
    const { aspect, upright } = deliveryOf(facts.assembly)
    const across = diagonalMm(pictureOf(sensor, aspect, upright))
    const circleMm = part.optics.imageCircleMm + ROUNDING_MM
    const numbers = { diagonalMm: across, circleMm }
    return exceeds(across, circleMm)
      ? {
          group: 'speaks',
          message: 'small',
          names,
          numbers: { ...numbers, cropTimes: cropFor(sensor, part.optics.imageCircleMm, { aspect, upright }).crop },
          parts: [instance.id],
          at: centre,
        }
      : { group: 'silent', message: 'fills', names, numbers }
  },
  aims: (piece, { picture }) =>
    picture
      ? [
          {
            do: 'swap',
            piece,
            for: ({ optics }) => optics?.kind === 'lens' && optics.imageCircleMm + ROUNDING_MM >= diagonalMm(picture),
          },
        ]
      : [],
})
