import fc from 'fast-check';
import {
  encodeIpp,
  firstValue,
  GROUP,
  ipp,
  parseIpp,
  textsOf,
  type IppMessage,
} from './ipp-message.ts';

const group = (tag: number, attributes: Record<string, ReturnType<typeof ipp.name>>) => ({
  tag,
  attributes: new Map(Object.entries(attributes)),
});
const MESSAGE: IppMessage = {
  version: [1, 1],
  code: 2,
  request: 7,
  groups: [
    group(GROUP.operation, {
      'attributes-charset': ipp.charset('utf-8'),
      'attributes-natural-language': ipp.language('en'),
      'job-name': ipp.name('Moss & fern'),
    }),
    group(GROUP.job, {
      copies: ipp.integer(-3),
      duplex: ipp.boolean(true),
      media: ipp.keyword('iso_a4_210x297mm', 'iso_a5_148x210mm'),
      pages: ipp.range(1, 99),
      dots: ipp.resolution(300),
      none: ipp.noValue(),
      'media-col': ipp.collection({
        'media-size': ipp.collection({ 'x-dimension': ipp.integer(21000) }),
        'media-type': ipp.keyword('labels'),
      }),
    }),
  ],
};

test('the bytes of a request are those of the standard', () => {
  const one = encodeIpp({ ...MESSAGE, groups: [group(1, { copies: ipp.integer(2) })] });
  // RFC 8010, 3.1: version, operation, request, group, tag, name, value, end.
  expect(Buffer.from(one).toString('hex')).toBe(
    '0101' +
      '0002' +
      '00000007' +
      '01' +
      '21' +
      '0006' +
      '636f70696573' +
      '0004' +
      '00000002' +
      '03',
  );
});

test('what is written is read back, with the document that follows it', () => {
  const bytes = Buffer.concat([encodeIpp(MESSAGE), Buffer.from('%PDF-1.7')]);
  const read = parseIpp(new Uint8Array(bytes));
  if (!read.ok) throw new Error(read.problem.code);
  expect(read.value.message).toEqual(MESSAGE);
  expect(Buffer.from(read.value.document).toString()).toBe('%PDF-1.7');
  expect(firstValue(read.value.message, GROUP.job, 'copies')).toBe(-3);
  expect(textsOf(read.value.message, GROUP.job, 'media')).toHaveLength(2);
});

test.each([
  ['nothing', ''],
  ['half a head', '0101000200'],
  ['no end', '010100020000000701'],
  ['a value before any group', '010100020000000721'],
  ['a value that ends too soon', '01010002000000070121000663'],
  ['a number of three bytes', '010100020000000701210006636f706965730003000002' + '03'],
  ['a value without a name', '0101000200000007012100000004000000020303'],
  ['an end of a collection that never began', '010100020000000701370001610000' + '03'],
])('%s is refused', (_, hex) => {
  expect(parseIpp(new Uint8Array(Buffer.from(hex, 'hex')))).toMatchObject({
    ok: false,
    problem: { code: 'ipp/malformed' },
  });
});

test('collections that lie too deep in each other, and attributes without number, are refused', () => {
  let deep = ipp.collection({ end: ipp.integer(1) });
  for (let at = 0; at < 20; at++) deep = ipp.collection({ in: deep });
  const many = Object.fromEntries(
    Array.from({ length: 5000 }, (_, at) => [`a${at}`, ipp.integer(at)]),
  );
  for (const attributes of [{ deep }, many])
    expect(parseIpp(encodeIpp({ ...MESSAGE, groups: [group(2, attributes)] })).ok).toBe(false);
});

test('any bytes are read or refused, and nothing else', () => {
  const whole = encodeIpp(MESSAGE);
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
      expect(typeof parseIpp(bytes).ok).toBe('boolean');
    }),
  );
  fc.assert(
    fc.property(fc.nat(whole.length - 1), fc.nat(255), fc.nat(whole.length), (at, byte, length) => {
      const torn = whole.slice(0, length);
      if (at < torn.length) torn[at] = byte;
      expect(typeof parseIpp(torn).ok).toBe('boolean');
    }),
    { numRuns: 2000 },
  );
});

test('a message of groups, of values or of bytes without an end is refused at once', () => {
  const head = [1, 1, 0, 2, 0, 0, 0, 7];
  const groups = new Uint8Array(64_000_000).fill(1);
  groups.set(head);
  const value = [0x44, 0, 1, 97, 0, 1, 98];
  const values = Uint8Array.from([
    ...head,
    1,
    ...value,
    ...Array(9000).fill([0x44, 0, 0, 0, 1, 98]).flat(),
  ]);
  const long = (name: number): number[] => [0x30, 0, 1, name, 0x7f, 0xff, ...Array(0x7fff).fill(1)];
  const bytes = Uint8Array.from([
    ...head,
    1,
    ...Array.from({ length: 130 }, (_, at) => long(at + 1)).flat(),
    3,
  ]);
  for (const [message, fault] of [
    [groups, 'too-many-groups'],
    [values, 'too-many-attributes'],
    [bytes, 'too-long'],
  ] as const) {
    expect(parseIpp(message)).toMatchObject({ problem: { values: { fault } } });
  }
});
