import { Arranger, toPositions } from '../core/room/index.ts';
import type { FromArranger, ToArranger } from './protocol.ts';

const scope = self as unknown as {
  onmessage: ((message: MessageEvent<ToArranger>) => void) | null;
  postMessage: (message: FromArranger) => void;
};

/** Tries between two looks at the clock: far less than a tenth of a second. */
const CHUNK = 10;
const PROGRESS_MS = 120;

let wantedRun = 0;

async function search(start: Extract<ToArranger, { type: 'start' }>): Promise<void> {
  const { run, room, pieces, statureMm, options } = start;
  const arranger = new Arranger(room, pieces, { statureMm }, options);
  const report = (type: 'progress' | 'done') =>
    scope.postMessage({
      type,
      run,
      steps: arranger.steps,
      worth: arranger.bestWorth,
      positions: toPositions(arranger.best),
    });
  let reportedMs = performance.now();
  while (!arranger.isDone && wantedRun === run) {
    arranger.advance(CHUNK);
    if (performance.now() - reportedMs < PROGRESS_MS) continue;
    report('progress');
    reportedMs = performance.now();
    await new Promise((resolve) => setTimeout(resolve));
  }
  report('done');
}

scope.onmessage = ({ data }) => {
  if (data.type === 'stop') {
    if (wantedRun === data.run) wantedRun = 0;
    return;
  }
  wantedRun = data.run;
  search(data).catch((error: unknown) => scope.postMessage({ type: 'failed', run: data.run, note: String(error) }));
};
