import type { Coded, NoValues } from './coded.ts';
import type { JobPlace } from './place.ts';
import type { ValueIssue } from './value-issue.ts';

type Point = { readonly x: number; readonly y: number };
/** What a job is read from, as its people know it; without a name where there is none. */
export interface JobSource {
  readonly kind: 'file' | 'job';
  readonly name?: string;
}
/** Along which side of a sheet something was measured. */
export type Across = 'width' | 'height';

/**
 * What can go wrong, by code, with what a sentence about it names: lengths in mm, pictures in pixels,
 * numbers of rows and labels from 1. `name` and `where` are names of files as people know them.
 */
export interface ProblemValues {
  'archive/broken': { name: string };
  'archive/too-large': { name: string; megabytes: number; files: number };
  'art/broken': {
    name: string;
    kind: 'picture' | 'pixels' | 'svg' | 'svg-without-drawing' | 'dxf';
  };
  'art/dxf-entities': { name: string; lines: number; most: number };
  'art/dxf-open': { name: string };
  'art/empty': { name: string };
  'art/entities': { name: string };
  'art/gone': NoValues;
  'art/no-size': { name: string };
  'art/nothing-to-trace': { kind: 'shapes' | 'pixels' };
  'art/pdf-broken': { name: string };
  'art/pdf-pages': { name: string; pages: number; most: number };
  'art/several': { name: string };
  'art/too-large':
    { name?: string; width: number; height: number; most: number } | { name: string; dpi: number };
  'art/too-long': { name: string; seconds: number };
  'art/too-many-bytes': { name: string; megabytes: number; most: number };
  'art/too-many-shapes': { name: string; most: number };
  'art/other-program': {
    name: string;
    kind: 'tiff' | 'layered' | 'postscript' | 'raw';
  };
  'art/unknown-kind': { name: string; wanted: 'any' | 'pixels' };
  'art/too-small': { name: string; width: number; height: number; least: number };
  'art/zip-broken': { name: string };
  'art/zip-empty': { name: string };
  'art/zip-entries': { name: string; most: number };
  'art/zip-in-zip': { name: string };
  'art/zip-name': { name: string };
  'art/zip-size': { name: string };
  'backup/unread': { name: string };
  'bridge/busy': NoValues;
  'bridge/failed': NoValues;
  'bridge/foreign': NoValues;
  'bridge/gone': NoValues;
  'bridge/not-confirmed': { address?: string };
  'bridge/refused': NoValues;
  'bridge/too-large': NoValues;
  'calibration/no-edges': { name: string };
  'calibration/no-marks': { name: string; width: number; height: number };
  'code/characters': NoValues;
  'code/check-digit': { digits: string; check: number | string };
  'code/digits': { symbology: 'ean-13' | 'upc-a'; length: number; digits: string };
  'code/empty': { symbology: 'qr' | 'code-128' };
  'code/long': { bytes: number; most: number };
  'code/unread': { text: string };
  /** Cuts are counted from 1; lines are those that a simulated cutter made. */
  'cutter/lost': { from: number; of: number } | { lines: number; of: number };
  'cutter/port': { port: string; because: 'no-port' | 'busy' | 'not-allowed'; group?: string };
  'cutter/says': { says: string; from: number; of: number };
  'cutter/unreachable': { address: string };
  'device/address': {
    kind: 'printer' | 'cutter';
    typed: string;
    example: string;
    because: 'no-address' | 'other-device' | 'no-host' | 'other-port' | 'too-much' | 'no-port';
  };
  'device/not-heard': NoValues;
  'edge/no-outline': { name: string };
  'edge/nothing-left': NoValues;
  'edge/tangled': { name: string };
  'edge/too-fine': NoValues;
  'ipp/malformed': {
    fault:
      | 'ends-too-soon'
      | 'nameless-member'
      | 'nameless-value'
      | 'too-deep'
      | 'too-long'
      | 'too-many-attributes'
      | 'too-many-groups'
      | 'torn-collection'
      | 'twice-the-same'
      | 'value-length'
      | 'value-outside-group'
      | 'value-too-long';
  };
  'job/all-copies': NoValues;
  'job/follows': { piece: string; base: string; change: 'elements' | 'size' | 'other' };
  'job/gone': { what: 'copy' | 'element' | 'piece' | 'shape' | 'sheet' | 'size' | 'thing' };
  'job/invalid': { place: JobPlace; issue: ValueIssue };
  'job/invalid-value': { field: string; issue: ValueIssue };
  'job/newer': { source: JobSource; version: number; reads: number };
  'job/refused': Coded<RefusedChanges>;
  'job/unread': {
    source: JobSource;
    because:
      | 'damaged'
      | 'no-job'
      | 'no-version'
      | 'other-version'
      | 'in-part'
      | 'no-document'
      | 'broken-document';
    at?: string;
    part?: JobPlace;
  };
  'length/empty': NoValues;
  'length/feet': { read: string };
  'length/unit': { name: string };
  'length/unread': { read: string; because: 'no-length' | 'two-fractions' | 'zero' };
  'list/empty': NoValues;
  'list/quotes': { row: number; because: 'open' | 'behind' };
  'list/too-large':
    | { megabytes: number }
    | { columns: number; rows: number; mostColumns: number; mostRows: number };
  'list/unread': { because: 'bytes' | 'long-field' | 'workbook' };
  'output/pages': { part: string; count: number };
  'pack/endless': { id: string };
  'pack/flat': { id: string };
  'pack/no-room': NoValues;
  'pack/request': { where: string; issue?: ValueIssue };
  'pack/same-id': { id: string };
  'pack/too-fine': { id: string; points: number; most: number };
  'pack/too-many': { total: number; most: number };
  'palette/none': { file: string };
  'pdf/broken': NoValues;
  'pdf/too-many-paths': { most: number };
  'printer/bare-password': { address: string };
  'printer/busy': NoValues;
  'printer/certificate-changed': { address: string; fingerprint: string };
  'printer/certificate-unknown': { address: string; fingerprint: string };
  'printer/empty': NoValues;
  'printer/jam': NoValues;
  'printer/media': { width?: number; height?: number };
  'printer/not-ipp': { host: string; status: number };
  'printer/refused': { says: string } | { status: string };
  'printer/stopped': { reason?: PrinterReason };
  'printer/unreachable': { address: string };
  'printer/wants-login': { address: string; wrong: boolean };
  'printer/wants-tls': { address: string };
  'printer/waits': { reason: PrinterReason };
  'profile/unread': { name: string; at: string };
  'run/align':
    | { places: number; marks: readonly Point[] }
    | { off: number | undefined; marks: readonly Point[] };
  'run/blocked': { finding: { readonly code: string; readonly values: object } };
  'run/empty': NoValues;
  'run/loaded': Coded<SheetDoubts>;
  'run/not-cut': Coded<SheetDoubts>;
  'run/other-sheet': NoValues;
  'sheet/no-free-place': NoValues;
  'sheet/no-stickers': NoValues;
  'size/no-cone': { wall: number; wide: number; narrow: number };
  'size/no-ring': { hole: number; outer: number };
  'size/nothing-left': { gap: number; across: number };
  'size/too-flat': NoValues;
  'size/too-large': { width: number; height: number; longest: number };
  'stock/contradiction':
    { pitch: number; label: number } | { sum: number; across: Across; sheet: number };
  'stock/does-not-close': { label: number } | { needed: number; across: Across; sheet: number };
  'stock/impossible': { across: Across; over?: number };
  'stock/no-labels': NoValues;
  'stock/overlap': { labels: readonly [number, number] } | { pitch: number; label: number };
  'stock/too-few-readings': { across: Across; many: boolean };
  'stock/unknown-file': { name: string };
  'stock/unread': { name: string; field?: string };
  'type/broken': { name: string };
  'type/not-embeddable': { family: string };
  'type/too-large': { name: string; megabytes: number; most: number };
  'type/unknown-kind': { name: string };
}

