import fastifyHelmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import fastify, { type FastifyInstance } from 'fastify';
import { registerDevices } from './devices/routes.ts';
import { registerGuard } from './guard.ts';

/** Everything from this server, nothing from elsewhere; no inline script or style, no framing. */
const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  // The simulated devices have pages with forms.
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

/** Serves the built app from `folder`. Paths without a file are screens and get the page itself. */
export async function createServer(folder: string): Promise<FastifyInstance> {
  // A page that listens to a device keeps its line open; stopping does not wait for it.
  const server = fastify({ forceCloseConnections: true });
  await server.register(fastifyHelmet, {
    contentSecurityPolicy: { useDefaults: false, directives: POLICY },
    // Served over plain HTTP on the loopback address only.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
  // Set before anything answers, so that a stream that is written by hand has it too.
  server.addHook('onRequest', async (_request, reply) => {
    reply.header('permissions-policy', 'camera=(self), geolocation=(), microphone=()');
  });
  registerGuard(server);
  registerDevices(server);
  await server.register(fastifyStatic, {
    root: folder,
    cacheControl: false,
    setHeaders: (reply, path) => {
      // Built files carry a hash in their name; the page itself must always be fresh.
      reply.header('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  server.setNotFoundHandler((request, reply) => {
    const path = request.url.split('?')[0] ?? '';
    const isScreen = request.method === 'GET' && !/\.[a-z0-9]+$/i.test(path);
    return isScreen ? reply.sendFile('index.html') : reply.code(404).type('text/plain').send('not here');
  });
  return server;
}
