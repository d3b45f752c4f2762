import { problem, ProblemError } from '../../base/index.ts';
import { ART_LIMITS } from '../limits.ts';
import type { Attributes } from './shapes.ts';
import { declarations, readStyles, type StyleRules } from './styles.ts';
import type { SvgElement, SvgTree } from './tree.ts';

/** Elements that a drawing may unfold to, with all that references bring again and again. */
const MOST_ELEMENTS = 5 * ART_LIMITS.shapes;

/** How deep elements may stand in each other. */
const MOST_NESTING = 200;

const MARKERS = ['marker-start', 'marker-mid', 'marker-end', 'marker'];

/**
 * Refuses a drawing that would unfold to too much, before any of it is drawn: each element is counted
 * once, with what it refers to. Throws a problem.
 */
export function checkUnfolded({ root, ids, styles }: SvgTree, name: string): void {
  if (!root) return;
  const counter = new Counter(ids, readStyles(styles), name);
  if (counter.count(root, 0) > MOST_ELEMENTS) counter.refuse();
}

class Counter {
  private readonly ids: ReadonlyMap<string, SvgElement>;
  private readonly rules: StyleRules;
  private readonly name: string;
  private readonly counted = new Map<SvgElement, number>();
  private readonly open = new Set<SvgElement>();

  constructor(ids: ReadonlyMap<string, SvgElement>, rules: StyleRules, name: string) {
    this.ids = ids;
    this.rules = rules;
    this.name = name;
  }

  refuse(): never {
    throw new ProblemError(
      problem('art/too-many-shapes', { name: this.name, most: ART_LIMITS.shapes }, this.name),
    );
  }

  /** How many elements one unfolds to; one that refers back to itself counts no second time. */
  count(element: SvgElement, depth: number): number {
    const known = this.counted.get(element);
    if (known !== undefined) return known;
    if (this.open.has(element)) return 0;
    if (depth > MOST_NESTING) this.refuse();
    this.open.add(element);
    let sum = 1;
    for (const child of element.children) sum += this.count(child, depth + 1);
    for (const [target, times] of this.references(element))
      sum += times * this.count(target, depth + 1);
    this.open.delete(element);
    this.counted.set(element, sum);
    return sum;
  }

  private *references(element: SvgElement): Iterable<[SvgElement, number]> {
    const attributes: Attributes = {
      ...this.rules.over(element.name, element.attributes),
      ...declarations(element.attributes.style ?? ''),
    };
    const corners = (attributes.d ?? attributes.points ?? '').match(/[\d.]+/g)?.length ?? 1;
    for (const [key, value] of Object.entries(attributes)) {
      const id = /href$/.test(key)
        ? /^#(.+)/.exec(value)?.[1]
        : /^\s*url\(\s*["']?#([^"')]+)/.exec(value)?.[1];
      const found = id === undefined ? undefined : this.ids.get(id);
      if (found) yield [found, MARKERS.includes(key) ? corners : 1];
    }
  }
}
