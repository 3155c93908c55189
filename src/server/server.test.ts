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
});
