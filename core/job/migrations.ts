import { err, ok, type JobSource, type Result } from '../base/index.ts';
import {
  materialFromVersion9,
  MATT_PAPER,
  stockFromVersion2,
  USUAL_MARKS,
} from '../stock/index.ts';
import { typefaceFromVersion12 } from '../type/index.ts';
import { withEachThing } from './set.ts';
import { withoutTooMuch } from './too-much.ts';
import { jobSchema, VERSION, type Job } from './schema.ts';

export type Plain = Record<string, unknown>;

/** The material was part of a plain sheet's name. */
const plainName = (name: unknown): unknown =>
  typeof name === 'string' ? name.replace(/ matt sticker paper$/, '') : name;

function withoutSlimSpine(thing: unknown): unknown {
  const { kind, for: holds } = (thing ?? {}) as Plain;
  return kind === 'case' && holds === 'slim' ? { ...(thing as Plain), spine: 0 } : thing;
}

/** From each version to the next. Pure; each has an example in `examples/`. */
const MIGRATIONS: Readonly<Record<number, (old: Plain) => Plain>> = {
  /** One quantity for the whole job became one for each piece; copies could not be moved by hand. */
  1: ({ plan, pieces, ...rest }) => {
    const { quantity, ...kept } = plan as Plain;
    const wanted = Object.fromEntries((pieces as Plain[]).map(({ id }) => [id, quantity]));
    return { ...rest, pieces, version: 2, plan: { ...kept, wanted, moved: {} } };
  },
  /** Sheets had a colour and no material; marks were dots in four corners; no sheet was started. */
  2: ({ plan, stock, ...rest }) => {
    const { marks, ...kept } = plan as Plain;
    const { color, name } = stock as Plain;
    const old = marks as Plain;
    return {
      ...rest,
      version: 3,
      stock: { ...(stockFromVersion2(stock) as Plain), name: plainName(name) },
      material: { ...MATT_PAPER, color },
      plan: { ...kept, used: [], marks: { ...USUAL_MARKS, ...old, insetEnds: old.inset } },
    };
  },
  /** Edges that are built, more shapes, frames and recipes came; nothing that was there changed. */
  3: (old) => ({ ...old, version: 4 }),
  /** More can fill words, plates and grounds than a colour, and there are more kinds of element. */
  4: (old) => ({ ...old, version: 5 }),
  /** Shapes put together, variants, lists, typefaces of one's own and designs came. */
  5: (old) => ({ ...old, version: 6 }),
  /** Copies can be nested. */
  6: (old) => ({ ...old, version: 7 }),
  /** Copies can be pinned, spares are made, and pieces stand in others as stickers. */
  7: (old) => ({ ...old, version: 8 }),
  /** Rows of a list have keys and can be switched off, and single copies can differ. */
  8: ({ list, ...rest }) => {
    if (!list) return { ...rest, version: 9 };
    const { columns, rows } = list as { columns: unknown; rows: unknown[] };
    const keyed = rows.map((fields, at) => ({ key: `r${at + 1}`, fields }));
    return { ...rest, version: 9, list: { columns, rows: keyed } };
  },
  /** Carriers for cutting have a tack; slim cases have the spine that was measured, which nobody was asked for. */
  9: ({ material, thing, pieces, ...rest }) => ({
    ...rest,
    version: 10,
    material: materialFromVersion9(material),
    thing: withoutSlimSpine(thing),
    pieces: (pieces as Plain[]).map(({ variant, ...piece }) => {
      if (!variant) return piece;
      const { thing: own, ...follows } = variant as Plain;
      return { ...piece, variant: own ? { ...follows, thing: withoutSlimSpine(own) } : follows };
    }),
  }),
  /** Fields of the plan got names that say what they hold. */
  10: ({ plan, ...rest }) => ({
    ...rest,
    version: 11,
    plan: renamed(plan as Plain, {
      each: 'copiesPerRow',
      used: 'usedLabels',
      only: 'printOnly',
      moved: 'handPlaces',
    }),
  }),
  /** Accepted findings are known by what they name, no longer by what they say. */
  11: ({ accepted, ...rest }) => ({
    ...rest,
    version: 12,
    ...(accepted ? { accepted: withSentences(accepted as Readonly<Record<string, Plain>>) } : {}),
  }),
  /** Typefaces have weights and widths, no longer four styles. */
  12: ({ typefaces, ...rest }) => ({
    ...rest,
    version: 13,
    ...(typefaces ? { typefaces: withCuts(typefaces as Plain) } : {}),
  }),
  /** A job can be a set of several things; nothing that was there changed. */
  13: (old) => ({ ...old, version: 14 }),
  /** Things share sheets, and pieces of other jobs are guests on them; nothing that was there changed. */
  14: (old) => ({ ...old, version: 15 }),
};

const withSentences = (accepted: Readonly<Record<string, Plain>>): Plain =>
  Object.fromEntries(
    Object.entries(accepted).map(([key, one]) => [key, renamed(one, { what: 'sentence' })]),
  );

const withCuts = (typefaces: Plain): Plain =>
  Object.fromEntries(
    Object.entries(typefaces).map(([id, one]) => [id, typefaceFromVersion12(one)]),
  );

const renamed = (record: Plain, names: Readonly<Record<string, string>>): Plain =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [names[key] ?? key, value]));

/** Reads a job document of this or an earlier version. */
export function parseJob(document: unknown, source: JobSource = { kind: 'job' }): Result<Job> {
  const migrated = tryMigrate(document, source);
  if (!migrated.ok) return migrated;
  const read = jobSchema.safeParse(migrated.value);
  // What cannot be drawn is as if it was not there.
  if (read.success) return ok(withEachThing(read.data, (thing) => withoutTooMuch(thing)));
  const [issue] = read.error.issues;
  return err(
    'job/unread',
    { source, because: 'damaged', at: issue?.path.join('.') ?? '' },
    source.name,
  );
}

/** A job document of this or an earlier version as one of this version, not yet looked at. */
export function tryMigrate(document: unknown, source: JobSource): Result<Plain> {
  if (typeof document !== 'object' || document === null) {
    return err('job/unread', { source, because: 'no-job' }, source.name);
  }
  let plain = document as Plain;
  if (typeof plain.version === 'number' && plain.version > VERSION) {
    return err('job/newer', { source, version: plain.version, reads: VERSION }, source.name);
  }
  try {
    while (plain.version !== VERSION) {
      const migrate = MIGRATIONS[Number(plain.version)];
      if (!migrate) return err('job/unread', { source, because: 'no-version' }, source.name);
      plain = migrate(plain);
    }
  } catch {
    return err('job/unread', { source, because: 'other-version' }, source.name);
  }
  return ok(plain);
}
