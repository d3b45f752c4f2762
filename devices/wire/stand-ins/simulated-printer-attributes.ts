import { ipp, type IppAttribute, type IppValue } from '../ipp/ipp-message.ts';
import { OPERATION } from '../ipp/ipp-codes.ts';
import { findMediaSize } from '../ipp/media.ts';
import { ANY_FORMAT, PRINT_FORMATS } from './print-formats.ts';
import { COLLATED } from './simulated-print-job.ts';
import { RASTER_TYPES } from './pwg-raster.ts';

const MEDIA = [
  'iso_a4_210x297mm',
  'iso_a5_148x210mm',
  'iso_a6_105x148mm',
  'na_letter_8.5x11in',
  'na_legal_8.5x14in',
  'na_index-4x6_4x6in',
];
/** What it leaves free on every side, hundredths of a millimetre. */
const MARGIN = 300;
const LARGEST = { width: 330, height: 483 }; // mm

/** What a simulated printer takes of the attributes of a job. */
const TAKEN: Readonly<Record<string, readonly (string | number)[]>> = {
  sides: ['one-sided', 'two-sided-long-edge', 'two-sided-short-edge'],
  'print-scaling': ['none', 'auto', 'auto-fit', 'fit', 'fill'],
  'print-quality': [3, 4, 5],
  'print-content-optimize': ['auto'],
  'print-rendering-intent': ['auto'],
  'print-color-mode': ['auto', 'color', 'monochrome'],
  'media-source': ['auto', 'main', 'manual'],
  'media-type': ['auto', 'stationery', 'labels', 'photographic', 'cardstock', 'transparency'],
  finishings: [3],
  'orientation-requested': [3, 4, 5, 6, 7],
  'output-bin': ['face-down'],
  'number-up': [1],
  'job-priority': [50],
  'multiple-document-handling': ['separate-documents-uncollated-copies', COLLATED],
};

/** Its inks, in the order of their levels. */
const INKS = ['cyan', 'magenta', 'yellow', 'black'];
/** Its own for as long as it exists: there is one in a computer. */
const UUID = 'urn:uuid:6c697474-6c65-4065-a56c-000000000001';

function sizeOf(media: string): IppAttribute | undefined {
  const size = findMediaSize(media);
  return (
    size &&
    ipp.collection({
      'x-dimension': ipp.integer(Math.round(size.width * 100)),
      'y-dimension': ipp.integer(Math.round(size.height * 100)),
    })
  );
}

/** A size of paper as it lies in the printer. */
function mediaCol(media: string): readonly IppValue[] {
  const size = sizeOf(media);
  const margins = ['top', 'right', 'bottom', 'left'].map(
    (side) => [`media-${side}-margin`, ipp.integer(MARGIN)] as const,
  );
  return size ? ipp.collection({ 'media-size': size, ...Object.fromEntries(margins) }).values : [];
}

/** Whether the printer prints a job as one of its attributes asks for. */
export function supports(name: string, { values }: IppAttribute): boolean {
  const [value] = values;
  if (name === 'copies') return typeof value === 'number' && value >= 1 && value <= 99;
  if (name === 'media') return typeof value === 'string' && takesMedia(value);
  if (name === 'media-col') return value instanceof Map && takesSize(value.get('media-size'));
  if (name === 'printer-resolution') return true;
  if (name === 'page-ranges')
    return values.every((one) => Array.isArray(one) && Number(one[0]) > 0);
  const taken = TAKEN[name];
  return taken !== undefined && values.every((one) => taken.includes(one as string));
}

function takesMedia(name: string): boolean {
  const size = findMediaSize(name);
  return MEDIA.includes(name) || (size !== undefined && fits(size.width, size.height));
}

function takesSize(size: IppAttribute | undefined): boolean {
  const [value] = size?.values ?? [];
  if (size === undefined) return true;
  const side = (name: string): number =>
    value instanceof Map ? Number(value.get(name)?.values[0] ?? 0) / 100 : 0;
  return fits(side('x-dimension'), side('y-dimension'));
}

const fits = (width: number, height: number): boolean =>
  width > 20 && height > 20 && width <= LARGEST.width && height <= LARGEST.height;

