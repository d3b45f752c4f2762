import type * as z from 'zod';
import { valueAt, type ValuePath } from '../base/index.ts';

type Fields = Record<string, unknown>;

const asFields = (value: unknown): Fields =>
  typeof value === 'object' && value !== null ? (value as Fields) : {};

const quoted = (value: unknown): string | undefined =>
  typeof value === 'string' && value.trim() !== ''
    ? `“${value.length > 28 ? `${value.slice(0, 27)}…` : value}”`
    : undefined;

const PARTS: Readonly<Record<string, string>> = {
  name: 'the name of the job',
  today: 'the date of the job',
  thing: 'the thing',
  pieces: 'the pieces',
  stock: 'the sheet',
  material: 'the material',
  plan: 'the sheet plan',
  list: 'the list',
  oneOffs: 'what single copies have of their own',
  accepted: 'the accepted findings',
  art: 'the art',
  typefaces: 'the typefaces',
  design: 'the design',
};

/** Where in a job something stands, as its people would say it: `“Seal”, words “Mint”, size`. */
export function placeInWords(job: unknown, path: ValuePath): string {
  const [part, which, ...rest] = path;
  const found = asFields(valueAt(job, path.slice(0, 2)));
  if (part === 'pieces' && which !== undefined)
    return [quoted(found.name) ?? `piece ${Number(which) + 1}`, ...withinPiece(found, rest)].join(
      ', ',
    );
  if (part === 'list' && which === 'rows' && rest.length > 0)
    return `row ${Number(rest[0]) + 1} of the list`;
  if ((part === 'art' || part === 'typefaces') && which !== undefined)
    return [quoted(found.name ?? found.family) ?? PARTS[part], ...rest].join(', ');
  const named = PARTS[String(part)] ?? String(part ?? 'the job');
  return [named, ...[which, ...rest].filter((one) => typeof one === 'string')].join(', ');
}

function withinPiece(piece: Fields, [field, at, ...rest]: ValuePath): string[] {
  if (field === undefined) return [];
  if (field !== 'elements' || at === undefined)
    return [field, at, ...rest].filter((one) => typeof one === 'string');
  const element = asFields(valueAt(piece, [field, at]));
  const kind = typeof element.kind === 'string' ? element.kind : `element ${Number(at) + 1}`;
  const title = quoted(element.name) ?? quoted(element.text);
  return [title ? `${kind} ${title}` : kind, ...rest.filter((one) => typeof one === 'string')];
}

/** What a schema has against a value, in words. */
export function issueInWords(issue: z.core.$ZodIssue, value: unknown): string {
  const shown = typeof value === 'number' ? `${Math.round(value * 1000) / 1000} is` : 'there is';
  switch (issue.code) {
    case 'too_small':
      if (issue.origin === 'number') return `${shown} too small, the least is ${issue.minimum}`;
      return issue.origin === 'string' ? 'it is empty' : `at least ${issue.minimum} are needed`;
    case 'too_big':
      if (issue.origin === 'number') return `${shown} too large, the most is ${issue.maximum}`;
      return issue.origin === 'string'
        ? `it has more than ${issue.maximum} letters`
        : `${issue.maximum} are the most`;
    case 'custom':
      return issue.message;
    default:
      return 'it is not what can stand there';
  }
}
