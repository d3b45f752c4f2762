/** Operations (RFC 8011, 5.4.15). */
export const OPERATION = {
  printJob: 0x02,
  validateJob: 0x04,
  createJob: 0x05,
  sendDocument: 0x06,
  cancelJob: 0x08,
  getJobAttributes: 0x09,
  getJobs: 0x0a,
  getPrinterAttributes: 0x0b,
  cancelMyJobs: 0x39,
  closeJob: 0x3b,
  identifyPrinter: 0x3c,
} as const;

/** Statuses of answers (RFC 8011, appendix B); those from `badRequest` on are errors. */
export const STATUS = {
  ok: 0x0000,
  substituted: 0x0001,
  badRequest: 0x0400,
  notPossible: 0x0404,
  notFound: 0x0406,
  tooLarge: 0x0408,
  badFormat: 0x040a,
  unsupportedValues: 0x040b,
  badCharset: 0x040d,
  internal: 0x0500,
  unsupportedOperation: 0x0501,
  badVersion: 0x0503,
  notAccepting: 0x0506,
  busy: 0x0507,
} as const;
