import { main } from './main.ts';

process.exitCode = await main(process.argv.slice(2), { out: console.log, err: console.error });
