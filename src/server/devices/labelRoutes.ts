import type { FastifyInstance } from 'fastify';
import { parseSheet, toSvg } from '../../core/formats/sheet/index.ts';
import { createRandom } from '../../core/random/index.ts';
import { createAct, createPage, escapeHtml } from './page.ts';
import { LabelPrinter } from './printer.ts';
import { HandScanner } from './scanner.ts';
import { registerStream } from './stream.ts';

const MOST_BYTES = 400_000;
const MOST_LETTERS = 200;

function createPrinterPage(printer: LabelPrinter): string {
  const { isOn, isJammed, left, inTray } = printer.read();
  const state = !isOn ? 'off' : isJammed ? 'jammed' : left === 0 ? 'no labels left' : `ready, ${left} labels left`;
  const tray = printer.getTray().map((sheet, i) => {
    const [width, height] = [sheet.widthMm, sheet.heightMm].map((mm) => Math.round((mm * 96) / 25.4));
    return `<li><img src="/devices/printer/tray/${i}.svg" width="${width}" height="${height}" alt="${escapeHtml(sheet.name)}"></li>`;
  });
  return createPage(
    'Label printer',
    'A stand-in for a label printer on your shelf. Yardmist’s Labels screen prints on it; what came out lies in its tray.',
    `<output class="words">${state}</output>
${createAct('/devices/printer/load', 'Put a new roll in')}${createAct('/devices/printer/clear', 'Clear the jam')}${createAct('/devices/printer/turn', isOn ? 'Switch off' : 'Switch on')}
${createAct('/devices/printer/jam', 'Let the next one jam')}${createAct('/devices/printer/use-up', 'Leave one label only')}
<h2>Tray, ${inTray}</h2>${inTray > 0 ? createAct('/devices/printer/empty', 'Take them out') : '<p>Empty.</p>'}
<ol class="tray">${tray.toReversed().join('')}</ol>`,
  );
}

function createScannerPage(scanner: HandScanner): string {
  const read = scanner
    .getRead()
    .map(({ code, heard }) => `<li><code>${escapeHtml(code)}</code>${heard ? '' : ' (nobody listened)'}</li>`);
  return createPage(
    'Hand scanner',
    'A stand-in for a scanner in your hand. What it reads goes to Yardmist’s Scan screen, wherever that is open.',
    `<form method="post" action="/devices/scanner/scan">
<label>The code on the label <input name="code" required maxlength="${MOST_LETTERS}" autocomplete="off" autofocus></label>
<button>Scan</button>
</form>
<h2>Read last</h2><ol>${read.join('')}</ol>`,
  );
}

/** The label printer and the hand scanner. Both live as long as the server does. */
export function registerLabelDevices(server: FastifyInstance): void {
  const printer = new LabelPrinter(createRandom(3));
  const scanner = new HandScanner();

  registerStream(server, '/devices/printer/stream', (send) => printer.listen(send));
  server.get('/devices/printer', (_request, reply) => reply.type('text/html').send(createPrinterPage(printer)));
  server.post('/devices/printer/print', { bodyLimit: MOST_BYTES }, (request, reply) => {
    const sheet = parseSheet(request.body);
    if (!sheet) return reply.code(400).send({ fault: 'not-a-label' });
    const printed = printer.print(sheet);
    return reply.send(printed.ok ? printed.value : { fault: printed.fault });
  });
  server.get('/devices/printer/tray/:name', (request, reply) => {
    const index = /^(\d{1,6})\.svg$/.exec((request.params as { name: string }).name)?.[1];
    const sheet = index === undefined ? undefined : printer.getTray()[Number(index)];
    if (!sheet) return reply.code(404).type('text/plain').send('not in the tray');
    return reply.type('image/svg+xml').header('cache-control', 'no-store').send(toSvg(sheet));
  });
  const acts = {
    load: () => printer.loadRoll(),
    clear: () => printer.clearJam(),
    turn: () => printer.turn(),
    jam: () => printer.jamNext(),
    'use-up': () => printer.useUp(),
    empty: () => printer.emptyTray(),
  };
  for (const [name, act] of Object.entries(acts))
    server.post(`/devices/printer/${name}`, (_request, reply) => {
      act();
      return reply.redirect('/devices/printer', 303);
    });

  registerStream(server, '/devices/scanner/stream', (send) => {
    send({ isThere: true });
    return scanner.listen((code) => send({ code }));
  });
  server.get('/devices/scanner', (_request, reply) => reply.type('text/html').send(createScannerPage(scanner)));
  server.post('/devices/scanner/scan', (request, reply) => {
    const code = (request.body as { code?: unknown } | null)?.code;
    if (typeof code !== 'string' || code.trim() === '' || code.length > MOST_LETTERS)
      return reply.code(400).type('text/plain').send('there is no code');
    scanner.scan(code.trim());
    return reply.redirect('/devices/scanner', 303);
  });
}
