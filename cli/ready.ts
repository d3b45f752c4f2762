import { createCalls, type Calls } from '../core/calls.ts';
import { simulatedDevices, simulatedPhoto } from '../devices/simulated/index.ts';
import type { JobWithArt } from '../core/job/index.ts';
import { nodePlatform } from './node-platform.ts';

/** The heavy calls for one job, run as they are. */
export function callsFor({ art }: JobWithArt): Calls {
  return createCalls({
    platform: nodePlatform,
    artBytes: (id) => Promise.resolve(art.get(id)),
    devices: (seed) => simulatedDevices(nodePlatform, seed),
    photographed: (pdf, seed) => simulatedPhoto(nodePlatform, pdf, seed),
  });
}
