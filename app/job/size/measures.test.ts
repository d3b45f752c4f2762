import {
  THING_KINDS,
  thingSchema,
  trySize,
  usualThing,
  type MeasuredThing,
} from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import { isAsked, measuredAgain, MEASURES } from './measures.ts';
import { measureHint, measureName } from './measure-names.ts';
import {
  FRAME,
  thingPicture,
  type SeenFrom,
  type ThingPicture,
} from '../../ui/thing-pictures/index.ts';

const pictureOf = (thing: MeasuredThing, seen: SeenFrom = 'front'): ThingPicture => {
  const flat = trySize(thing);
  if (!flat.ok) throw new Error(flat.problem.code);
  return thingPicture(thing, flat.value, seen);
};

describe.each(THING_KINDS)('%s', (kind) => {
  const thing = usualThing(kind);

  test('every measurement that is asked for is one of its own, with a name and choices', () => {
    for (const { key, as } of MEASURES[kind]) {
      expect(Object.keys(thing)).toContain(key);
      expect(measureName(thing, key)).toMatch(/^[A-Z]/);
      if (as !== 'choice') continue;
      const value = String((thing as unknown as Record<string, unknown>)[key]);
      expect(Object.keys(texts.size.choices[`${kind} ${key}`] ?? {})).toContain(value);
    }
    expect(measureHint(thing)).toMatch(/\.$/);
  });

  test('every choice that is offered makes a thing that can be sized', () => {
    for (const { key, as } of MEASURES[kind].filter((measure) => measure.as === 'choice')) {
      expect(as).toBe('choice');
      for (const value of Object.keys(texts.size.choices[`${kind} ${key}`] ?? {})) {
        const again = measuredAgain(thing, key, value);
        expect(thingSchema.safeParse(again).success).toBe(true);
        expect(trySize(again).ok).toBe(true);
      }
    }
  });

  test('is drawn inside its frame, and what is typed into the drawing is asked for', () => {
    const { lines, fields } = pictureOf(thing);
    expect(lines.some(({ look }) => look === 'label')).toBe(true);
    expect(fields.length).toBeGreaterThan(0);
    for (const { key, x, y } of fields) {
      expect(MEASURES[kind].map((measure) => measure.key)).toContain(key);
      expect(isAsked(thing, key)).toBe(true);
      expect([x > 20, x < FRAME.width - 10, y > 5, y < FRAME.height - 5]).toEqual([
        true,
        true,
        true,
        true,
      ]);
    }
    for (const { d } of lines) expect(d).not.toMatch(/NaN|Infinity|undefined/);
  });

  test('fields in the drawing do not lie on each other', () => {
    const { fields } = pictureOf(thing);
    for (const one of fields)
      for (const other of fields)
        if (one !== other)
          expect(Math.abs(one.x - other.x) > 60 || Math.abs(one.y - other.y) > 24).toBe(true);
  });
});

test('another way of measuring keeps the thing as it is', () => {
  const around = measuredAgain(usualThing('lid'), 'measured', 'circumference');
  expect(around).toMatchObject({ measured: 'circumference', size: 210.5 });
  expect(measuredAgain(around, 'measured', 'diameter')).toMatchObject({ size: 67 });
  const along = measuredAgain(usualThing('taper'), 'measured', 'slant');
  expect(along).toMatchObject({ size: 81 });
  const high = measuredAgain(usualThing('picture', { ratio: 2 }), 'measured', 'height');
  expect(high).toMatchObject({ size: 30 });
});

test('a label that does not go all round has no ends to overlap', () => {
  const half = measuredAgain(usualThing('wrap'), 'angle', 180);
  expect(half).toMatchObject({ angle: 180, overlap: 0 });
  expect(measuredAgain(half, 'angle', 360)).toMatchObject({ overlap: 10 });
  expect(measuredAgain(usualThing('wrap'), 'angle', 360)).toMatchObject({ overlap: 10 });
});

test('what does not apply is not asked', () => {
  expect(isAsked(usualThing('tag', { opening: 'none' }), 'hole')).toBe(false);
  expect(isAsked(usualThing('case', { for: 'slim' }), 'spine')).toBe(false);
  expect(isAsked(usualThing('band', { strip: null }), 'strip')).toBe(false);
  expect(isAsked(usualThing('own', { shape: 'circle' }), 'height')).toBe(false);
});

test('a pot turned round shows where its ends meet, a half label shows nothing there', () => {
  const looks = (thing: MeasuredThing): string[] =>
    pictureOf(thing, 'back').lines.map(({ look }) => look);
  expect(looks(usualThing('taper'))).toContain('overlap');
  expect(looks(usualThing('wrap', { angle: 120, overlap: 0 }))).not.toContain('label');
});
