export { thingSchema, trySize, type FlatSize, type MeasuredThing, type Thing } from './thing.ts';
