import {
  shortened,
  valueAt,
  type JobPlace,
  type PlaceStep,
  type ValuePath,
} from '../base/index.ts';

type Fields = Record<string, unknown>;

const asFields = (value: unknown): Fields =>
  typeof value === 'object' && value !== null ? (value as Fields) : {};

/** Longer names are cut. */
const LONGEST = 28;

const textOf = (value: unknown): string | undefined => {
  if (typeof value !== 'string' || value.trim() === '') return undefined;
  return shortened(value, LONGEST);
};

const named = <K extends string>(key: K, value: unknown): Partial<Record<K, string>> => {
  const text = textOf(value);
  return text === undefined ? {} : ({ [key]: text } as Record<K, string>);
};

const fieldsIn = (path: ValuePath): PlaceStep[] =>
  path.flatMap((name): PlaceStep[] => (typeof name === 'string' ? [{ of: 'field', name }] : []));

/** Where in a job a path leads, by the names that its people gave. */
export function jobPlace(job: unknown, path: ValuePath): JobPlace {
  const [part, which, ...rest] = path;
  const found = asFields(valueAt(job, path.slice(0, 2)));
  if (part === 'pieces' && which !== undefined)
    return [
      { of: 'piece', number: Number(which) + 1, ...named('name', found.name) },
      ...placeInPiece(found, rest),
    ];
  if (part === 'list' && which === 'rows' && rest.length > 0)
    return [{ of: 'row', number: Number(rest[0]) + 1 }];
  if (part === 'art' && which !== undefined)
    return [{ of: 'art', ...named('name', found.name) }, ...fieldsIn(rest)];
  if (part === 'typefaces' && which !== undefined)
    return [{ of: 'typeface', ...named('name', found.family) }, ...fieldsIn(rest)];
  return [{ of: 'part', name: String(part ?? 'job') }, ...fieldsIn(path.slice(1))];
}

function placeInPiece(piece: Fields, path: ValuePath): JobPlace {
  const [field, at, ...rest] = path;
  if (field !== 'elements' || at === undefined) return fieldsIn(path);
  const element = asFields(valueAt(piece, [field, at]));
  const step: PlaceStep = {
    of: 'element',
    number: Number(at) + 1,
    ...named('kind', element.kind),
    ...named('title', textOf(element.name) ?? element.text),
  };
  return [step, ...fieldsIn(rest)];
}
