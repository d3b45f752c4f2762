import { createCalls, type Calls } from '../core/calls.ts';
import { simulatedDevices, simulatedPhoto } from '../devices/simulated/index.ts';
import type { Devices } from '../core/run/index.ts';
import type { JobWithArt } from '../core/job/index.ts';
import { nodePlatform } from '../devices/wire/index.ts';

/** The heavy calls for one job, run as they are. */
export function callsFor(
  { art }: JobWithArt,
  devices = (seed: number): Devices => simulatedDevices(nodePlatform, seed),
): Calls {
  return createCalls({
    platform: nodePlatform,
    artBytes: (id) => Promise.resolve(art.get(id)),
    devices,
    photographed: (pdf, seed) => simulatedPhoto(nodePlatform, pdf, seed),
  });
}