/** What a simulated printer says of itself. */
export function printerAttributes(now: {
  address: string;
  state: number;
  reason: string;
  upTime: number;
  queued: number;
  /** What is left of cyan, magenta, yellow and black, percent. */
  inks: readonly number[];
  /** When it was switched on. */
  began: Date;
}): ReadonlyMap<string, IppAttribute> {
  const name = 'Little-Peel-simulated-printer';
  const host = now.address.replace(/^ipp/, 'http').replace(/\/ipp\/print$/, '');
  const kinds = (key: string): IppAttribute => ipp.keyword(...(TAKEN[key] ?? []));
  const numbers = (key: string): IppAttribute => ipp.enum(...(TAKEN[key] ?? []));
  return new Map<string, IppAttribute>([
    ['charset-configured', ipp.charset('utf-8')],
    ['charset-supported', ipp.charset('utf-8', 'us-ascii')],
    ['color-supported', ipp.boolean(true)],
    ['compression-supported', ipp.keyword('none')],
    ['copies-default', ipp.integer(1)],
    ['copies-supported', ipp.range(1, 99)],
    ['document-format-default', ipp.mime('application/pdf')],
    ['document-format-supported', ipp.mime(...PRINT_FORMATS, ANY_FORMAT)],
    ['finishings-default', ipp.enum(3)],
    ['finishings-supported', numbers('finishings')],
    ['generated-natural-language-supported', ipp.language('en')],
    ['identify-actions-default', ipp.keyword('display')],
    ['identify-actions-supported', ipp.keyword('display')],
    ['ipp-features-supported', ipp.keyword('ipp-everywhere')],
    ['ipp-versions-supported', ipp.keyword('1.1', '2.0')],
    [
      'job-creation-attributes-supported',
      ipp.keyword('copies', 'media', 'media-col', ...Object.keys(TAKEN)),
    ],
    ['job-ids-supported', ipp.boolean(true)],
    ['media-default', ipp.keyword('iso_a4_210x297mm')],
    ['media-ready', ipp.keyword('iso_a4_210x297mm')],
    [
      'media-supported',
      ipp.keyword(
        ...MEDIA,
        'custom_min_20x20mm',
        `custom_max_${LARGEST.width}x${LARGEST.height}mm`,
      ),
    ],
    ['media-col-database', { ...ipp.collection({}), values: MEDIA.flatMap(mediaCol) }],
    ['media-col-default', { ...ipp.collection({}), values: mediaCol('iso_a4_210x297mm') }],
    ['media-col-ready', { ...ipp.collection({}), values: mediaCol('iso_a4_210x297mm') }],
    [
      'media-size-supported',
      { ...ipp.collection({}), values: MEDIA.flatMap((media) => sizeOf(media)?.values ?? []) },
    ],
    ['media-col-supported', ipp.keyword('media-size', 'media-source', 'media-type')],
    ...['top', 'right', 'bottom', 'left'].map(
      (side) => [`media-${side}-margin-supported`, ipp.integer(MARGIN)] as const,
    ),
    ['media-source-supported', kinds('media-source')],
    ['media-type-supported', kinds('media-type')],
    ['multiple-document-jobs-supported', ipp.boolean(false)],
    ['multiple-operation-time-out', ipp.integer(60)],
    ['multiple-operation-time-out-action', ipp.keyword('abort-job')],
    ['natural-language-configured', ipp.language('en')],
    ['number-up-default', ipp.integer(1)],
    ['number-up-supported', ipp.integer(1)],
    ['operations-supported', ipp.enum(...Object.values(OPERATION))],
    ['orientation-requested-default', ipp.enum(3)],
    ['orientation-requested-supported', numbers('orientation-requested')],
    ['output-bin-default', ipp.keyword('face-down')],
    ['output-bin-supported', kinds('output-bin')],
    ['overrides-supported', ipp.keyword('document-number', 'pages')],
    ['page-ranges-supported', ipp.boolean(true)],
    ['pages-per-minute', ipp.integer(10)],
    ['pages-per-minute-color', ipp.integer(10)],
    ['pdl-override-supported', ipp.keyword('attempted')],
    ['print-color-mode-default', ipp.keyword('auto')],
    ['print-color-mode-supported', kinds('print-color-mode')],
    ['preferred-attributes-supported', ipp.boolean(false)],
    ['print-content-optimize-default', ipp.keyword('auto')],
    ['print-content-optimize-supported', kinds('print-content-optimize')],
    ['print-quality-default', ipp.enum(4)],
    ['print-quality-supported', numbers('print-quality')],
    ['print-rendering-intent-default', ipp.keyword('auto')],
    ['print-rendering-intent-supported', kinds('print-rendering-intent')],
    ['print-scaling-default', ipp.keyword('none')],
    ['print-scaling-supported', kinds('print-scaling')],
    ['printer-config-change-date-time', ipp.dateTime(now.began)],
    ['printer-config-change-time', ipp.integer(1)],
    [
      'printer-device-id',
      ipp.text('MFG:Little Peel;MDL:Simulated printer;CMD:PDF,JPEG,PWGRaster;'),
    ],
    ['printer-geo-location', ipp.unknown()],
    ['printer-get-attributes-supported', ipp.keyword('document-format')],
    ['printer-icons', ipp.uri(`${host}/icon.png`)],
    ['printer-info', ipp.text('Simulated printer of Little Peel')],
    ['printer-is-accepting-jobs', ipp.boolean(true)],
    ['printer-location', ipp.text('In this computer')],
    ['printer-make-and-model', ipp.text('Simulated printer')],
    ['printer-more-info', ipp.uri(now.address.replace(/^ipp/, 'http'))],
    ['printer-name', ipp.name(name)],
    ['printer-organization', ipp.text('')],
    ['printer-organizational-unit', ipp.text('')],
    ['printer-resolution-default', ipp.resolution(300)],
    ['printer-resolution-supported', ipp.resolution(300)],
    ['printer-state', ipp.enum(now.state)],
    ['printer-state-change-date-time', ipp.dateTime(now.began)],
    ['printer-state-change-time', ipp.integer(1)],
    ['printer-state-reasons', ipp.keyword(now.reason)],
    [
      'printer-supply',
      ipp.octets(
        ...INKS.map(
          (ink, at) => `type=ink;maxcapacity=100;level=${now.inks[at] ?? 0};colorantname=${ink};`,
        ),
      ),
    ],
    ['printer-supply-description', ipp.text(...INKS.map((ink) => `${ink} ink`))],
    ['printer-supply-info-uri', ipp.uri(host)],
    ['printer-up-time', ipp.integer(now.upTime)],
    ['printer-uri-supported', ipp.uri(now.address)],
    ['printer-uuid', ipp.uri(UUID)],
    ['pwg-raster-document-resolution-supported', ipp.resolution(300)],
    ['pwg-raster-document-sheet-back', ipp.keyword('normal')],
    ['pwg-raster-document-type-supported', ipp.keyword(...RASTER_TYPES)],
    ['queued-job-count', ipp.integer(now.queued)],
    ['sides-default', ipp.keyword('one-sided')],
    ['sides-supported', kinds('sides')],
    ['uri-authentication-supported', ipp.keyword('none')],
    ['uri-security-supported', ipp.keyword('none')],
    ['which-jobs-supported', ipp.keyword('completed', 'not-completed')],
  ]);
}
