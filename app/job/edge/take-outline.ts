import { titleOf, vectorNodes } from '../../../core/art/index.ts';
import { outlinesOf } from '../../../core/drawing/index.ts';
import { outlinePart } from '../../../core/shape/index.ts';
import { calls } from '../../calls/index.ts';
import { bytesOf, chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { EdgeState } from './edge-state.ts';

/** Takes outlines from files into an edge. */
export function useTakeOutline(edge: EdgeState): () => Promise<void> {
  const messages = useMessages();

  /** An outline from a vector file, at its own size about the middle of the piece. */
  async function takeOutline(): Promise<void> {
    const [file] = await chooseFiles('.svg,.pdf,.dxf,image/svg+xml,application/pdf');
    if (!file) return;
    const choices = { dpi: 300 };
    const args = { bytes: await bytesOf(file), name: file.name, choices };
    const { taken, refused } = await calls.call('takeIn', args).answer;
    const vector = taken.find(({ art }) => art.kind === 'vector');
    if (!vector) {
      if (refused[0]) messages.sayProblem(refused[0].problem);
      else messages.say(texts.edge.noPicture);
      return;
    }
    const name = texts.edge.fileParts(titleOf(file.name));
    const part = outlinePart(outlinesOf(vectorNodes(vector.bytes)), { evenOdd: false, name });
    if (!part.ok) return messages.sayProblem(part.problem);
    edge.addPart(part.value);
  }

  return takeOutline;
}
