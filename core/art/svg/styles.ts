import type { Attributes } from './shapes.ts';

/** The plain rules of a file's style sheets. */
export interface StyleRules {
  /** The attributes of an element with what the rules for it say; its own style goes before them. */
  over(name: string, attributes: Attributes): Attributes;
}

interface Rule {
  readonly kind: 'name' | 'class' | 'id';
  readonly key: string;
  readonly declared: Readonly<Record<string, string>>;
}

const WEIGHT = { name: 0, class: 1, id: 2 };

/**
 * Reads rules whose selector is a single name, class or id. Others, and what begins with @, are passed
 * over: nothing is fetched.
 */
export function readStyles(text: string): StyleRules {
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '').replace(/@import[^;]*;/g, '');
  const rules: Rule[] = [];
  for (const [, selectors = '', body = ''] of plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)) {
    const declared = declarations(body);
    for (const selector of selectors.split(',')) {
      const found = /^\s*([.#]?)([\w-]+)\s*$/.exec(selector);
      if (!found?.[2]) continue;
      const kind = found[1] === '.' ? 'class' : found[1] === '#' ? 'id' : 'name';
      rules.push({ kind, key: found[2], declared });
    }
  }
  if (rules.length === 0) return { over: (_, attributes) => attributes };
  rules.sort((one, other) => WEIGHT[one.kind] - WEIGHT[other.kind]);
  return {
    over(name, attributes) {
      const classes = (attributes.class ?? '').split(/\s+/);
      const fits = ({ kind, key }: Rule): boolean =>
        kind === 'name'
          ? key === name
          : kind === 'id'
            ? key === attributes.id
            : classes.includes(key);
      return rules
        .filter(fits)
        .reduce<Attributes>((made, { declared }) => ({ ...made, ...declared }), attributes);
    },
  };
}

/** The declarations of a rule, or of a `style` attribute. */
export function declarations(body: string): Record<string, string> {
  const pairs = body.split(';').flatMap((part) => {
    const at = part.indexOf(':');
    const value = part
      .slice(at + 1)
      .replace(/!important/i, '')
      .trim();
    return at < 0 ? [] : [[part.slice(0, at).trim(), value] as const];
  });
  return Object.fromEntries(pairs);
}
