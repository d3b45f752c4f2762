export type { FlatSize, Fold, Reading, Zone, ZoneName } from './flat.ts';
export { foldsOf, zonesOf } from './folds.ts';
export { largerThing } from './larger.ts';
export type { SizeWarning, SizeWarnings } from './size-warnings.ts';
export { domeSurplus } from './kinds/lid.ts';
export {
  THING_KINDS,
  measuredSchema,
  thingSchema,
  trySize,
  usualThing,
  type MeasuredThing,
  type Thing,
} from './thing.ts';
export { dividingZones, isReadable, mainZone, zoneAt, zoneRoom, type ZoneRoom } from './zones.ts';
