import type { Finding } from '../../../core/proof/index.ts';

/** The sign of a finding by how grave it is. */
export const FINDING_STATES = {
  blocker: 'stop',
  warning: 'look',
  note: 'open',
} as const satisfies Readonly<Record<Finding['severity'], string>>;
