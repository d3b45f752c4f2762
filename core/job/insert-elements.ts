import { freeId, problem, type Problem, type ProblemValues } from '../base/index.ts';
import type { Piece, PieceElement } from '../piece/index.ts';
import { withPiece } from './command.ts';
import type { Job } from './schema.ts';

/** A piece that elements can be added to and taken from: not one that only follows another. */
export function withOwnPiece(
  job: Job,
  id: string,
  change: (piece: Piece) => Piece | Problem,
): Job | Problem {
  return withPiece(job, id, (piece) => {
    if (!piece.variant) return change(piece);
    return followsProblem(job, piece, 'elements');
  });
}

/** Why something cannot be changed on a piece that follows another. */
export function followsProblem(
  job: Job,
  piece: Piece,
  change: ProblemValues['job/follows']['change'],
): Problem {
  const base = job.pieces.find(({ id }) => id === piece.variant?.base);
  return problem('job/follows', { piece: piece.name, base: base?.name ?? '', change });
}

/** A piece with elements put into its stack, with ids and groups of their own. */
export function insertElements(piece: Piece, elements: readonly PieceElement[], at: number): Piece {
  const ids = piece.elements.map(({ id }) => id);
  const groups = piece.elements.flatMap(({ group }) => group ?? []);
  const renamed = new Map<string, string>();
  const made = elements.map((element): PieceElement => {
    const id = freeId(element.kind, ids);
    ids.push(id);
    if (element.group === undefined) return { ...element, id };
    const group = renamed.get(element.group) ?? freeId('group', groups);
    renamed.set(element.group, group);
    groups.push(group);
    return { ...element, id, group };
  });
  return {
    ...piece,
    elements: [...piece.elements.slice(0, at), ...made, ...piece.elements.slice(at)],
  };
}
