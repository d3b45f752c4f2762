/** What printers say keeps them (RFC 8011, 5.4.12), in plain words. */
const WORDS: readonly (readonly [RegExp, string])[] = [
  [/^media-jam/, 'Paper is jammed.'],
  [/^media-empty|^input-tray-missing/, 'The tray is empty.'],
  [/^media-needed/, 'It wants the paper of this job loaded.'],
  [/^media-low/, 'Paper runs low.'],
  [/^cover-open|^door-open|^interlock-open/, 'A cover is open.'],
  [/^(marker-supply|toner|ink)-(empty|.*-empty)/, 'Ink or toner is used up.'],
  [/^(marker-supply|toner|marker-waste).*low|almost/, 'Ink or toner runs low.'],
  [/^output-(area|tray)-full/, 'The output tray is full.'],
  [/^output-tray-missing/, 'The output tray is missing.'],
  [/^paused|^moving-to-paused|^job-hold|^job-incoming-held/, 'It is paused.'],
  [/^connecting-to-device|^timed-out/, 'It is not reached.'],
  [
    /^document-format-error|^unsupported-document|^document-unprintable/,
    'It cannot read the file.',
  ],
  [/^job-canceled/, 'The job was cancelled.'],
  [/^aborted-by-system/, 'The printer gave the job up.'],
  [/^spool-area-full/, 'Its memory is full.'],
];

/** Reasons that keep a printer or a job, in plain words, each once; what is no reason is left out. */
export function reasonsInWords(reasons: readonly string[]): string[] {
  const said = reasons.flatMap((reason) => {
    const plain = reason.replace(/-(error|warning|report)$/, '');
    const known = WORDS.find(([form]) => form.test(plain));
    if (known) return known[1];
    return reason.endsWith('-error') ? `It says “${plain.slice(0, 60)}”.` : [];
  });
  return [...new Set(said)];
}
