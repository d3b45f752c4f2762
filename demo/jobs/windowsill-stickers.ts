import { makeArt, PLAIN_PIXELS, readArt, type Art, type ReadArt } from '../../core/art/index.ts';
import { expectOk, type Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { encodeJpegImage } from '../../core/raster/index.ts';
import { STICKER_EDGE } from '../../core/shape/index.ts';
import { USUAL_FREEING } from '../../core/subject/index.ts';
import { starFlowers } from '../art/borage.ts';
import { PHOTOGRAPHS } from '../art/photographs.ts';
import { thistle } from '../art/thistle.ts';
import { broadLeaf, frond } from '../art/woodland.ts';
import { demoJob, drawings } from './kit.ts';
import { windowsillPlaces } from './nested-places.ts';
import { pictureStickers } from './stickers.ts';

const DPI = 300;

/** Where the plant is in each photograph: two corners, as shares of its sides. */
const FRAMES: Readonly<Record<string, readonly [number, number, number, number]>> = {
  Houseleek: [0.08, 0.08, 0.91, 0.92],
  'Flowering cactus': [0.26, 0.12, 0.74, 0.92],
  Pansy: [0.12, 0.11, 0.89, 0.88],
};

/** How high each picture is, mm: photographs have room around their plants. */
const HEIGHTS: Readonly<Record<string, number>> = {
  ...{ Houseleek: 47, 'Flowering cactus': 50, Pansy: 47 },
  ...{ 'Sea holly': 46, Borage: 46, 'Melancholy thistle': 46 },
  ...{ 'Hart’s tongue': 48, 'Copper beech': 46, 'Lime leaf': 44 },
};

type Kept = ReadonlyMap<string, { art: Art; bytes: Uint8Array }>;

/** Nine plants as stickers: six drawings, and three that are freed from photographs. */
export async function windowsillStickers(platform: Platform): Promise<JobWithArt> {
  const { freed, photographs } = await freedPlants(platform);
  const drawn = await drawings(platform, {
    'Sea holly': thistle({
      tuft: ['#5b5f9c', '#7f84bd', '#b3b6dc'],
      leaf: '#5d7f5a',
      light: '#cfdcc2',
    }),
    Borage: starFlowers({
      petal: '#5a68c8',
      shade: '#333f94',
      eye: '#2a2350',
      leaf: '#4f7f4a',
      light: '#b9d4a8',
    }),
    'Hart’s tongue': frond('#2f6b4f', '#7fae63'),
    'Copper beech': broadLeaf('#8c4a4a', '#e8c7b4', '#5a3a30'),
    'Melancholy thistle': thistle({
      tuft: ['#8a2f6e', '#b0539a', '#d99ac8'],
      leaf: '#4f7a58',
      light: '#c6d8bd',
    }),
    'Lime leaf': broadLeaf('#5f8f4a', '#e2eec6', '#6b5a34'),
  });
  const shown: Kept = new Map([...freed, ...drawn]);
  const pieces = await pictureStickers(platform, shown, {
    look: { bleed: 2, safe: 1, ground: '#ffffff' },
    edge: STICKER_EDGE,
    heights: HEIGHTS,
  });
  return demoJob(
    'own',
    {
      id: 'demo-windowsill-stickers',
      name: 'Windowsill stickers',
      pieces,
      wanted: 3,
      change: (job) => ({
        ...job,
        thing: { kind: 'own', shape: 'rectangle', width: 40, height: 40, allowance: 0 },
        plan: { ...job.plan, arrangement: 'nest', nested: [windowsillPlaces] },
      }),
    },
    new Map([
      ...shown,
      ...[...photographs].map(([name, kept]) => [`${name}, photograph`, kept] as const),
    ]),
  );
}

/** Each photograph, and its plant freed by a frame around it. */
async function freedPlants(platform: Platform): Promise<{ freed: Kept; photographs: Kept }> {
  const freed = new Map<string, ReadArt>();
  const photographs = new Map<string, ReadArt>();
  for (const [name, take] of Object.entries(PHOTOGRAPHS)) {
    const image = take();
    const jpeg = await encodeJpegImage(platform, image, { quality: 90, dpi: DPI });
    const read = expectOk(await readArt(platform, jpeg, `${name}.jpg`));
    const kept: ReadArt = { ...read, art: { ...read.art, tags: ['demo'] } };
    const [left, top, right, bottom] = FRAMES[name] ?? [0, 0, 1, 1];
    const { width, height } = image;
    const around: [number, number][] = [
      [Math.round(left * width), Math.round(top * height)],
      [Math.round(right * width), Math.round(bottom * height)],
    ];
    const recipe = { ...PLAIN_PIXELS, free: { ...USUAL_FREEING, around } };
    photographs.set(name, kept);
    freed.set(name, expectOk(await makeArt(platform, kept, recipe)));
  }
  return { freed, photographs };
}
