/** A number with the word that it counts. */
export const counted = (number: number, one: string, many = `${one}s`): string =>
  `${number} ${number === 1 ? one : many}`;
