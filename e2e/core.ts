// What the browser tests take of the core. It is bundled, since they would read hundreds of files for it.
export { drawingToSvg, pathData } from '../core/drawing/index.ts';
export { expectOk, isProblem } from '../core/base/index.ts';
export { ORNAMENTS, ornamentOf, PATTERNS, readArt } from '../core/art/index.ts';
export {
  compilePieces,
  createJob,
  eachThing,
  loadResources,
  runCommand,
} from '../core/job/index.ts';
export { pdfSources, writePdf } from '../core/output/index.ts';
export { renderPdf } from '../core/pdf/index.ts';
export { createCompiler } from '../core/piece/index.ts';
export { block, disc, drawn } from '../core/testing/drawn.ts';
export { nodePlatform } from '../core/testing/node-platform.ts';
export { secondRendering } from '../core/testing/second-renderer.ts';
export { demoJobs } from '../demo/index.ts';
export { SimulatedNetworkPrinter } from '../devices/wire/index.ts';
export { ownCertificate } from '../devices/wire/testing/certificate.ts';
