import type { FastifyInstance } from 'fastify';
import { createRandom } from '../../core/random/index.ts';
import { Camera } from './camera.ts';
import { registerLabelDevices } from './labelRoutes.ts';
import { createAct, createPage, STYLE } from './page.ts';
import { BenchScale } from './scale.ts';
import { registerStream } from './stream.ts';

/** So often the scale sends what it shows. */
const SEND_EVERY_MS = 250;

function createScalePage(scale: BenchScale): string {
  const { grams, isOverloaded } = scale.read();
  return createPage(
    'Bench scale',
    'A stand-in for a scale on your table. Yardmist’s measuring panel reads what it shows.',
    `<output>${isOverloaded ? 'too much' : `${grams.toFixed(1)} g`}</output>
<form method="post" action="/devices/scale/put">
<label>Put on it, in grams <input name="grams" type="number" min="0" max="20000" step="0.1" required autofocus></label>
<button>Put on</button>
</form>
${createAct('/devices/scale/tare', 'Tare')}
<form method="post" action="/devices/scale/put"><input type="hidden" name="grams" value="0"><button>Take off</button></form>`,
  );
}

/** Simulated devices, each with a small page of its own. They live as long as the server does. */
export function registerDevices(server: FastifyInstance): void {
  const scale = new BenchScale(() => Date.now(), createRandom(1));
  server.addContentTypeParser('application/x-www-form-urlencoded', { parseAs: 'string' }, (_request, body, done) =>
    done(null, Object.fromEntries(new URLSearchParams(String(body)))),
  );

  const camera = new Camera();
  server.get('/devices/camera/shot', (_request, reply) =>
    reply.type('image/png').header('cache-control', 'no-store').send(Buffer.from(camera.shoot())),
  );
  server.get('/devices/device.css', (_request, reply) => reply.type('text/css').send(STYLE));
  server.get('/devices/scale', (_request, reply) => reply.type('text/html').send(createScalePage(scale)));
  server.post('/devices/scale/put', (request, reply) => {
    const grams = Number((request.body as { grams?: string } | null)?.grams);
    if (!Number.isFinite(grams)) return reply.code(400).type('text/plain').send('grams must be a number');
    scale.put(grams);
    return reply.redirect('/devices/scale', 303);
  });
  server.post('/devices/scale/tare', (_request, reply) => {
    scale.tare();
    return reply.redirect('/devices/scale', 303);
  });
  registerStream(server, '/devices/scale/stream', (send) => {
    const timer = setInterval(() => send(scale.read()), SEND_EVERY_MS);
    send(scale.read());
    return () => clearInterval(timer);
  });
  registerLabelDevices(server);
}
