/** What colours do on the labels of a set. */
export const COLOR_ROLES = ['ground', 'main', 'second', 'accent'] as const;
export type ColorRole = (typeof COLOR_ROLES)[number];

/** What typefaces do there: names and headings, what is said, and what is read closely. */
export const FACE_ROLES = ['title', 'text', 'small'] as const;
export type FaceRole = (typeof FACE_ROLES)[number];
