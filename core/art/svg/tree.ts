import { problem, ProblemError, readXml } from '../../base/index.ts';
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
  const open: { name: string; attributes: Attributes; children: SvgElement[] }[] = [];
  const ids = new Map<string, SvgElement>();
  let root: SvgElement | undefined;
  let styles = '';
  let count = 0;
  readXml(text, {
    doctype(doctype) {
      if (/<!ENTITY/i.test(doctype))
        throw new ProblemError(problem('art/entities', { name }, name));
    },
    open(own, attributes) {
      if (++count > MOST_ELEMENTS)
        throw new ProblemError(
          problem('art/too-many-shapes', { name, most: ART_LIMITS.shapes }, name),
        );
      const element = { name: own, attributes, children: [] };
      const parent = open[open.length - 1];
      if (parent) parent.children.push(element);
      else root ??= element;
      const { id } = attributes;
      if (id !== undefined && !ids.has(id)) ids.set(id, element);
      open.push(element);
    },
    close: () => void open.pop(),
    text(said) {
      if (/^(svg:)?style$/.test(open[open.length - 1]?.name ?? '')) styles += said;
    },
  });
  return { root, ids, styles };
}
