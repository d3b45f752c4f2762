import { compileJob, loadResources } from '../core/job/index.ts';
import { printPdf } from '../core/output/index.ts';
import { createCompiler } from '../core/piece/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { drawnOtherwise } from '../core/testing/second-renderer.ts';
import { seedPacketFronts } from './jobs/seed-packet-fronts.ts';

test('labels filled from a list are drawn alike by two renderers that know nothing of each other', async () => {
  const { job, art } = await seedPacketFronts(nodePlatform);
  const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
  const compiled = compileJob(job, createCompiler(resources));
  const pdf = await printPdf(nodePlatform, compiled, resources);
  expect(await drawnOtherwise(pdf)).toBeLessThan(0.005);
});
