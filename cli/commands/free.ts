import {
  freeSubject,
  SubjectFinder,
  USUAL_FREEING,
  USUAL_STROKE,
} from '../../core/subject/index.ts';
import { encodePngImage, type RgbaImage } from '../../core/raster/index.ts';
import { needed, readOptions, refuse, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { writeWhole } from '../files.ts';
import { dpiOf, namedFile, number, pixelsOf, readPicture } from '../pictures.ts';

type Place = [number, number];

/** Numbers between commas, in twos. */
function places(name: string, value: string, least: number): Place[] {
  const numbers = value.split(',').map((part) => (part.trim() === '' ? NaN : Number(part)));
  const isWhole = numbers.length % 2 === 0 && numbers.length >= least * 2;
  if (!isWhole || !numbers.every(Number.isFinite))
    return refuse(
      `--${name}: “${value}” are no places in the picture.`,
      'Write X,Y,X,Y and so on in pixels.',
      `--${name}`,
    );
  return numbers.flatMap((x, at): Place[] => (at % 2 ? [] : [[x, numbers[at + 1] as number]]));
}

/** The two corners of the frame, within the picture. */
function frame(given: Given, { width, height }: RgbaImage): [Place, Place] {
  const value = needed(given, 'frame');
  const [one, other, more] = places('frame', value, 2);
  const along = (axis: 0 | 1, most: number): Place =>
    [one?.[axis] ?? 0, other?.[axis] ?? 0]
      .map((at) => Math.max(0, Math.min(most, at)))
      .sort((from, to) => from - to) as Place;
  const [[left, right], [top, bottom]] = [along(0, width), along(1, height)];
  if (more || right - left < LEAST_FRAME || bottom - top < LEAST_FRAME)
    return refuse(
      `--frame: “${value}” is no frame in the picture.`,
      `Write X0,Y0,X1,Y1 in pixels, from 0,0 to ${width},${height}.`,
      '--frame',
    );
  return [
    [left, top],
    [right, bottom],
  ];
}

const LEAST_FRAME = 4; // pixels

export const free: CliCommand = {
  does: 'Frees a subject from its photograph.',
  example: 'peel free robin.jpg --out robin.png --frame 420,180,1730,1240 --drop 500,1190,640,1210',
  usage:
    'peel free PHOTO --out PNG --frame X0,Y0,X1,Y1 [--keep X,Y,X,Y,… …] [--drop X,Y,X,Y,… …] [--stroke PX] [--json]',
  async run(argv, reader) {
    const given = readOptions(argv, ['out', 'frame', 'stroke'], { many: ['keep', 'drop'] });
    const path = namedFile(given, 'photograph');
    const out = needed(given, 'out');
    needed(given, 'frame');
    const read = await readPicture(path, reader);
    if (read.art.kind === 'vector')
      return refuse(
        `${path} is a vector picture: nothing in it has to be freed.`,
        'Take out its shapes that you do not want.',
        path,
      );
    const image = await pixelsOf(read, path);
    const { width, height } = image;
    const usual = 2 * USUAL_STROKE * Math.max(width, height);
    const radius = number(given, 'stroke', { least: 1, most: 4000, other: usual }) / 2;
    const strokes = given.many.map(({ name, value }) => ({
      mode: name === 'keep' ? ('keep' as const) : ('drop' as const),
      radius,
      points: places(name, value, 1),
    }));
    const around = frame(given, image);
    const began = performance.now();
    const finder = new SubjectFinder(image);
    const freeing = { ...USUAL_FREEING, around, strokes };
    const freed = freeSubject(image, freeing, finder);
    const seconds = Math.round(performance.now() - began) / 1000;
    writeWhole(out, encodePngImage(freed, dpiOf(read.art)));
    const [[left, top], [right, bottom]] = around;
    let kept = 0;
    for (let at = 3; at < freed.data.length; at += 4) kept += (freed.data[at] as number) / 255;
    const share = Math.round((kept / ((right - left) * (bottom - top))) * 1000) / 1000;
    const holes = finder.find(freeing).holes.length;
    return {
      exit: 0,
      document: { width, height, share, holes, seconds },
      text: `${out}: ${Math.round(share * 100)} % of the frame stays${holes ? `, ${holes} small holes filled` : ''}`,
    };
  },
};
