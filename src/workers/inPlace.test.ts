import { describe, expect, it } from 'vitest';
import { InPlaceWorker } from '../../tests/inPlaceWorker.ts';
import { Line } from './line.ts';
import type { Opened } from './protocol.ts';

const open = (file: string) => new InPlaceWorker(new URL(file, import.meta.url));

describe('workers of the tests', () => {
  it('do not wait for each other: one that never loads holds up no other', async () => {
    open('../../tests/neverLoads.ts');
    const line = new Line<null, Opened>(() => open('./opener.ts') as never, 5000);
    expect(await line.ask(null)).toMatchObject({ ok: true });
    line.close();
  });

  it('say at once when nothing hears them, instead of being waited for', async () => {
    const line = new Line<null, Opened>(() => open('./news.ts') as never, 20_000);
    expect(await line.ask(null)).toMatchObject({ ok: false, fault: { code: 'failed' } });
  });

  it('have each their own self, however late what they run comes to it', async () => {
    const [one, other] = [open('./importer.ts'), open('./opener.ts')];
    const here = globalThis.self;
    const heard = await Promise.all(
      [one, other].map(
        (worker) =>
          new Promise((resolve) => {
            worker.onmessage = ({ data }) => resolve(data);
            worker.postMessage({ id: 4, ask: { type: 'settle' } });
          }),
      ),
    );
    expect(heard).toMatchObject([{ id: 4 }, { id: 4 }]);
    expect(globalThis.self).toBe(here);
  });
});
