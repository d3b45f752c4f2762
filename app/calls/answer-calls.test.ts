import { contentHash } from '../../core/base/index.ts';
import { encodePngImage } from '../../core/raster/index.ts';
import { disc, drawn } from '../../core/testing/drawn.ts';
import { answerCalls } from './answer-calls.ts';
import type { FromWorker } from './protocol.ts';

const picture = drawn(40, 40, [{ region: disc(20, 20, 12), color: [20, 90, 40] }], () => [
  250, 250, 250,
]);
const takeIn = {
  kind: 'call',
  id: 1,
  name: 'takeIn',
  args: { bytes: encodePngImage(picture), name: 'leaf.png', choices: { dpi: 300 } },
} as const;

function worker() {
  const said: FromWorker[] = [];
  const tell = answerCalls((message) => said.push(message));
  const kinds = (): string[] => said.map(({ kind }) => kind);
  return { tell, said, kinds };
}

/** Lets whatever could go on do so. */
async function rounds(count: number): Promise<void> {
  for (let round = 0; round < count; round++) await new Promise((go) => setTimeout(go, 1));
}

test('what is held stands still at its next pause, and ends once it may go on', async () => {
  const { tell, said, kinds } = worker();
  tell({ kind: 'hold', on: true });
  tell(takeIn);
  await rounds(50);
  expect(kinds()).toEqual([]);
  tell({ kind: 'hold', on: false });
  for (let round = 0; round < 2000 && said.length === 0; round++) await rounds(1);
  expect(said).toMatchObject([
    { kind: 'done', answer: { taken: [{ art: { name: 'leaf', pixelWidth: 40 } }], refused: [] } },
  ]);
});

test('the same picture has the same id, whoever takes its hash', async () => {
  const { tell, said } = worker();
  tell(takeIn);
  for (let round = 0; round < 2000 && said.length === 0; round++) await rounds(1);
  const [one] = said as unknown as { answer: { taken: { art: { id: string } }[] } }[];
  expect(one?.answer.taken[0]?.art.id).toBe(contentHash(takeIn.args.bytes));
});
