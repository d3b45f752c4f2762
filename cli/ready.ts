import { createCalls, type Calls } from '../core/calls.ts';
import { simulatedDevices, simulatedPhoto } from '../devices/simulated/index.ts';
import { hasSentences, withAcceptedValues } from '../core/proof/index.ts';
import type { Devices } from '../core/run/index.ts';
import type { JobWithArt } from '../core/job/index.ts';
import { nodePlatform } from '../devices/wire/index.ts';
import { findingText, say } from '../messages/index.ts';
import { terminalTask } from './terminal-task.ts';

/** The heavy calls for one job, run as they are. */
export function callsFor(
  { art }: JobWithArt,
  devices = (seed: number): Devices => simulatedDevices(nodePlatform, seed),
): Calls {
  return createCalls({
    platform: nodePlatform,
    say,
    artBytes: (id) => Promise.resolve(art.get(id)),
    devices,
    photographed: (pdf, seed) => simulatedPhoto(nodePlatform, pdf, seed),
  });
}

/** A job with its acceptances known by what they name: an earlier version kept their sentences. */
export async function withKnownAcceptances(given: JobWithArt): Promise<JobWithArt> {
  if (!hasSentences(given.job)) return given;
  const findings = await callsFor(given).findings({ job: given.job }, terminalTask());
  const job = withAcceptedValues(given.job, findings, (finding) => findingText(finding).what);
  return { ...given, job };
}
