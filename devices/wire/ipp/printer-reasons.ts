import { isSame, type PrinterReason, type PrinterReasons } from '../../../core/base/index.ts';

type Known = Exclude<keyof PrinterReasons, 'other'>;

/** What printers say keeps them (RFC 8011, 5.4.12), by what it means. */
const REASONS: readonly (readonly [RegExp, Known])[] = [
  [/^media-jam/, 'media-jam'],
  [/^media-empty|^input-tray-missing/, 'media-empty'],
  [/^media-needed/, 'media-needed'],
  [/^media-low/, 'media-low'],
  [/^cover-open|^door-open|^interlock-open/, 'cover-open'],
  [/^(marker-supply|toner|ink)-(empty|.*-empty)/, 'ink-empty'],
  [/^(marker-supply|toner|marker-waste).*low|almost/, 'ink-low'],
  [/^output-(area|tray)-full/, 'output-full'],
  [/^output-tray-missing/, 'output-missing'],
  [/^paused|^moving-to-paused|^job-hold|^job-incoming-held/, 'paused'],
  [/^connecting-to-device|^timed-out/, 'not-reached'],
  [/^document-format-error|^unsupported-document|^document-unprintable/, 'file-unread'],
  [/^job-canceled/, 'job-cancelled'],
  [/^aborted-by-system/, 'job-aborted'],
  [/^spool-area-full/, 'memory-full'],
];

/** Reasons that keep a printer or a job, each once; what is no reason is left out. */
export function readReasons(reasons: readonly string[]): PrinterReason[] {
  const found = reasons.flatMap((reason): PrinterReason[] => {
    const plain = reason.replace(/-(error|warning|report)$/, '');
    const known = REASONS.find(([form]) => form.test(plain));
    if (known) return [{ code: known[1], values: {} }];
    if (!reason.endsWith('-error')) return [];
    return [{ code: 'other', values: { says: plain.slice(0, 60) } }];
  });
  return found.filter((one, at) => found.findIndex((other) => isSame(one, other)) === at);
}
