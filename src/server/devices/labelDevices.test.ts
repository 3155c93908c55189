import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Sheet } from '../../core/formats/sheet/index.ts';
import { createServer } from '../server.ts';
import { LabelPrinter } from './printer.ts';

const folder = mkdtempSync(join(tmpdir(), 'yardmist-devices-'));
writeFileSync(join(folder, 'index.html'), '<p>the page</p>');
const label: Sheet = {
  name: 'Linen & <wool>',
  widthMm: 62,
  heightMm: 29,
  marks: [
    { type: 'text', x: 2, y: 8, text: '<script>x</script>', sizeMm: 4, anchor: 'start' },
    { type: 'path', points: [[0, 0] as const, [5, 5] as const], isClosed: false, strokeMm: 0.2 },
  ],
};

describe('the label printer', () => {
  it('runs out, jams when it is due to, and loses the label that got stuck', () => {
    const printer = new LabelPrinter(() => 0.9);
    for (let i = 0; i < 40; i += 1) expect(printer.print(label).ok).toBe(true);
    expect(printer.print(label)).toEqual({ ok: false, fault: 'out' });
    printer.loadRoll();
    printer.jamNext();
    expect(printer.print(label)).toEqual({ ok: false, fault: 'jam' });
    expect(printer.print(label)).toEqual({ ok: false, fault: 'jam' });
    printer.clearJam();
    expect(printer.print(label)).toMatchObject({ ok: true, value: { left: 38, inTray: 41 } });
    printer.turn();
    expect(printer.print(label)).toEqual({ ok: false, fault: 'off' });
  });

  it('jams now and then by itself, and tells who listens of every change', () => {
    const printer = new LabelPrinter(() => 0);
    const heard: boolean[] = [];
    const end = printer.listen((state) => heard.push(state.isJammed));
    printer.print(label);
    printer.clearJam();
    end();
    printer.loadRoll();
    expect(heard).toEqual([false, true, false]);
  });

  it('shows its tray on its page, letters and all, and takes nothing that is no label', async () => {
    const server = await createServer(folder);
    const print = (payload: object) => server.inject({ method: 'POST', url: '/devices/printer/print', payload });
    expect((await print(label)).json()).toMatchObject({ inTray: 1, left: 39 });
    const picture = await server.inject({ url: '/devices/printer/tray/0.svg' });
    expect(picture.headers['content-type']).toContain('svg');
    expect(picture.body).toContain('&lt;script&gt;');
    expect((await server.inject({ url: '/devices/printer' })).body).toContain('Linen &amp; &lt;wool&gt;');
    expect((await server.inject({ url: '/devices/printer/tray/7.svg' })).statusCode).toBe(404);
    for (const bad of [
      {},
      { ...label, widthMm: 0 },
      { ...label, marks: [{ type: 'image', href: 'x' }] },
      { ...label, marks: [{ ...label.marks[1], fill: 'url(#x)' }] },
      { ...label, marks: [{ ...label.marks[1], points: [[0, 'x']] }] },
    ])
      expect((await print(bad)).statusCode).toBe(400);
    await server.inject({ method: 'POST', url: '/devices/printer/turn' });
    expect((await print(label)).json()).toEqual({ fault: 'off' });
    await server.close();
  });
});

describe('the hand scanner', () => {
  it('sends what it reads to who listens, and says where nobody does', async () => {
    const server = await createServer(folder);
    const address = await server.listen({ host: '127.0.0.1', port: 0 });
    const scan = (code: string) =>
      fetch(`${address}/devices/scanner/scan`, { method: 'POST', body: new URLSearchParams({ code }) });
    expect(await (await scan('K7M 2Q9 XTB')).text()).toContain('nobody listened');
    const stream = await fetch(`${address}/devices/scanner/stream`);
    const reader = stream.body!.getReader();
    await scan('<b>');
    let text = '';
    while (!text.includes('"code":"<b>"')) text += new TextDecoder().decode((await reader.read()).value);
    await reader.cancel();
    expect(text).toContain('"isThere":true');
    expect((await scan('  ')).status).toBe(400);
    await server.close();
  });
});
