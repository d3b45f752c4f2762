import { problem, ProblemError } from '../../base/index.ts';

/** How much text the entities of a file may bring at most. */
const MOST_ENTITY_TEXT = 2 * 1024 * 1024;
const MOST_ENTITY_DEPTH = 8;

/**
 * The text of an SVG file with what the reader needs and many programs forgot: the namespaces that it
 * uses, no document type, its own entities written out, no letters that XML does not know. Throws a
 * problem for entities that unfold without end.
 */
export function repairSvg(bytes: Uint8Array, name: string): string {
  const text = decoded(bytes);
  const { body, entities } = withoutDoctype(text);
  const spelt = new Entities(entities, name).written(body);
  return withNamespaces(stray(spelt));
}

function decoded(bytes: Uint8Array): string {
  const [one, two] = bytes;
  if (one === 0xff && two === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (one === 0xfe && two === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  const text = new TextDecoder().decode(bytes);
  const said = /^\s*<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(text)?.[1]?.toLowerCase();
  if (said === undefined || said.startsWith('utf')) return text;
  try {
    return new TextDecoder(said).decode(bytes);
  } catch {
    return text;
  }
}

/** The text without its declaration and document type, and the entities that this defines. */
function withoutDoctype(text: string): { body: string; entities: ReadonlyMap<string, string> } {
  const entities = new Map<string, string>();
  const body = text.replace(/^\uFEFF/, '').replace(/<\?xml[^>]*\?>/i, '');
  const start = body.indexOf('<!DOCTYPE');
  if (start < 0 || /<(svg:)?svg[\s>]/i.test(body.slice(0, start))) return { body, entities };
  const inner = body.slice(start).search(/[[>]/) + start;
  const inside = body[inner] === '[';
  const close = inside ? body.indexOf(']', inner) : inner;
  const end = body.indexOf('>', close);
  if (close < 0 || end < 0) return { body, entities };
  if (inside)
    for (const [, key = '', double, single] of body
      .slice(inner, close)
      .matchAll(/<!ENTITY\s+([\w.:-]+)\s+(?:"([^"]*)"|'([^']*)')\s*>/g))
      if (!entities.has(key)) entities.set(key, double ?? single ?? '');
  return { body: body.slice(0, start) + body.slice(end + 1), entities };
}

class Entities {
  private readonly known: ReadonlyMap<string, string>;
  private readonly name: string;
  private brought = 0;

  constructor(known: ReadonlyMap<string, string>, name: string) {
    this.known = known;
    this.name = name;
  }

  written(text: string, depth = 0): string {
    if (this.known.size === 0) return text;
    return text.replace(/&([\w.:-]+);/g, (whole, key: string) => {
      const found = this.known.get(key);
      if (found === undefined) return whole;
      this.brought += found.length;
      if (this.brought > MOST_ENTITY_TEXT || depth >= MOST_ENTITY_DEPTH)
        throw new ProblemError(problem('art/entities', { name: this.name }, this.name));
      return this.written(found, depth + 1);
    });
  }
}

/** Without control characters, and with each lone `&` written as one. */
function stray(text: string): string {
  return text
    .replace(/[^\P{Cc}\t\n\r]|[\uFFFE\uFFFF]/gu, '')
    .replace(/&(?!(?:#\d{1,7}|#x[\da-f]{1,6}|amp|lt|gt|quot|apos);)/gi, '&amp;');
}

const KNOWN_SPACES: Readonly<Record<string, string>> = {
  svg: 'http://www.w3.org/2000/svg',
  xlink: 'http://www.w3.org/1999/xlink',
};

/** Adds the namespaces that are used and nowhere declared to the first element. */
function withNamespaces(text: string): string {
  const root = /<(?:(\w+):)?svg\b/i.exec(text);
  if (!root) return text;
  const added: string[] = [];
  const head = text.slice(root.index, text.indexOf('>', root.index) + 1);
  if (!root[1] && !/\sxmlns\s*=/.test(head)) added.push(`xmlns="${KNOWN_SPACES.svg}"`);
  const used = new Set<string>();
  for (const [, prefix = ''] of text.matchAll(
    /[\s<]\/?([A-Za-z_][\w.-]*):[A-Za-z_][\w.-]*(?=[\s=/>])/g,
  ))
    used.add(prefix);
  for (const prefix of used)
    if (prefix !== 'xml' && prefix !== 'xmlns' && !new RegExp(`xmlns:${prefix}\\s*=`).test(text))
      added.push(`xmlns:${prefix}="${KNOWN_SPACES[prefix] ?? `urn:undeclared:${prefix}`}"`);
  const at = root.index + root[0].length;
  return added.length ? `${text.slice(0, at)} ${added.join(' ')}${text.slice(at)}` : text;
}
