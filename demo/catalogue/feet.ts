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

export const withFoot = (part: Part): Part => {
  const lock = locks[part.id]
  return lock
    ? {
        ...part,
        mounts: part.mounts.map((mount) =>
          mount.side === 'sits' && mount.standard.startsWith('shoe') ? { ...mount, lock } : mount,
        ),
      }
    : part
}
