/** The colour of a card about a finding, by its severity. */
export const FINDING_TONES = { blocker: 'brick', warning: 'amber', note: undefined } as const;

/** The mark of a finding, by its severity. */
export const FINDING_STATES = { blocker: 'stop', warning: 'look', note: 'open' } as const;
