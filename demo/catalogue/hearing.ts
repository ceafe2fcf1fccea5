import type { Part, Socket } from '@zucchini/core/catalogue'

/** What each microphone gives at 1 Pa, mV. */
const gives: Readonly<Record<string, number>> = {
  'rushlight-onboard': 50,
  'luffa-stereo': 16,
  'papyr-mini': 8,
  'papyr-scratch': 20,
  'rushlight-digital': 40,
  'rushlight-fur-post': 14,
  'papyr-long': 25,
}

/** The noise of each body's and box's microphone inputs, dBu. */
const noise: Readonly<Record<string, number>> = {
  'calabash-h1': -112,
  'calabash-h2': -114,
  'kabocha-s': -114,
  'cushaw-c6': -126,
  'chayote-m': -98,
  'chayote-x': -106,
  'pepita-p4': -118,
  'delicata-preamp': -128,
  'delicata-preamp-4': -129,
  'tromba-preamp': -126,
  'delicata-mixer-3': -124,
}

const hears = ({ carries = [], direction, phones }: Socket): boolean =>
  carries.includes('sound') && !carries.includes('picture') && direction === 'in' && !phones
const speaks = ({ carries = [], direction, phones }: Socket): boolean =>
  carries.includes('sound') && !carries.includes('picture') && direction === 'out' && !phones

export const withHearing = (part: Part): Part => {
  const [mvPerPa, noiseDbu] = [gives[part.id], noise[part.id]]
  return mvPerPa === undefined && noiseDbu === undefined
    ? part
    : {
        ...part,
        sockets: (part.sockets ?? []).map((socket) => ({
          ...socket,
          ...(mvPerPa !== undefined && speaks(socket) ? { mvPerPa } : {}),
          ...(noiseDbu !== undefined && hears(socket) ? { noiseDbu } : {}),
        })),
      }
}
