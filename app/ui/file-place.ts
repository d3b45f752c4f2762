/** Where a file belongs, told by its name and kind. */
export type FilePlace = 'shelf' | 'list' | 'palette' | 'template' | 'artwork';

/** What a file is meant for: a job or backup, a list, a template, or something to be seen or set in. */
export function placeOf({ name, type }: Pick<File, 'name' | 'type'>): FilePlace {
  if (/\.peel$/i.test(name) || /backup.*\.zip$/i.test(name)) return 'shelf';
  if (/\.(csv|tsv|xlsx|ods|txt)$/i.test(name) || type === 'text/csv') return 'list';
  if (/\.(gpl|hex|css)$/i.test(name) || type === 'text/css') return 'palette';
  return /\.json$/i.test(name) ? 'template' : 'artwork';
}

/** Whether a file on the shelf begins stickers: a picture or an outline, not an archive. */
export const isPictureFile = ({ name, type }: Pick<File, 'name' | 'type'>): boolean =>
  /^image\//.test(type) || /\.(pdf|ai|dxf)$/i.test(name);
