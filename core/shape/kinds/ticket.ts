import * as z from 'zod';
import { bow, type Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** Four sides with a round bite out of each corner; `notch` is its radius, mm. */
export const ticketSchema = z.object({
  kind: z.literal('ticket'),
  width: mm,
  height: mm,
  notch: z.number().min(0.1).max(500),
});
type TicketShape = z.infer<typeof ticketSchema>;

const largest = ({ width, height }: TicketShape): number => Math.min(width, height) * 0.45;

function exact(shape: TicketShape): Path {
  const [w, h] = [shape.width / 2, shape.height / 2];
  const n = Math.min(shape.notch, largest(shape));
  const dent = -n * (1 - Math.SQRT1_2);
  const bite = (x1: number, y1: number, x2: number, y2: number) =>
    bow({ x: x1, y: y1 }, { x: x2, y: y2 }, dent);
  return [
    ['M', -w + n, -h],
    ['L', w - n, -h],
    ...bite(w - n, -h, w, -h + n),
    ['L', w, h - n],
    ...bite(w, h - n, w - n, h),
    ['L', -w + n, h],
    ...bite(-w + n, h, -w, h - n),
    ['L', -w, -h + n],
    ...bite(-w, -h + n, -w + n, -h),
    ['Z'],
  ];
}

export const ticket = boxedKind<TicketShape>(
  exact,
  [
    {
      key: 'notch',
      counts: false,
      least: 0.1,
      most: largest,
      at: ({ width, height, notch }) => ({ x: width / 2 - notch, y: -height / 2 }),
      read: ({ width }, { x }) => width / 2 - x,
    },
  ],
  'notch',
);
