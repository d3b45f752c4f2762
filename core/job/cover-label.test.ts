import { isProblem } from '../base/index.ts';
import { artSize, type Art } from '../art/index.ts';
import { pictureSize, pieceSize, type Picture } from '../piece/index.ts';
import { examplePicture, exampleWords, runAll } from '../testing/example-job.ts';
import { usualThing } from '../things/index.ts';
import { createJob, runCommand, type Job } from './index.ts';

const photograph: Art = {
  ...{ kind: 'pixels', id: 'a'.repeat(64), name: 'Meadow', tags: [], format: 'jpeg' },
  ...{ pixelWidth: 3000, pixelHeight: 2000, orientation: 1, dpi: 300, dpiKnown: true },
};
const piece = 'piece-1';
const job: Job = runAll(
  createJob('face', { id: 'meadow', today: '2026-04-18' }),
  { name: 'measure-thing', args: { thing: usualThing('face', { width: 60, height: 80 }) } },
  { name: 'add-element', args: { piece, element: exampleWords() } },
  {
    name: 'add-element',
    args: {
      piece,
      art: photograph,
      element: examplePicture(photograph.id, { x: 7, y: -3, angle: 30, opacity: 0.5 }),
    },
  },
);

const covered = (element: string) =>
  runCommand(job, { name: 'cover-label', args: { piece, element } });

test('a picture covers its label out to the bleed in proportion, below everything else', () => {
  const before = structuredClone(job);
  const made = covered('picture-1');
  if (isProblem(made)) throw new Error(made.code);
  const [label] = made.pieces;
  const [lowest] = label?.elements ?? [];
  const picture = lowest as Picture;
  expect(label?.elements.map(({ id }) => id)).toEqual(['picture-1', 'words-1']);
  const [bare] = job.pieces;
  if (!bare || !label) throw new Error('no piece');
  const { width, height } = pieceSize(bare);
  const { bleed } = bare;
  expect(bleed).toBeGreaterThan(0);
  expect(picture).toMatchObject({ x: 0, y: 0, angle: 0, fit: 'cover', opacity: 0.5 });
  expect([picture.width, picture.height]).toEqual([width + 2 * bleed, height + 2 * bleed]);
  // Its own proportions: as wide and high as the frame at least, and exactly so one way.
  const shown = pictureSize(picture, photograph);
  const own = artSize(photograph);
  expect(shown.width / shown.height).toBeCloseTo(own.width / own.height, 9);
  expect(Math.min(shown.width / picture.width, shown.height / picture.height)).toBeCloseTo(1, 9);
  // What it had as one thing among others is gone; the job that was given is as it was.
  expect(picture.frame ?? picture.view ?? picture.spread ?? picture.group).toBeUndefined();
  expect(job).toEqual(before);
});

test('words cannot cover a label, nor can what is not there', () => {
  for (const element of ['words-1', 'gone']) expect(isProblem(covered(element))).toBe(true);
});
