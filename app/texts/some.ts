/** Some of several things by name, and how many more there are. */
export const some = (names: readonly string[], most: number): string =>
  names.slice(0, most).join('; ') + (names.length > most ? ` and ${names.length - most} more` : '');
