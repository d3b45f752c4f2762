import { expectGood } from '../../core/base/index.ts';
import { flatten } from '../../core/geometry/index.ts';
import { shapePath } from '../../core/shape/index.ts';
import { trySize, type MeasuredThing } from '../../core/things/index.ts';
import { length, readOptions, refuse, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';

type Kind = MeasuredThing['kind'];

const KINDS: Record<Kind, { options: readonly string[]; read(given: Given): MeasuredThing }> = {
  lid: {
    options: ['diameter', 'circumference', 'clearance'],
    read(given) {
      const around = given.options.circumference !== undefined;
      if (around && given.options.diameter !== undefined) {
        refuse(
          '--diameter and --circumference were both given.',
          'Give the one that was measured.',
        );
      }
      const measured = around ? 'circumference' : 'diameter';
      return {
        kind: 'lid',
        measured,
        size: length(given, measured),
        clearance: length(given, 'clearance', 0),
      };
    },
  },
  face: {
    options: ['width', 'height', 'radius', 'clearance'],
    read: (given) => ({
      kind: 'face',
      width: length(given, 'width'),
      height: length(given, 'height'),
      radius: length(given, 'radius', 0),
      clearance: length(given, 'clearance', 0),
    }),
  },
};

export const size: CliCommand = {
  usage: 'peel size lid|face … --json',
  run(argv) {
    const [name, ...rest] = argv;
    const kind = Object.hasOwn(KINDS, name ?? '') ? KINDS[name as Kind] : undefined;
    if (!kind)
      return refuse(
        name ? `“${name}” is not a kind of thing.` : 'No kind of thing was named.',
        `Accepted: ${Object.keys(KINDS).join(', ')}.`,
      );
    const thing = kind.read(readOptions(rest, kind.options));
    for (const [key, value] of Object.entries(thing)) {
      if (
        typeof value === 'number' &&
        (value < 0 || (value === 0 && !['clearance', 'radius'].includes(key)))
      ) {
        refuse(
          `--${key === 'size' ? 'diameter' : key} is ${value} mm.`,
          'A measurement is more than nothing.',
        );
      }
    }
    const flat = expectGood(trySize(thing));
    const outline = flatten(shapePath(flat.shape), 0.01).map((ring) =>
      ring.map(({ x, y }) => [x, y]),
    );
    const zones = [{ name: 'front', outline }];
    const { width, height, warnings } = flat;
    return Promise.resolve({
      exit: 0,
      document: { outline, zones, folds: [], width, height, warnings },
      text: [`${width.toFixed(1)} x ${height.toFixed(1)} mm`, ...warnings].join('\n'),
    });
  },
};
