import { shapeSize, type EdgeShape } from '../../core/shape/index.ts';
import { formatLength, type Unit } from '../../core/units/index.ts';
import { texts } from '../texts/index.ts';

/** A shape with its size as it is told: `Round, Ø 58 mm`. */
export function shapeWords(shape: EdgeShape, unit: Unit): string {
  const { width, height } = shapeSize(shape);
  const [across, down] = [formatLength(width, unit), formatLength(height, unit)];
  switch (shape.kind) {
    case 'circle':
      return texts.ticket.round(across);
    case 'ring':
      return texts.ticket.ring(across);
    case 'ellipse':
      return texts.ticket.oval(across, down);
    case 'arc':
      return texts.ticket.bent(across, down);
    case 'arch':
      return texts.ticket.arched(across, down);
    default:
      return texts.ticket.square(across, down);
  }
}
