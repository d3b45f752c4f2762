import { expectOk } from '../../core/base/index.ts';
import { flatten, type Ring } from '../../core/geometry/index.ts';
import { shapePath } from '../../core/shape/index.ts';
import {
  THING_KINDS,
  thingSchema,
  trySize,
  type FlatSize,
  type MeasuredThing,
} from '../../core/things/index.ts';
import { sizeWarningText } from '../../messages/index.ts';
import { decimal, length, readOptions, refuse, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';

type Kind = MeasuredThing['kind'];
type Measurements = Record<string, unknown>;

interface SizeOptions {
  readonly options: readonly string[];
  read(given: Given): Measurements;
}

/** One of two ways of measuring: which one, and what the ruler said. */
function either(given: Given, one: string, other: string): Measurements {
  const [first, second] = [one, other].map((name) => given.options[name] !== undefined);
  if (first && second)
    return refuse(`--${one} and --${other} were both given.`, 'Give the one that was measured.');
  const measured = second ? other : one;
  return { measured, size: length(given, measured) };
}

const lengths = (given: Given, ...names: readonly string[]): Measurements =>
  Object.fromEntries(names.map((name) => [name, length(given, name)]));

/** Measurements that are nothing unless they are given. */
const extras = (given: Given, ...names: readonly string[]): Measurements =>
  Object.fromEntries(names.map((name) => [name, length(given, name, 0)]));

function oneOf(given: Given, name: string, accepted: readonly string[]): string {
  const value = String(given.options[name] ?? accepted[0]);
  if (accepted.includes(value)) return value;
  return refuse(
    `--${name}: “${value}” is not known.`,
    `Accepted: ${accepted.join(', ')}.`,
    `--${name}`,
  );
}

/** An angle or a count; an angle may have its sign. */
function number({ options }: Given, name: string, other: number): number {
  const value = options[name];
  return value === undefined ? other : decimal(name, String(value).replace(/°$/, ''));
}

const KINDS: Readonly<Record<Kind, SizeOptions>> = {
  lid: {
    options: ['diameter', 'circumference', 'clearance', 'dome'],
    read: (given) => ({
      ...either(given, 'diameter', 'circumference'),
      ...extras(given, 'clearance', 'dome'),
    }),
  },
  wrap: {
    options: ['diameter', 'circumference', 'height', 'overlap', 'angle', 'clearance', 'parts'],
    read: (given) => ({
      ...either(given, 'diameter', 'circumference'),
      ...lengths(given, 'height'),
      ...extras(given, 'overlap', 'clearance'),
      angle: number(given, 'angle', 360),
      parts: number(given, 'parts', 1),
    }),
  },
  taper: {
    options: ['top', 'bottom', 'height', 'slant', 'overlap', 'angle', 'parts'],
    read: (given) => ({
      ...lengths(given, 'top', 'bottom'),
      ...either(given, 'height', 'slant'),
      ...extras(given, 'overlap'),
      angle: number(given, 'angle', 360),
      parts: number(given, 'parts', 1),
    }),
  },
  band: {
    options: ['width', 'depth', 'height', 'around', 'overlap', 'strip', 'flap', 'parts'],
    read: (given) => ({
      ...lengths(given, 'width', 'depth', 'height'),
      around: oneOf(given, 'around', ['h', 'w', 'd']),
      ...extras(given, 'overlap', 'flap'),
      parts: number(given, 'parts', 1),
      strip: given.options.strip === undefined ? null : length(given, 'strip'),
    }),
  },
  face: {
    options: ['width', 'height', 'radius', 'clearance', 'allowance'],
    read: (given) => ({
      ...lengths(given, 'width', 'height'),
      ...extras(given, 'radius', 'clearance', 'allowance'),
    }),
  },
  tag: {
    options: ['width', 'height', 'hole', 'slot', 'rim', 'corner', 'corners', 'sides'],
    read(given) {
      if (given.options.hole !== undefined && given.options.slot !== undefined)
        refuse('--hole and --slot were both given.', 'Give the one that the tag has.');
      const opening =
        given.options.hole !== undefined
          ? 'hole'
          : given.options.slot !== undefined
            ? 'slot'
            : 'none';
      return {
        ...lengths(given, 'width', 'height'),
        opening,
        hole: opening === 'none' ? 5 : length(given, opening),
        rim: length(given, 'rim', 5),
        corner: length(given, 'corner', 0),
        corners: oneOf(given, 'corners', ['clipped', 'round']),
        sides: oneOf(given, 'sides', ['1', '2', 'fold']),
      };
    },
  },
  disc: {
    options: ['outer', 'inner', 'hub'],
    read(given) {
      const hub = length(given, 'hub', 15);
      return { outer: length(given, 'outer', 120), inner: length(given, 'inner', hub), hub };
    },
  },
  case: {
    options: ['for', 'width', 'height', 'spine'],
    read(given) {
      const slim = oneOf(given, 'for', ['disc', 'slim']) === 'slim';
      return {
        for: slim ? 'slim' : 'disc',
        width: length(given, 'width', slim ? 120 : 138),
        height: length(given, 'height', slim ? 120 : 118),
        spine: length(given, 'spine', slim ? 0 : 6.5),
      };
    },
  },
  envelope: {
    options: ['width', 'height', 'use'],
    read: (given) => ({
      ...lengths(given, 'width', 'height'),
      use: oneOf(given, 'use', ['address', 'return', 'seal']),
    }),
  },
  picture: {
    options: ['width', 'height', 'ratio'],
    read: (given) => ({ ...either(given, 'width', 'height'), ratio: number(given, 'ratio', 1) }),
  },
  own: {
    options: ['width', 'height', 'shape', 'allowance'],
    read: (given) => ({
      ...lengths(given, 'width', 'height'),
      ...extras(given, 'allowance'),
      shape: oneOf(given, 'shape', ['rectangle', 'ellipse', 'circle']),
    }),
  },
};

/** What is wrong with a number, by the code of its schema. */
const saysOf = (code: string | undefined): string =>
  code === 'too_small' ? 'too small' : code === 'too_big' ? 'too large' : 'not accepted';

/** The measured thing, once every number is one that a ruler can say. */
function checked(kind: Kind, read: Measurements): MeasuredThing {
  const thing = thingSchema.safeParse({ kind, ...read });
  if (thing.success && thing.data.kind !== 'label-sheet') return thing.data;
  const [issue] = thing.error?.issues ?? [];
  const field = String(issue?.path[0] ?? '');
  const option = field === 'size' ? String(read.measured) : field;
  return refuse(
    `--${option}: ${String(read[field])} is ${saysOf(issue?.code)}.`,
    'A measurement is more than nothing and within 2000 mm.',
    `--${option}`,
  );
}

const pairs = (rings: readonly Ring[]): number[][][] =>
  rings.map((ring) => ring.map(({ x, y }) => [x, y]));

function document(flat: FlatSize): Record<string, unknown> {
  return {
    outline: pairs(flatten(shapePath(flat.shape), 0.01)),
    zones: flat.zones.map(({ name, rings }) => ({ name, outline: pairs(rings) })),
    folds: flat.folds.map((fold) => fold.map(({ x, y }) => [x, y])),
    width: flat.width,
    height: flat.height,
    reading: flat.reading,
    parts: flat.parts,
    warnings: flat.warnings.map(sizeWarningText),
  };
}

export const size: CliCommand = {
  does: 'Computes the flat label of a thing from its measurements.',
  example: 'peel size wrap --diameter 72 --height 80 --overlap 10 --json',
  usage: `peel size ${THING_KINDS.join('|')} … --json`,
  run(argv) {
    const [name, ...rest] = argv;
    if (!name || !Object.hasOwn(KINDS, name))
      return refuse(
        name ? `“${name}” is not a kind of thing.` : 'No kind of thing was named.',
        `Accepted: ${THING_KINDS.join(', ')}.`,
      );
    const kind = name as Kind;
    const given = readOptions(rest, KINDS[kind].options, { words: 0 });
    const flat = expectOk(trySize(checked(kind, KINDS[kind].read(given))));
    const lines = [
      `${flat.width.toFixed(1)} x ${flat.height.toFixed(1)} mm`,
      ...flat.warnings.map(sizeWarningText),
    ];
    return Promise.resolve({ exit: 0, document: document(flat), text: lines.join('\n') });
  },
};
