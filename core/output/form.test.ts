import { readFileSync } from 'node:fs';
import { PDFDocument } from '@cantoo/pdf-lib';
import { expectOk } from '../base/index.ts';
import { createJob, type Job } from '../job/index.ts';
import { parseList } from '../piece/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { usualThing } from '../things/index.ts';
import { say } from '../../messages/index.ts';
import { formPdf, formPlaceholders, printPdf, USUAL_CHOICES, type FormChoices } from './index.ts';

const LIST =
  'name\tbed\nRanunculus acris Flore Pleno\tNorth border\nIvy\tWall\nÉpinard fraise\tKüche';

/** Packet backs of 70 x 40 mm with a field for the name and one for the bed, and plain words. */
const job = (table?: string): Job =>
  runAll(
    createJob('face', { id: 'backs', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: usualThing('face', { width: 70, height: 40, radius: 2, clearance: 0 }) },
    },
    ...[
      exampleWords({ text: '{name}', y: -8, width: 60, height: 10, size: 16 }),
      exampleWords({ text: 'in {bed}', y: 4, width: 50, height: 6, size: 10, align: 'left' }),
      exampleWords({ text: 'Thistle & Fen', y: 14, width: 50, height: 6, size: 9 }),
    ].map((element) => ({
      name: 'add-element' as const,
      args: { piece: 'piece-1', element },
    })),
    ...(table
      ? [
          { name: 'set-list' as const, args: { list: expectOk(parseList(table)) } },
          { name: 'want-rows' as const, args: { piece: 'piece-1', each: 1 } },
        ]
      : [{ name: 'want' as const, args: { piece: 'piece-1', count: 3 } }]),
  );

async function form(of: Job, choices: Partial<FormChoices> = {}): Promise<Uint8Array> {
  const made = await compiled(of, new Map());
  return formPdf(nodePlatform, made.compiled, {
    resources: made.resources,
    say,
    choices: { ...USUAL_CHOICES, ...choices },
  });
}

/** Fields as an outsider reads them, with where each stands, pt from the bottom left. */
async function fieldsOf(bytes: Uint8Array) {
  const read = await PDFDocument.load(bytes);
  return read
    .getForm()
    .getFields()
    .map((field) => ({
      name: field.getName(),
      places: field.acroField.getWidgets().map((widget) => widget.getRectangle()),
    }));
}

test('every label has fields of its own, in the order in which they are read', async () => {
  const bytes = await form(job());
  const path = keep('own.pdf', bytes);
  expect(tool('qpdf', '--check', path)).toContain('No syntax or stream encoding errors');
  const fields = await fieldsOf(bytes);
  expect(fields.map(({ name }) => name).sort()).toEqual(
    [1, 2, 3].flatMap((at) => [`bed piece-1#${at}`, `name piece-1#${at}`]).sort(),
  );
  expect(fields.every(({ places }) => places.length === 1)).toBe(true);
  const plain = tool('qpdf', '--qdf', '--object-streams=disable', path, '-');
  expect(plain).toContain('/Tabs /R');
  // No scrolling (bit 24), centred, sized by the viewer.
  expect(plain.match(/\/Ff 8388608/g)).toHaveLength(6);
  expect(plain.match(/\/Q 1\b/g)).toHaveLength(3);
  expect(plain).toMatch(/\/DA \(\/F0 0 Tf/);
});

test('words that are no field stay printed, and what becomes a field is not', async () => {
  const text = tool('pdftotext', keep('plain.pdf', await form(job())), '-');
  expect(text.match(/Thistle & Fen/g)).toHaveLength(3);
  expect(text).not.toContain('{name}');
});

test('a field that is shared is one with a place on each label', async () => {
  const fields = await fieldsOf(await form(job(), { shared: ['bed'] }));
  const shared = fields.find(({ name }) => name === 'bed');
  expect(shared?.places).toHaveLength(3);
  expect(fields).toHaveLength(4);
});

test('the typeface is embedded whole, so that any letter can be typed', async () => {
  const fonts = tool('pdffonts', keep('fonts.pdf', await form(job())));
  expect(fonts).toMatch(/FrauncesSemibold\s+TrueType\s+WinAnsi\s+yes no/);
});

test('what the list says stands in its fields, accents and all', async () => {
  const bytes = await form(job(LIST), { filled: true });
  const read = (await PDFDocument.load(bytes)).getForm();
  expect(read.getTextField('name piece-1#r3').getText()).toBe('Épinard fraise');
  expect(read.getTextField('bed piece-1#r1').getText()).toBe('in North border');
  const empty = (await PDFDocument.load(await form(job(LIST)))).getForm();
  expect(empty.getTextField('name piece-1#r3').getText() ?? '').toBe('');
});

test('values that an outsider types show whole, in the typeface, however long they are', async () => {
  const read = await PDFDocument.load(await form(job()));
  const typed = ['Ranunculus acris Flore Pleno', 'Ivy', 'Wällflower'];
  typed.forEach((value, at) => {
    read
      .getForm()
      .getTextField(`name piece-1#${at + 1}`)
      .setText(value);
    read
      .getForm()
      .getTextField(`bed piece-1#${at + 1}`)
      .setText(`bed ${at + 1}`);
  });
  // The viewer makes the appearances itself, from the font that stands in the file.
  const path = keep('typed.pdf', await read.save({ updateFieldAppearances: false }));
  const boxes = tool('pdftotext', '-bbox', path, '-');
  const places = await fieldsOf(new Uint8Array(readFileSync(path)));
  typed.forEach((value, at) => {
    const [box] = places.find(({ name }) => name === `name piece-1#${at + 1}`)?.places ?? [];
    if (!box) throw new Error('no field');
    for (const word of value.split(' ')) {
      const found = [...boxes.matchAll(/xMin="([\d.]+)"[^>]*xMax="([\d.]+)"[^>]*>([^<]*)</g)].find(
        ([, left, right, said]) =>
          said === word && Number(left) >= box.x - 0.5 && Number(right) <= box.x + box.width + 0.5,
      );
      expect([word, found !== undefined]).toEqual([word, true]);
    }
  });
});

test('placeholders of a job are told, but counters, curves and lines of several are none', () => {
  const more = runAll(
    job(),
    {
      name: 'add-element',
      args: {
        piece: 'piece-1',
        element: exampleWords({
          text: '{around}',
          path: { kind: 'circle', radius: 15, side: 'outside', angle: 0, reach: 120 },
        }),
      },
    },
    {
      name: 'add-element',
      args: { piece: 'piece-1', element: exampleWords({ text: '{no} {#1}' }) },
    },
  );
  expect(formPlaceholders(more)).toEqual(['name', 'bed']);
});

test('the print file of a list has each row as words that can be searched', async () => {
  const made = await compiled(job(LIST), new Map());
  const pdf = await printPdf(nodePlatform, made.compiled, made.resources);
  const text = tool('pdftotext', keep('rows.pdf', pdf), '-');
  for (const said of ['Ranunculus acris Flore Pleno', 'in Wall', 'Épinard fraise'])
    expect(text.replace(/\s+/g, ' ')).toContain(said);
});
