import type { FastifyInstance, FastifyRequest } from 'fastify';

/** The names under which this machine knows itself; another name that leads here is another page's trick. */
const OWN_NAMES: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Whether this page's own origin asks, or somebody without a page: a browser says where a request comes from. */
function isOurs({ headers }: FastifyRequest): boolean {
  const { host = '', origin } = headers;
  if (!OWN_NAMES.has(host.replace(/:\d{1,5}$/, ''))) return false;
  const site = headers['sec-fetch-site'];
  // A page that keeps its address to itself posts its forms as from nowhere; the browser still says it is the same.
  if (origin !== undefined && origin !== `http://${host}`) return origin === 'null' && site === 'same-origin';
  return true;
}

/**
 * Pages of other origins in the same browser can neither read nor command what is here: asked under another name or from
 * another origin, nothing is answered; the devices not even to a plain link or picture.
 */
export function registerGuard(server: FastifyInstance): void {
  server.addHook('onRequest', async (request, reply) => {
    const site = request.headers['sec-fetch-site'];
    const isFromElsewhere = site !== undefined && site !== 'same-origin' && site !== 'none';
    const isKept = request.method !== 'GET' || request.url.startsWith('/devices/');
    if (isOurs(request) && !(isFromElsewhere && isKept)) return undefined;
    return reply.code(403).type('text/plain').send('not from here');
  });
}
