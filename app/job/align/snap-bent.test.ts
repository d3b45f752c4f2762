import { expectOk } from '../../../core/base/index.ts';
import type { Words } from '../../../core/piece/index.ts';
import { arcPoint, type EdgeShape } from '../../../core/shape/index.ts';
import { trySize, usualThing, zoneRoom } from '../../../core/things/index.ts';
import { exampleWords } from '../../../core/testing/example-job.ts';
import { snapInBend, type BentZone } from './snap-bent.ts';

type Arc = Extract<EdgeShape, { kind: 'arc' }>;
const { shape, zones } = expectOk(trySize(usualThing('taper', { overlap: 14 })));
const edge = shape as Arc;
const front = zones.find(({ name }) => name === 'front');
if (!front) throw new Error('no front');
const room = zoneRoom(front, edge);
const line = (place: Partial<Words>): Words =>
  exampleWords({ text: 'Fen', width: 20, height: 6, ...place }) as Words;
const zone = (...others: Words[]): BentZone => ({ room, edge, safe: 2, others });
/** A place by degrees from the middle of the front and mm below the upper side. */
const at = (degrees: number, down: number) =>
  arcPoint(edge, (front.span?.from ?? 0) / 2 + (front.span?.to ?? 0) / 2 + degrees, down);

test('near the middle of a bent zone it ends in the middle, with lines along and across the bend', () => {
  const { x, y } = at(0.1, edge.slant / 2 + 0.3);
  const { changes, lines } = snapInBend(line(at(3, 10)), { x, y }, zone(), 0.6);
  expect(changes.x).toBeCloseTo(room.centre.x, 6);
  expect(changes.y).toBeCloseTo(room.centre.y, 6);
  expect(lines).toHaveLength(2);
});

test('its upper side keeps the safe inset from the upper edge of the band', () => {
  const { changes } = snapInBend(line(at(0, 20)), at(4, 5.3), zone(), 0.6);
  const apex = arcPoint(edge, 0, edge.radius);
  // Half of its 6 mm and 2 mm safe below the upper edge.
  const down = edge.radius - Math.hypot(changes.x - apex.x, changes.y - apex.y);
  expect(edge.wide === 'top' ? down : edge.slant - down).toBeCloseTo(5, 6);
});

test('what stands upright in the bend turns with it, what is turned otherwise stays', () => {
  const upright = line({ ...at(0, 20), angle: room.angle });
  const turned = snapInBend(upright, at(6, 20), zone(), 0).changes.angle - room.angle;
  expect(Math.abs(turned)).toBeCloseTo(6, 6);
  const aslant = line({ ...at(0, 20), angle: room.angle + 30 });
  expect(snapInBend(aslant, at(6, 20), zone(), 0).changes.angle).toBe(room.angle + 30);
});

test('it stands in one row with what is beside it', () => {
  const other = line({ ...at(-7, 14), angle: 0 });
  const { changes } = snapInBend(line(at(5, 20)), at(5, 14.4), zone(other), 0.6);
  const apex = arcPoint(edge, 0, edge.radius);
  const far = (point: { x: number; y: number }): number =>
    Math.hypot(point.x - apex.x, point.y - apex.y);
  expect(far(changes)).toBeCloseTo(far(other), 6);
});
