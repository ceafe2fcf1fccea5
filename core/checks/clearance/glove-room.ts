import { roomCheck } from '../room-check.ts'

/** A lever or knob that bare fingers reach and gloves do not. */
export const gloveRoom = roomCheck({
  id: 'glove-room',
  family: 'clearance',
  title: 'Too tight for gloves',
  why: 'The gloves come off at every change, and at minus five that is the end of the fingers.',
  level: 'hint',
  source: '8 mm more than bare fingers want, measured on working gloves.',
  kind: 'lever',
  also: ['gloved'],
  // What bare fingers can't reach either is the other rule's to say.
  among: (facts) =>
    facts.gloved.filter(
      (one) =>
        !facts.invasions.some(
          (bare) => bare.piece === one.piece && bare.room === one.room && bare.room.kind === 'lever',
        ),
    ),
  when: (facts) => facts.assembly.rig.brief.conditions.includes('cold'),
})
