import type { SvgElement } from './tree.ts';

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');

/** An element as markup. */
export function markupOf({ name, attributes, children }: SvgElement): string {
  const own = Object.entries(attributes)
    .map(([key, value]) => ` ${key}="${escaped(value)}"`)
    .join('');
  return children.length
    ? `<${name}${own}>${children.map(markupOf).join('')}</${name}>`
    : `<${name}${own}/>`;
}
