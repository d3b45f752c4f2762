import type { Finding } from '../core/proof/index.ts';
import { findingText, fixText } from '../messages/index.ts';

/** Findings with their sentences, as `--json` gives them. */
export const findingDocuments = (findings: readonly Finding[]) =>
  findings.map(({ fix, ...finding }) => ({
    ...finding,
    ...findingText(finding),
    ...(fix ? { fix: { label: fixText(fix), call: fix.call } } : {}),
  }));
