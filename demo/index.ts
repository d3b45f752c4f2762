import type { Platform } from '../core/base/index.ts';
import type { JobWithArt } from '../core/job/index.ts';
import { balmTins } from './jobs/balm-tins.ts';
import { basilPotWrap } from './jobs/basil-pot-wrap.ts';
import { bulbBoxBands } from './jobs/bulb-box-bands.ts';
import { hedgerowSheet } from './jobs/hedgerow-sheet.ts';
import { packetBacks } from './jobs/packet-backs.ts';
import { peatFreeDots } from './jobs/peat-free-dots.ts';
import { potLidSeals } from './jobs/pot-lid-seals.ts';
import { seedPacketFronts } from './jobs/seed-packet-fronts.ts';
import { seedPackets } from './jobs/seed-packets.ts';
import { plantTags } from './jobs/plant-tags.ts';
import { teaCaddies } from './jobs/tea-caddies.ts';
import { windowsillStickers } from './jobs/windowsill-stickers.ts';
import { woodlandStickers } from './jobs/woodland-stickers.ts';

/** The jobs of the demo workshop, the plant nursery Thistle & Fen, in the order of its shelf. */
export function demoJobs(platform: Platform): Promise<JobWithArt[]> {
  return Promise.all([
    balmTins(platform),
    potLidSeals(platform),
    seedPacketFronts(platform),
    peatFreeDots(platform),
    basilPotWrap(platform),
    bulbBoxBands(platform),
    woodlandStickers(platform),
    plantTags(platform),
    teaCaddies(),
    hedgerowSheet(platform),
    seedPackets(platform),
    packetBacks(),
    windowsillStickers(platform),
  ]);
}
