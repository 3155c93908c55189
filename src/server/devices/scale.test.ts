import { describe, expect, it } from 'vitest';
import { createServer } from '../server.ts';
import { BenchScale } from './scale.ts';

function createScale() {
  const clock = { ms: 0 };
  return {
    clock,
    scale: new BenchScale(
      () => clock.ms,
      () => 0.75,
    ),
  };
}

describe('the bench scale', () => {
  it('shows nothing at first, then comes to rest at what was put on it', () => {
    const { clock, scale } = createScale();
    expect(scale.read()).toEqual({ grams: 0, isStable: true, resolutionG: 0.5, isOverloaded: false });
    scale.put(612.3);
    clock.ms = 100;
    const early = scale.read();
    expect(early.isStable).toBe(false);
    expect(early.grams).toBeLessThan(400);
    clock.ms = 5000;
    expect(scale.read()).toMatchObject({ grams: 612.5, isStable: true });
  });

  it('takes a tare off, and says when it is too much', () => {
    const { clock, scale } = createScale();
    scale.put(30);
    clock.ms = 5000;
    scale.tare();
    scale.put(88);
    clock.ms = 10_000;
    expect(scale.read().grams).toBe(58);
    scale.put(9000);
    expect(scale.read().isOverloaded).toBe(true);
  });
});

describe('the scale in the server', () => {
  it('takes a weight from its page and streams it', async () => {
    const server = await createServer(process.cwd());
    const address = await server.listen({ host: '127.0.0.1', port: 0 });
    const put = await fetch(`${address}/devices/scale/put`, {
      method: 'POST',
      body: new URLSearchParams({ grams: '250' }),
      redirect: 'manual',
    });
    expect(put.status).toBe(303);
    expect(await (await fetch(`${address}/devices/scale`)).text()).toContain('Bench scale');
    const stream = await fetch(`${address}/devices/scale/stream`);
    const reader = stream.body!.getReader();
    let text = '';
    while (!text.includes('"grams":250,"isStable":true')) text += new TextDecoder().decode((await reader.read()).value);
    await reader.cancel();
    const bad = await fetch(`${address}/devices/scale/put`, {
      method: 'POST',
      body: new URLSearchParams({ grams: 'x' }),
    });
    expect([bad.status, await bad.text()]).toEqual([400, 'grams must be a number']);
    await server.close();
  });
});
