import * as z from 'zod';
import { repeatSchema } from '../../core/piece/index.ts';
import { cutterSchema, materialSchema, USUAL_CUTTER, type Cutter } from '../../core/stock/index.ts';
import { fieldsOf, limitsOf, schemaOf } from './fields.ts';

const cutter: Cutter = { ...USUAL_CUTTER, id: 'c', name: 'By the window' };
const of = fieldsOf(cutterSchema);

test('the limits of a field are those of its schema, also where it may be missing', () => {
  expect(limitsOf(z.number().min(2).max(30))).toEqual({ min: 2, max: 30 });
  expect(limitsOf(z.number().int().min(0).nullable().optional())).toMatchObject({ min: 0 });
  expect(limitsOf(z.number())).toEqual({});
  expect(limitsOf(z.string().max(3))).toEqual({});
  expect(of.length('knifeOffset', 'Knife').given(cutter)).toMatchObject({ min: 0, max: 2 });
});

test('a field may take less than its schema, by what stands beside it', () => {
  const most = of.length('width', 'Widest', { min: 50, max: ({ length }) => length / 2 });
  expect(most.given(cutter)).toMatchObject({ label: 'Widest', min: 50, max: 500 });
});

test('a change names the one value that was typed', () => {
  const field = of.length('overcut', 'Overcut');
  expect([field.read(cutter), field.isTyped]).toEqual([0, true]);
  expect(field.change(1.5)).toEqual({ overcut: 1.5 });
});

test('a share is read and limited in percent and kept as a share', () => {
  const schema = z.object({ opacity: z.number().min(0.02).max(1).optional() });
  const field = fieldsOf(schema).percent('opacity', 'Opacity', {
    missing: 1,
    keep: (share) => (share < 1 ? share : undefined),
  });
  expect(field.given({})).toMatchObject({ min: 2, max: 100, suffix: '%', step: 5 });
  expect([field.read({}), field.read({ opacity: 0.355 })]).toEqual([100, 36]);
  expect(field.change(35)).toEqual({ opacity: 0.35 });
  expect(field.change(100)).toEqual({ opacity: undefined });
});

test('what is missing is shown as what it stands for', () => {
  const material = fieldsOf(materialSchema);
  const finish = material.select(
    'finish',
    'Finish',
    { none: 'No', laminate: 'Yes', foil: 'Foil' },
    { missing: 'none' },
  );
  expect(finish.read({} as never)).toBe('none');
  expect(finish.isTyped).toBe(false);
  const forces = fieldsOf(materialSchema.shape.cut.shape.kiss.unwrap());
  const force = forces.number('force', 'Force', { min: 0, keep: (grams) => grams || null });
  expect(force.read({ force: null, speed: null, passes: 1 })).toBe(0);
  expect([force.change(0), force.change(90)]).toEqual([{ force: null }, { force: 90 }]);
});

test('yes and no are two words to choose from', () => {
  const field = fieldsOf(materialSchema).either('mirrored', 'Printed', {
    yes: 'Mirrored',
    no: 'As seen',
  });
  expect(field.read({ mirrored: true } as never)).toBe('yes');
  expect([field.change('no'), field.change('yes')]).toEqual([
    { mirrored: false },
    { mirrored: true },
  ]);
});

test('a text takes as many letters as its schema, and an empty one where it is not needed', () => {
  expect(of.text('name', 'Name', { needed: true }).given(cutter)).toMatchObject({
    most: 80,
    needed: true,
  });
  expect(of.text('address', 'Address').given(cutter)).toMatchObject({ most: 300, needed: false });
});

test('of several kinds the one that is named has its own values', () => {
  const around = schemaOf(repeatSchema, 'around');
  expect(Object.keys(around.shape).sort()).toEqual(['kind', 'times', 'turned', 'x', 'y']);
  expect(
    fieldsOf(around)
      .number('times', 'Times')
      .given({} as never),
  ).toMatchObject({ min: 2, max: 120 });
});

test('a row is shown only where it has something to say', () => {
  const field = of.length('smallestMark', 'Mark', {
    when: ({ smallestMark }) => smallestMark !== null,
  });
  expect([field.isShown(cutter), field.isShown({ ...cutter, smallestMark: null })]).toEqual([
    true,
    false,
  ]);
});
