/** Where a file belongs, told by its name and kind. */
export type FilePlace = 'shelf' | 'list' | 'template' | 'artwork';

/** What a file is meant for: a job or backup, a list, a template, or something to be seen or set in. */
export function placeOf({ name, type }: Pick<File, 'name' | 'type'>): FilePlace {
  if (/\.peel$/i.test(name) || /backup.*\.zip$/i.test(name)) return 'shelf';
  if (/\.(csv|tsv|xlsx|txt)$/i.test(name) || type === 'text/csv') return 'list';
  return /\.json$/i.test(name) ? 'template' : 'artwork';
}
