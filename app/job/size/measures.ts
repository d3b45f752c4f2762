import type { MeasuredThing } from '../../../core/things/index.ts';

type Kind = MeasuredThing['kind'];

/** A measurement as it is asked for: a length, an angle, a number, or one of a few choices. */
export interface Measure {
  readonly key: string;
  readonly as: 'length' | 'degrees' | 'count' | 'choice';
  readonly min?: number;
  readonly max?: number;
}

const long = (key: string, min = 0.5, max = 2000): Measure => ({ key, as: 'length', min, max });
const maybe = (key: string, max = 500): Measure => long(key, 0, max);
const choice = (key: string): Measure => ({ key, as: 'choice' });
const ANGLE: Measure = { key: 'angle', as: 'degrees', min: 1, max: 360 };
const PARTS: Measure = { key: 'parts', as: 'count', min: 1, max: 8 };

/** What is asked of each kind of thing, in the order in which one measures. */
export const MEASURES: Readonly<Record<Kind, readonly Measure[]>> = {
  lid: [choice('measured'), long('size'), maybe('clearance', 100), maybe('dome')],
  wrap: [
    choice('measured'),
    long('size'),
    long('height'),
    maybe('clearance', 100),
    ANGLE,
    maybe('overlap'),
    PARTS,
  ],
  taper: [
    long('top'),
    long('bottom'),
    choice('measured'),
    long('size'),
    ANGLE,
    maybe('overlap'),
    PARTS,
  ],
  band: [
    long('width'),
    long('depth'),
    long('height'),
    long('strip'),
    maybe('overlap'),
    maybe('flap'),
    { ...PARTS, max: 2 },
  ],
  face: [
    long('width'),
    long('height'),
    maybe('radius', 1000),
    maybe('clearance', 100),
    maybe('allowance'),
  ],
  tag: [
    long('width'),
    long('height'),
    choice('opening'),
    long('hole'),
    maybe('rim'),
    choice('corners'),
    maybe('corner'),
    choice('sides'),
  ],
  disc: [long('outer'), long('inner'), long('hub')],
  case: [choice('for'), long('width'), long('height'), maybe('spine')],
  envelope: [choice('use'), long('width'), long('height')],
  picture: [choice('measured'), long('size')],
  own: [choice('shape'), long('width'), long('height'), maybe('allowance')],
};

/** Whether a measurement is asked for, given the others. */
export function isAsked(thing: MeasuredThing, key: string): boolean {
  if (thing.kind === 'tag' && (key === 'hole' || key === 'rim')) return thing.opening !== 'none';
  if (thing.kind === 'case' && key === 'spine') return thing.for === 'disc';
  if (thing.kind === 'band' && key === 'strip') return thing.strip !== null;
  if (thing.kind === 'own' && key === 'height') return thing.shape !== 'circle';
  if (thing.kind === 'own' && key === 'allowance') return thing.shape === 'rectangle';
  return true;
}

/**
 * The thing after one measurement. Another way of measuring keeps the size of the thing; a label that
 * does not go all the way round has no ends to lie over each other.
 */
export function measuredAgain(
  thing: MeasuredThing,
  key: string,
  value: number | string,
): MeasuredThing {
  const again = { ...thing, [key]: value } as MeasuredThing;
  if (key === 'measured' && 'measured' in thing && value !== thing.measured)
    return { ...again, size: sizeOtherWay(thing) } as MeasuredThing;
  if (key === 'angle' && 'angle' in thing) {
    const whole = Number(value) === 360;
    if (!whole) return { ...again, overlap: 0 } as MeasuredThing;
    if (thing.overlap === 0 && thing.angle !== 360)
      return { ...again, overlap: 10 } as MeasuredThing;
  }
  if (key === 'for' && value !== (thing as { for?: string }).for)
    return {
      ...again,
      ...(value === 'slim'
        ? { width: 120, height: 120, spine: 0 }
        : { width: 138, height: 118, spine: 6.5 }),
    } as MeasuredThing;
  return again;
}

function sizeOtherWay(thing: MeasuredThing & { measured: string }): number {
  const round = (mm: number): number => Math.round(mm * 10) / 10;
  switch (thing.kind) {
    case 'lid':
    case 'wrap':
      return round(thing.measured === 'diameter' ? thing.size * Math.PI : thing.size / Math.PI);
    case 'taper': {
      const lean = (thing.top - thing.bottom) / 2;
      return round(
        thing.measured === 'height'
          ? Math.hypot(thing.size, lean)
          : Math.sqrt(Math.max(1, thing.size * thing.size - lean * lean)),
      );
    }
    default:
      return thing.kind === 'picture'
        ? round(thing.measured === 'width' ? thing.size / thing.ratio : thing.size * thing.ratio)
        : 1;
  }
}
