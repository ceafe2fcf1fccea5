/**
 * One string for all that say the same. The names of leaves and queries are compared a thousand times for each rig that is
 * tried: strings that were put together somewhere are read letter by letter, those that are keys of an object are told
 * apart by where they lie.
 */
export const oneName = (name: string): string => Object.keys({ [name]: undefined })[0] ?? name
