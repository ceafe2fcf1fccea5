/** The name under which answers are kept for when there is no network. */
export const KEPT_ANSWERS = 'zucchini-answers'

/** What the pages of the field ask for. */
const always = ['/api/catalogue', '/api/locker/pieces', '/api/operator', '/api/prices', '/api/field', '/api/rigs']
const ofRigs = /^\/api\/rigs\/[a-z0-9-]+(?:\/(?:ticks|line))?$/

/** Is the answer under this address kept? */
export const isKept = (path: string): boolean => always.includes(path) || ofRigs.test(path)

/** All that one rig needs. */
export const neededBy = (rigId: string): readonly string[] => [
  ...always,
  `/api/rigs/${rigId}`,
  `/api/rigs/${rigId}/ticks`,
  `/api/rigs/${rigId}/line`,
]
