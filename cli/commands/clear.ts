import { clearBackground, colorAt, USUAL_CLEARING } from '../../core/art/index.ts';
import { encodePngImage } from '../../core/raster/index.ts';
import { needed, readOptions, refuse, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { writeWhole } from '../files.ts';
import { dpiOf, namedFile, number, oneOf, pixelsOf, readPicture } from '../pictures.ts';

function hex({ options }: Given): string | undefined {
  const { color } = options;
  if (color === undefined) return undefined;
  const read = /^#?([0-9a-f]{6})$/i.exec(String(color));
  return read?.[1]
    ? `#${read[1].toLowerCase()}`
    : refuse(
        `--color: “${color}” is not a colour.`,
        'Write it as hex, such as #f2efe6.',
        '--color',
      );
}

function place({ options }: Given, width: number, height: number): [number, number] | undefined {
  const { at } = options;
  if (at === undefined) return undefined;
  const [x, y, more] = String(at).split(',').map(Number);
  if (
    x === undefined ||
    y === undefined ||
    more !== undefined ||
    !(x >= 0 && y >= 0 && x < width && y < height)
  )
    return refuse(
      `--at: “${at}” is not in the picture.`,
      `Write X,Y in pixels, from 0,0 to ${width - 1},${height - 1}.`,
      '--at',
    );
  return [x, y];
}

export const clear: CliCommand = {
  does: 'Clears the background of a picture.',
  example: 'peel clear thistle.png --out thistle-clear.png --tolerance 0.1',
  usage:
    'peel clear IMAGE --out OUT.png [--color HEX | --at X,Y] [--tolerance E] [--reach border|everywhere] [--json]',
  async run(argv, reader) {
    const given = readOptions(argv, ['out', 'color', 'at', 'tolerance', 'reach']);
    const path = namedFile(given, 'picture');
    const out = needed(given, 'out');
    if (given.options.color !== undefined && given.options.at !== undefined)
      refuse('--color and --at were both given.', 'Give one of them.', '--at');
    const color = hex(given);
    const tolerance = number(given, 'tolerance', {
      least: 0.005,
      most: 0.6,
      other: USUAL_CLEARING.tolerance,
    });
    const reach = oneOf(given, 'reach', ['border', 'everywhere'], 'border');
    const read = await readPicture(path, reader);
    if (read.art.kind === 'vector')
      return refuse(
        `${path} is a vector picture: it has no background of pixels.`,
        'Take out its shapes that you do not want.',
        path,
      );
    const image = await pixelsOf(read, path);
    const at = place(given, image.width, image.height);
    const cleared = clearBackground(image, {
      ...USUAL_CLEARING,
      color: color ?? (at ? colorAt(image, ...at) : null),
      tolerance,
      reach,
    });
    writeWhole(out, encodePngImage(cleared.image, dpiOf(read.art)));
    const { data } = cleared.image;
    let clearPixels = 0;
    for (let from = 3; from < data.length; from += 4) if (data[from] === 0) clearPixels++;
    const share = Math.round((clearPixels / (data.length / 4)) * 1000) / 1000;
    return {
      exit: 0,
      document: {
        file: out,
        width: image.width,
        height: image.height,
        dpi: dpiOf(read.art),
        color: cleared.color ?? null,
        clear: share,
      },
      text: `${out}: ${Math.round(share * 100)} % clear${cleared.color ? `, background ${cleared.color}` : ''}`,
    };
  },
};
