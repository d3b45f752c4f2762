/** A text of so many letters at most: of a longer one the beginning, with an ellipsis. */
export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most - 1)}…` : text;
