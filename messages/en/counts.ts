const RULES = new Intl.PluralRules('en');

/** A whole number with its thousands apart. */
export const count = (number: number): string => number.toLocaleString('en');

/** The form of a word that goes with a number. */
export const form = (number: number, one: string, other: string): string =>
  RULES.select(number) === 'one' ? one : other;

/** A number with the word that it counts. */
export const plural = (number: number, one: string, other = `${one}s`): string =>
  `${number} ${form(number, one, other)}`;

/** Some of what is meant, by name, and how many more there are. */
export const some = (names: readonly string[], total = names.length): string => {
  const more = total - names.length;
  return names.join(', ') + (more > 0 ? ` and ${more} more` : '');
};
