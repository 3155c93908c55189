import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { createServer } from './server.ts';

const folder = mkdtempSync(join(tmpdir(), 'yardmist-server-'));
mkdirSync(join(folder, 'assets'));
writeFileSync(join(folder, 'index.html'), '<p>the page</p>');
writeFileSync(join(folder, 'assets', 'app-1234.js'), 'let it;');

async function get(url: string) {
  const server = await createServer(folder);
  const reply = await server.inject({ method: 'GET', url });
  await server.close();
  return reply;
}

describe('the server', () => {
  it('allows nothing inline and nothing from elsewhere', async () => {
    const { headers } = await get('/');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain('unsafe');
    expect(policy).not.toContain('http');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
  });

  it('answers a screen with the page and a missing file with 404', async () => {
    expect((await get('/room/r1-east')).body).toBe('<p>the page</p>');
    expect((await get('/assets/gone.js')).statusCode).toBe(404);
    expect((await get('/../package.json')).body).not.toContain('yardmist');
  });

  it('keeps hashed files for good and the page never', async () => {
    expect((await get('/assets/app-1234.js')).headers['cache-control']).toContain('immutable');
    expect((await get('/')).headers['cache-control']).toBe('no-cache');
  });

  it.each([
    ['the page', 'GET', '/'],
    ['a missing file', 'GET', '/assets/gone.js'],
    ['a device', 'GET', '/devices/scale'],
    ['what a device refuses', 'POST', '/devices/scanner/scan'],
    ['a way that is none', 'DELETE', '/devices/scale'],
    ['what it refuses to others', 'GET', '/devices/scale', { host: 'evil.example' }],
  ] as const)('answers %s with strict headers', async (_, method, url, headers: Record<string, string> = {}) => {
    const server = await createServer(folder);
    const reply = await server.inject({ method, url, headers });
    await server.close();
    expect(reply.headers['content-security-policy']).toContain("default-src 'none'");
    expect(reply.headers['cross-origin-resource-policy']).toBe('same-origin');
    expect(reply.headers['cross-origin-opener-policy']).toBe('same-origin');
    expect(reply.headers['x-content-type-options']).toBe('nosniff');
    expect(reply.headers['permissions-policy']).toContain('geolocation=()');
    expect(reply.headers['access-control-allow-origin']).toBeUndefined();
  });

  it('gives a stream the same headers', async () => {
    const server = await createServer(folder);
    const address = await server.listen({ host: '127.0.0.1', port: 0 });
    const stream = await fetch(`${address}/devices/scale/stream`);
    expect(stream.headers.get('content-security-policy')).toContain("default-src 'none'");
    expect(stream.headers.get('cross-origin-resource-policy')).toBe('same-origin');
    expect(stream.headers.get('cache-control')).toBe('no-store');
    await stream.body!.cancel();
    await server.close();
  });

  const HERE = '127.0.0.1:4173';
  it.each([
    ['its own page', { origin: `http://${HERE}`, 'sec-fetch-site': 'same-origin' }, 303],
    ['its own page, which keeps its address to itself', { origin: 'null', 'sec-fetch-site': 'same-origin' }, 303],
    ['a program without a page', {}, 303],
    ['another page', { origin: 'http://evil.example', 'sec-fetch-site': 'cross-site' }, 403],
    ['a page at another port', { origin: 'http://127.0.0.1:8080', 'sec-fetch-site': 'same-site' }, 403],
    ['a page from nowhere', { origin: 'null', 'sec-fetch-site': 'cross-site' }, 403],
    ['a page from nowhere in an old browser', { origin: 'null' }, 403],
    ['a page that had its own name lead here', { host: 'evil.example:4173' }, 403],
    ['a page with a name that begins like ours', { host: '127.0.0.1.evil.example' }, 403],
  ])('takes a command for a device from %s or not', async (_, headers, status) => {
    const server = await createServer(folder);
    const payload = 'code=abc';
    const given = { host: HERE, 'content-type': 'application/x-www-form-urlencoded', ...headers };
    const reply = await server.inject({ method: 'POST', url: '/devices/scanner/scan', headers: given, payload });
    const read = await server.inject({ method: 'GET', url: '/devices/scanner', headers: { host: HERE } });
    await server.close();
    expect(reply.statusCode).toBe(status);
    expect(read.body.includes('abc')).toBe(status === 303);
  });

  it('shows its devices to no other page, not even as a picture or by a link', async () => {
    const server = await createServer(folder);
    const ask = async (url: string, site: string) =>
      (await server.inject({ method: 'GET', url, headers: { 'sec-fetch-site': site } })).statusCode;
    expect(await ask('/devices/camera/shot', 'cross-site')).toBe(403);
    expect(await ask('/devices/scale/stream', 'same-site')).toBe(403);
    expect(await ask('/devices/scanner', 'none')).toBe(200);
    // The app itself may be linked to.
    expect(await ask('/stash', 'cross-site')).toBe(200);
    await server.close();
  });
});
