import { ahead, back, bar, filter, holds, lens, part, sits, stepRing } from '../shapes/index.ts'

export const lenses = [
  lens({
    id: 'kabocha-24-70', name: 'Kabocha 24–70 mm f/2.8 zoom', maker: 'Kabocha', massG: 695, family: 'tendril', threadMm: 82, price: [1090, 1250, 1400],
    sections: [[6, 31, 'metal'], [22, 34, 'plain'], [34, 38, 'ribs'], [14, 40, 'plain'], [30, 43, 'ribs'], [14, 44, 'plain']],
    provides: ['wide-view'], facts: { focal: '24–70 mm', 'f-number': 2.8, autofocus: true },
  }),
  lens({
    id: 'calabash-20', name: 'Calabash 20 mm f/1.8 prime', maker: 'Calabash', massG: 372, family: 'tendril', threadMm: 67, price: [640, 720, 830],
    sections: [[6, 31, 'metal'], [18, 33, 'plain'], [30, 35, 'ribs'], [28, 36.5, 'plain']],
    provides: ['wide-view'], facts: { focal: '20 mm', 'f-number': 1.8, autofocus: true },
  }),
  lens({
    id: 'pattypan-35-cine', name: 'Pattypan 35 mm T1.5 cine prime', maker: 'Pattypan', massG: 545, family: 'bud', threadMm: 77, price: [480, 560, 640],
    sections: [[8, 33, 'metal'], [24, 36, 'plain'], [20, 39, 'ribs'], [16, 39, 'ribs'], [22, 40, 'plain']],
    provides: [], facts: { focal: '35 mm', 'T-stop': 1.5, autofocus: false },
  }),
  lens({
    id: 'chayote-16-50', name: 'Chayote 16–50 mm compact zoom', maker: 'Chayote', massG: 208, family: 'tendril', threadMm: 67, price: [190, 240, 280],
    sections: [[5, 30.5, 'metal'], [16, 33, 'plain'], [26, 35, 'ribs'], [18, 35.5, 'plain']],
    provides: ['wide-view'], facts: { focal: '16–50 mm', 'f-number': 3.5, autofocus: true },
  }),
  lens({
    id: 'kabocha-70-200', name: 'Kabocha 70–200 mm f/4 zoom', maker: 'Kabocha', massG: 890, family: 'tendril', threadMm: 77, price: [980, 1120, 1290], footAtMm: 44,
    sections: [[6, 31, 'metal'], [14, 33, 'plain'], [38, 36, 'plain'], [44, 40, 'ribs'], [20, 40, 'plain'], [36, 41.5, 'ribs'], [16, 42, 'plain']],
    provides: [], facts: { focal: '70–200 mm', 'f-number': 4, autofocus: true },
  }),
]

export const lensAdapters = [
  part({
    id: 'luffa-bud-tendril', role: 'lens-adapter', name: 'Luffa adapter, bud lens to tendril body', maker: 'Luffa', massG: 128, price: [45, 62, 80],
    solids: [bar([0, 0, 0], ahead, 26, 32, 'metal')],
    mounts: [sits('rear', 'lens-mount', [0, 0, 0], back, { family: 'tendril' }), holds('front', 'lens-mount', [0, 0, -26], ahead, { family: 'bud', label: 'adapter front' })],
    notes: 'No contacts: focus and iris by hand.',
  }),
]

export const filters = [
  filter({ id: 'phragma-vnd-67', name: 'Phragma variable ND, 67 mm', maker: 'Phragma', massG: 48, threadMm: 67, thickMm: 9, price: [58, 72, 90], provides: ['nd'] }),
  filter({ id: 'phragma-vnd-77', name: 'Phragma variable ND, 77 mm', maker: 'Phragma', massG: 58, threadMm: 77, thickMm: 9.5, price: [69, 85, 105], provides: ['nd'] }),
  filter({ id: 'phragma-vnd-82', name: 'Phragma variable ND, 82 mm', maker: 'Phragma', massG: 63, threadMm: 82, thickMm: 9.5, price: [79, 95, 119], provides: ['nd'] }),
  filter({ id: 'rushlight-mist-82', name: 'Rushlight 1/8 mist, 82 mm', maker: 'Rushlight', massG: 34, threadMm: 82, thickMm: 5.5, price: [38, 46, 60], provides: [] }),
  stepRing({ id: 'phragma-step-67-82', name: 'Phragma step ring 67 to 82 mm', maker: 'Phragma', massG: 22, fromMm: 67, toMm: 82, price: [7, 9, 13] }),
  stepRing({ id: 'phragma-step-77-82', name: 'Phragma step ring 77 to 82 mm', maker: 'Phragma', massG: 18, fromMm: 77, toMm: 82, price: [7, 9, 13] }),
]
