import { NO_HOUSE_STYLE } from '../../../../core/designs/index.ts';
import { designedJob, measuredJob, NAMES } from '../../../../core/testing/designed-label.ts';
import { runAll } from '../../../../core/testing/example-job.ts';
import { usualThing } from '../../../../core/things/index.ts';
import { FIELD_LANGUAGES } from '../../../../messages/index.ts';
import { fieldsSaid } from '../../../../core/piece/index.ts';
import { printedFields, printedNames } from './printed-fields.ts';

const SAYS = { name: 'Oat bar', line: 'baked twice', ingredients: 'oats, honey', batch: '17' };
const job = designedJob(measuredJob(usualThing('band')), 'quiet', SAYS);

test('what a label says is what its elements say, also where several say the same', () => {
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  expect(piece.elements.filter(({ field }) => field === 'name').length).toBeGreaterThan(1);
  expect(fieldsSaid(piece.elements)).toEqual(SAYS);
  expect(fieldsSaid([])).toEqual({});
});

test('fields are printed as the job has them, in English unless it says otherwise', () => {
  expect(printedNames(undefined)).toEqual({ language: 'en', names: FIELD_LANGUAGES.en.names });
  const { names } = FIELD_LANGUAGES.fr;
  const french = runAll(job, {
    name: 'name-fields',
    args: { language: 'fr', names, before: NAMES },
  });
  expect(printedNames(french)).toEqual({ language: 'fr', names });
  // A language that is not known here keeps the names that came with it.
  const own = { ...french, fields: { language: 'cy', names: { ...names, batch: 'Swp' } } };
  expect(printedNames(own)).toMatchObject({ language: 'en', names: { batch: 'Swp' } });
});

test('the words that stand out are those of the job, or else of the house', () => {
  const house = { ...NO_HOUSE_STYLE, emphasis: ['nuts'] };
  expect(printedFields(job, house).emphasis).toEqual(['nuts']);
  const chosen = runAll(job, { name: 'emphasize-words', args: { words: ['milk'] } });
  expect(printedFields(chosen, house).emphasis).toEqual(['milk']);
  const none = runAll(chosen, { name: 'emphasize-words', args: { words: [] } });
  expect(printedFields(none, house).emphasis).toEqual([]);
});

test('every language names every field, and no two fields alike', () => {
  for (const { language, names } of Object.values(FIELD_LANGUAGES)) {
    const said = Object.values(names).map((one) => one.trim());
    expect([language, said.every((one) => one !== '')]).toEqual([language, true]);
    expect([language, new Set(said).size]).toEqual([language, said.length]);
  }
});
