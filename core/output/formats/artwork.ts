import { artworkSvg } from '../artwork-svg.ts';
import { fileStem } from '../names.ts';
import { utf8, type FormatWriter } from './format.ts';

/** Each piece as an SVG of its own. */
export const artwork: FormatWriter = {
  scope: 'job',
  write: ({ seen, resources, stem }) =>
    Promise.resolve(
      [...seen.pieces.values()].map((compiled) => {
        const { id, name } = compiled.piece;
        const bytes = utf8(artworkSvg(compiled, seen.job, resources));
        return { name: `${stem}-${fileStem(name)}-${id}.svg`, bytes };
      }),
    ),
};
