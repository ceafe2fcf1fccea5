import type { Mount, Part } from '@zucchini/core/catalogue'

type Lock = NonNullable<Mount['lock']>

/** What keeps a shoe foot where it was put; the feet that are not named here are held by the springs of the shoe. */
const locks: Readonly<Record<string, Lock>> = {
  'crookneck-tilt-shoe': 'pin',
  'tromba-ball-shoe': 'nut',
  'tromba-riser-shoe': 'nut',
  'typha-shoe-riser-30': 'nut',
  'typha-shoe-riser-60': 'nut',
  'typha-shoe-aside': 'pin',
  'luffa-phones-amp': 'nut',
  'typha-double-shoe': 'nut',
  'rushlight-onboard': 'nut',
  'luffa-stereo': 'nut',
  'papyr-scratch': 'nut',
  'rushlight-digital': 'nut',
  'rushlight-fur-post': 'nut',
  'papyr-receiver-pro': 'nut',
  'rushlight-quad': 'latch',
  'tromba-preamp': 'pin',
  'bulrush-shoe-hole': 'nut',
  'typha-shoe-stud': 'nut',
  'bulrush-shoe-38': 'nut',
  'bulrush-drive-shoe': 'nut',
  'crookneck-link-small': 'nut',
  'rushlight-panel': 'nut',
  'bulrush-panel': 'nut',
  'typha-top-shoe': 'latch',
}

/** Bodies whose own shoe takes sound, and what gives it by its foot. */
const soundByShoe: ReadonlySet<string> = new Set(['calabash-h1', 'chayote-m', 'rushlight-digital', 'tromba-preamp'])

export const withFoot = (part: Part): Part => {
  const lock = locks[part.id]
  const sound = soundByShoe.has(part.id)
  if (!lock && !sound) return part
  const shod = (mount: Mount): Mount => ({
    ...mount,
    ...(lock && mount.side === 'sits' ? { lock } : {}),
    ...(sound ? { sound } : {}),
  })
  return { ...part, mounts: part.mounts.map((mount) => (mount.standard.startsWith('shoe') ? shod(mount) : mount)) }
}
