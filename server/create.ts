import { BRIDGE_PATH } from '../devices/protocol/index.ts';
import helmet from '@fastify/helmet';
import serveStatic from '@fastify/static';
import { bridge, type BridgeOptions } from './bridge/index.ts';
import fastify, { type FastifyInstance } from 'fastify';

/** What a page may load: its own origin, and nothing else. */
const POLICY = {
  'default-src': ["'self'"],
  'script-src': ["'self'", "'wasm-unsafe-eval'"],
  'worker-src': ["'self'"],
  'style-src': ["'self'", "'unsafe-inline'"],
  'img-src': ["'self'", 'data:', 'blob:'],
  'font-src': ["'self'", 'data:'],
  'connect-src': ["'self'", 'blob:'],
  'object-src': ["'none'"],
  'base-uri': ["'self'"],
  'form-action': ["'self'"],
  'frame-ancestors': ["'none'"],
};

/**
 * The server of the built application in a folder. It answers this computer only.
 */
export async function createServer(
  files: string,
  options: BridgeOptions = {},
): Promise<FastifyInstance> {
  const server = fastify();
  await server.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: POLICY },
    strictTransportSecurity: false,
    crossOriginEmbedderPolicy: false,
  });
  await server.register(serveStatic, {
    root: files,
    setHeaders: (reply, path) => {
      // Vite names its files by content; everything else is asked for anew.
      reply.header(
        'Cache-Control',
        /[\\/]assets[\\/]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
      );
    },
  });
  await server.register(bridge, { prefix: BRIDGE_PATH, ...options });
  server.get('/api/health', () => ({ ready: true }));
  server.setNotFoundHandler((request, reply) => {
    const isPage =
      request.method === 'GET' && !/^\/api\/|\.[a-z0-9]+$/i.test(request.url.split('?')[0] ?? '');
    if (isPage) return reply.sendFile('index.html');
    return reply.code(404).send({ code: 'server/not-found' });
  });
  return server;
}
