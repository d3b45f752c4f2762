import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { serverText } from '../messages/index.ts';
import { createServer } from './create.ts';

// One folder below the checkout's dist/, where the bundle stands.
const files = join(dirname(fileURLToPath(import.meta.url)), '../app');
const port = Number(process.env.PORT ?? 4300);
const { LOOK_IN: network } = process.env;
const server = await createServer(files, network ? { network } : {});

try {
  await server.listen({ port, host: '127.0.0.1' });
  console.log(serverText.ready(port));
} catch (error) {
  const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
  console.error(taken ? serverText.portTaken(port) : String(error));
  process.exitCode = 1;
}
