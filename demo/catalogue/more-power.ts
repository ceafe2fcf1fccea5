import type { Socket } from '@zucchini/core/catalogue'
import {
  ahead,
  back,
  block,
  brick,
  brickPlate,
  device,
  down,
  holds,
  padded,
  part,
  sits,
  soft,
  up,
} from '../shapes/index.ts'
import { given } from './given.ts'

const slab = (id: string, name: string, massG: number, usual: number, family: string, wh: number, deep: number) =>
  brick({ ...given(id, name, massG, usual), standard: 'slab-l', family, size: [38, 70, deep], wh })

/** A pack for a camera's own bay, or a shell of that shape on a lead. */
const bay = (
  id: string,
  role: 'battery' | 'dummy',
  name: string,
  massG: number,
  usual: number,
  family: string,
  wh: number,
  half: readonly [number, number] = [14, 9],
) =>
  part({
    ...given(id, name, massG, usual),
    role,
    // It goes all the way in: soft, so that it does not count as standing in the camera's own body.
    solids: [soft(block([-half[0], -half[1], -46], [half[0], half[1], 0], 'plain', 2))],
    mounts: [sits('contacts', 'pack', [0, 0, 0], ahead, { family })],
    ...(role === 'dummy'
      ? { sockets: [{ id: 'lead', connector: 'dummy', direction: 'in', at: [0, 0, 0], out: back } satisfies Socket] }
      : {}),
    facts: { Wh: wh },
  })

const charger = (id: string, name: string, massG: number, usual: number, family: string, bays: number) =>
  part({
    ...given(id, name, massG, usual),
    role: 'charger',
    solids: [block([-34 * bays * 0.5, 0, -38], [34 * bays * 0.5, 26, 38], 'plain', 4)],
    mounts: Array.from({ length: bays }, (_, i) =>
      holds(`bay-${i + 1}`, 'pack', [-34 * bays * 0.5 + 17 + i * 34, 26, 0], up, { family, label: `bay ${i + 1}` }),
    ),
  })

export const morePower = [
  slab('luffa-slab-17', 'Luffa short slab, 17 Wh', 118, 29, 'l', 17, 22),
  slab('gourdwell-slab-47', 'Gourdwell slab with gauge, 47 Wh', 288, 79, 'l', 47, 58),
  brick({
    ...given('gourdwell-v-147', 'Gourdwell V-mount brick, 147 Wh', 878, 249),
    standard: 'v-lock',
    size: [74, 106, 66],
    wh: 147,
  }),
  brick({
    ...given('marrow-stud-50', 'Marrow three-stud brick, 50 Wh', 366, 129),
    standard: 'three-stud',
    size: [72, 102, 28],
    wh: 50,
  }),
  brickPlate({ ...given('typha-slab-plate-rods', 'Typha slab plate on rods', 92, 39), standard: 'slab-l', by: 'rods' }),
  bay('calabash-pack', 'battery', 'Calabash camera pack, 16 Wh', 84, 69, 'cal-16', 16),
  bay('chayote-pack', 'battery', 'Chayote camera pack, 8 Wh', 46, 49, 'chay-8', 8),
  bay('kabocha-pack', 'battery', 'Kabocha camera pack, 22 Wh', 112, 79, 'kab-22', 22),
  bay('cushaw-pack', 'battery', 'Cushaw cinema pack, 45 Wh', 236, 189, 'cus-45', 45, [20, 18]),
  bay('pepita-pack', 'battery', 'Pepita camera pack, 12 Wh', 68, 39, 'pep-12', 12),
  bay('typha-pack-copy', 'battery', 'Typha copy of the Calabash pack, 15 Wh', 81, 29, 'cal-16', 15),
  bay('luffa-dummy-cal', 'dummy', 'Luffa dummy pack for Calabash', 38, 32, 'cal-16', 0.1),
  bay('luffa-dummy-chay', 'dummy', 'Luffa dummy pack for Chayote', 32, 28, 'chay-8', 0.1),
  bay('luffa-dummy-kab', 'dummy', 'Luffa dummy pack for Kabocha', 40, 34, 'kab-22', 0.1),
  bay('luffa-dummy-pep', 'dummy', 'Luffa dummy pack for Pepita', 34, 28, 'pep-12', 0.1),
  part({
    ...given('gourdwell-bank-74', 'Gourdwell power bank, 74 Wh, 1/4" foot', 412, 89),
    role: 'battery',
    solids: [block([-36, 0, -14], [36, 140, 14], 'plain', 5)],
    mounts: [sits('foot', 'thread-1/4', [0, 0, 0], down)],
    facts: { Wh: 74 },
  }),
  charger('kabocha-charger', 'Kabocha twin charger', 162, 89, 'kab-22', 2),
  charger('cushaw-charger', 'Cushaw single charger', 210, 129, 'cus-45', 1),
  charger('pepita-charger', 'Pepita twin charger', 130, 49, 'pep-12', 2),
  part({
    ...given('luffa-slab-charger', 'Luffa twin slab charger', 184, 35),
    role: 'charger',
    solids: [block([-44, 0, -40], [44, 26, 40], 'plain', 4)],
    mounts: [
      holds('left', 'slab-l', [-22, 26, 0], up, { family: 'l', almost: ['l-long'], label: 'left bay' }),
      holds('right', 'slab-l', [22, 26, 0], up, { family: 'l', almost: ['l-long'], label: 'right bay' }),
    ],
  }),
  charger('calabash-charger', 'Calabash twin charger', 148, 79, 'cal-16', 2),
  charger('chayote-charger', 'Chayote single charger', 74, 39, 'chay-8', 1),
  part({
    ...given('gourdwell-v-charger', 'Gourdwell twin brick charger', 1240, 189),
    role: 'charger',
    solids: [block([-110, 0, -60], [110, 60, 60], 'plain', 6)],
    mounts: [
      holds('left', 'v-lock', [-55, 60, 0], up, { label: 'left bay' }),
      holds('right', 'v-lock', [55, 60, 0], up, { label: 'right bay' }),
    ],
  }),
]