/** Why a change of a job cannot be made, by code. */
export interface RefusedChanges {
  'art-damaged': NoValues;
  'colour-unread': { typed: string };
  'copies-by-list': NoValues;
  'copies-of-row': { count: number };
  'copies-wanted': { count: number };
  'find-empty': NoValues;
  'find-nowhere': { find: string };
  'ground-unfit': NoValues;
  'guest-changed': NoValues;
  'guest-of-itself': NoValues;
  'guests-on-sheets': NoValues;
  'itself-or-too-much': { most: number };
  'last-thing': NoValues;
  'list-issue': { row?: number; issue: ValueIssue };
  'list-too-long': { rows: number; most: number };
  'long-field': { letters: number };
  'mixed-stock': NoValues;
  'name-empty': NoValues;
  'no-column': { column: string };
  'no-list': NoValues;
  'no-set': NoValues;
  'not-combinable': NoValues;
  'numbers-unfit': NoValues;
  'one-part': NoValues;
  'only-column': NoValues;
  'only-piece': NoValues;
  'other-sheets': NoValues;
  'own-size': NoValues;
  'print-none': NoValues;
  'rows-without-list': NoValues;
  'scale-unfit': NoValues;
  'set-full': { most: number };
  'sheets-with-labels': NoValues;
  'size-of-stock': NoValues;
  'size-unfit': { from: number; to: number };
  'third-side': NoValues;
  'too-many-elements': { count: number; most: number };
  'too-many-pieces': { count: number; most: number };
  'two-lists': NoValues;
}

/** Why a sheet that was seen is not cut, by code. */
export interface SheetDoubts {
  'no-marks': NoValues;
  'marks-missing': { found: number; of: number };
  'not-these-marks': NoValues;
  'turned-round': NoValues;
  'way-unknown': NoValues;
}

/** What keeps a printer, by code (RFC 8011, 5.4.12). */
export interface PrinterReasons {
  'cover-open': NoValues;
  'file-unread': NoValues;
  'ink-empty': NoValues;
  'ink-low': NoValues;
  'job-aborted': NoValues;
  'job-cancelled': NoValues;
  'media-empty': NoValues;
  'media-jam': NoValues;
  'media-low': NoValues;
  'media-needed': NoValues;
  'memory-full': NoValues;
  'not-reached': NoValues;
  'output-full': NoValues;
  'output-missing': NoValues;
  /** One that only the printer itself knows. */
  other: { says: string };
  paused: NoValues;
}
export type PrinterReason = Coded<PrinterReasons>;
