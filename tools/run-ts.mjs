// Runs a TypeScript file under Node: node tools/run-ts.mjs FILE [arguments]
import { pathToFileURL } from 'node:url';
import { bundle } from './bundle.mjs';

const [entry, ...rest] = process.argv.slice(2);
const file = await bundle(entry, '.cache/run');
process.argv = [process.argv[0], file, ...rest];
await import(pathToFileURL(file).href);