export const moreMedia = [
  padded({ ...given('luffa-drive-4', 'Luffa 4 TB drive', 71, 329), role: 'drive', size: [54, 12, 92] }),
  padded({ ...given('marrow-drive-1', 'Marrow rugged 1 TB drive', 98, 149), role: 'drive', size: [60, 16, 98] }),
  ...[64, 256, 512].map((gb) =>
    part({
      ...given(`luffa-card-${gb}`, `Luffa ${gb} GB card`, 3, gb * 0.35),
      role: 'card',
      solids: [block([-12, -16, -1], [12, 16, 1.1], 'plain', 1)],
      facts: { GB: gb },
    }),
  ),
  part({
    ...given('papyr-card-325', 'Papyr fast card, 325 GB', 9, 289),
    role: 'card',
    solids: [block([-15, -19, -2], [15, 19, 2], 'plain', 1)],
    facts: { GB: 325 },
  }),
  part({
    ...given('bulrush-drive-shoe', 'Bulrush drive holder, shoe foot', 52, 19),
    role: 'drive-holder',
    solids: [block([-9, 0, -9], [9, 4, 9], 'metal', 1), block([-32, 4, -20], [32, 9, 20], 'metal', 2)],
    mounts: [
      sits('foot', 'shoe-cold', [0, 0, 0], down),
      holds('pad', 'pad', [0, 9, 0], up, { label: 'drive holder, pad' }),
    ],
  }),
  device({
    ...given('crookneck-link', 'Crookneck picture link, sender', 148, 389),
    role: 'transmitter',
    size: [62, 84, 22],
    foot: 'thread-1/4',
    provides: [],
  }),
  device({
    ...given('crookneck-link-small', 'Crookneck small picture link, sender', 92, 249),
    role: 'transmitter',
    size: [52, 64, 18],
    foot: 'shoe-cold',
    provides: [],
  }),
  device({
    ...given('delicata-sdi-hdmi', 'Delicata SDI to HDMI converter', 118, 139),
    role: 'converter',
    size: [60, 72, 20],
    foot: 'thread-1/4',
    provides: [],
  }),
  device({
    ...given('typha-hdmi-split', 'Typha HDMI splitter, one to two', 86, 49),
    role: 'converter',
    size: [66, 50, 16],
    foot: 'thread-1/4',
    provides: [],
  }),
  device({
    ...given('rushlight-panel', 'Rushlight small light panel', 128, 69),
    role: 'light',
    size: [84, 56, 18],
    foot: 'shoe-cold',
    provides: [],
    face: 'glass',
  }),
  device({
    ...given('rushlight-tube', 'Rushlight pocket light', 88, 45),
    role: 'light',
    size: [96, 22, 14],
    foot: 'thread-1/4',
    provides: [],
    face: 'glass',
  }),
  device({
    ...given('bulrush-panel', 'Bulrush light panel, two colours', 182, 39),
    role: 'light',
    size: [112, 74, 20],
    foot: 'shoe-cold',
    provides: [],
    face: 'glass',
  }),
]
