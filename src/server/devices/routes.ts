import type { FastifyInstance } from 'fastify';
import { createRandom } from '../../core/random/index.ts';
import { Camera } from './camera.ts';
import { BenchScale } from './scale.ts';

/** So often the scale sends what it shows. */
const SEND_EVERY_MS = 250;

/** The scale's own little page: forms without a script, so that the app's strict policy covers it too. */
function createPage(scale: BenchScale): string {
  const { grams, isOverloaded } = scale.read();
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Bench scale (made up)</title>
<link rel="icon" href="/mark.svg">
<link rel="stylesheet" href="/devices/device.css">
<main>
<h1>Bench scale</h1>
<p>A stand-in for a scale on your table. Yardmist’s measuring panel reads what it shows.</p>
<output>${isOverloaded ? 'too much' : `${grams.toFixed(1)} g`}</output>
<form method="post" action="/devices/scale/put">
<label>Put on it, in grams <input name="grams" type="number" min="0" max="20000" step="0.1" required autofocus></label>
<button>Put on</button>
</form>
<form method="post" action="/devices/scale/tare"><button>Tare</button></form>
<form method="post" action="/devices/scale/put"><input type="hidden" name="grams" value="0"><button>Take off</button></form>
</main>
</html>`;
}

const STYLE = `body{margin:0;background:#e9edec;color:#22303c;font:17px/1.5 sans-serif}
main{max-width:24rem;margin:2rem auto;padding:1.5rem;background:#fffdf8}
output{display:block;margin:1rem 0;padding:.5rem 1rem;background:#22303c;color:#e9edec;font:2.5rem monospace;text-align:right}
form{margin:.75rem 0}input,button{font:inherit;min-height:44px;padding:0 .75rem}input{width:9rem}`;

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
  server.get('/devices/scale', (_request, reply) => reply.type('text/html').send(createPage(scale)));
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

  const listeners = new Set<{ end: () => void }>();
  server.get('/devices/scale/stream', (request, reply) => {
    // The stream is written by hand from here on, with the headers that are set on every answer.
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const send = () => raw.write(`data: ${JSON.stringify(scale.read())}\n\n`);
    const timer = setInterval(send, SEND_EVERY_MS);
    const listener = {
      end: () => {
        clearInterval(timer);
        listeners.delete(listener);
        raw.end();
      },
    };
    listeners.add(listener);
    request.raw.on('close', listener.end);
    send();
  });
  server.addHook('preClose', (done) => {
    for (const listener of listeners) listener.end();
    done();
  });
}
