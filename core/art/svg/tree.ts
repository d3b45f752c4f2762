import { SaxesParser } from 'saxes';
import { problem, ProblemError } from '../../base/index.ts';
import { ART_LIMITS } from '../limits.ts';
import type { Attributes } from './shapes.ts';

/** An element of an SVG file with what stands in it. */
export interface SvgElement {
  readonly name: string;
  readonly attributes: Attributes;
  readonly children: readonly SvgElement[];
}

/** An SVG file as its elements; only the text of style sheets is kept. */
export interface SvgTree {
  readonly root: SvgElement | undefined;
  readonly ids: ReadonlyMap<string, SvgElement>;
  readonly styles: string;
}

/** Elements of one file: shapes and all that is around them. */
const MOST_ELEMENTS = 4 * ART_LIMITS.shapes;

/** Reads the elements of an SVG file. Throws a problem for entities and for too many elements. */
export function parseSvgTree(text: string, name: string): SvgTree {
  const parser = new SaxesParser({ xmlns: false, fragment: false });
  const open: { name: string; attributes: Attributes; children: SvgElement[] }[] = [];
  const ids = new Map<string, SvgElement>();
  let root: SvgElement | undefined;
  let styles = '';
  let count = 0;
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY/i.test(doctype)) throw new ProblemError(problem('art/entities', { name }, name));
  });
  parser.on('opentag', (tag) => {
    if (++count > MOST_ELEMENTS)
      throw new ProblemError(
        problem('art/too-many-shapes', { name, most: ART_LIMITS.shapes }, name),
      );
    const element = { name: tag.name, attributes: tag.attributes, children: [] };
    const parent = open[open.length - 1];
    if (parent) parent.children.push(element);
    else root ??= element;
    const { id } = tag.attributes;
    if (id !== undefined && !ids.has(id)) ids.set(id, element);
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  const hear = (said: string): void => {
    if (/^(svg:)?style$/.test(open[open.length - 1]?.name ?? '')) styles += said;
  };
  parser.on('text', hear);
  parser.on('cdata', hear);
  parser.write(text).close();
  return { root, ids, styles };
}
