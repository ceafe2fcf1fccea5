/** How often a random trial is run here: a small share among the tests, many times that in the long trials. */
export const trialRuns = (few: number): number => few * Math.max(1, Number(process.env['TRIALS'] ?? 1))
/** The seed of all random trials of a run; printed by whatever runs them. */
export const trialSeed = Number(process.env['TRIAL_SEED'] ?? 20_261_125)
