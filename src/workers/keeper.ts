import { openBundle, parseBundle, readOpened, toBundle } from '../core/formats/index.ts';
import { salvage } from '../core/mending/index.ts';
import { serveLine } from './desk.ts';
import { listWholeNews, Told, type News } from './news.ts';
import type { FromKeeper, ToKeeper } from './protocol.ts';

const told = new Told();

const isSameBytes = (a: Uint8Array, b: Uint8Array) => a.length === b.length && a.every((byte, i) => byte === b[i]);

/** A copy that does not read back, or not as the same, is no copy. */
function pack(photos: Extract<ToKeeper, { type: 'pack' }>['photos']): FromKeeper {
  const bytes = toBundle({ household: told.household, events: told.events, photos });
  const proof = parseBundle(bytes);
  if (!proof.ok) return { type: 'unproved', path: proof.fault[0]?.path ?? '' };
  return isSameBytes(toBundle(proof.value), bytes) ? { type: 'packed', bytes } : { type: 'unproved', path: '' };
}

function unpack({ bytes, stamp }: Extract<ToKeeper, { type: 'unpack' }>, say: (news: News) => void): FromKeeper {
  const opened = openBundle(bytes);
  if (!opened.ok) return { type: 'faulty', faults: opened.fault, rest: null };
  const read = readOpened(opened.value);
  if (read.ok) {
    for (const news of listWholeNews(read.value)) say(news);
    return { type: 'whole', photos: read.value.photos ?? [] };
  }
  const saved = salvage(opened.value.raw, stamp);
  if (!saved || saved.chronicle.household.lots.size === 0) return { type: 'faulty', faults: read.fault, rest: null };
  for (const news of listWholeNews(saved.chronicle)) say(news);
  return { type: 'faulty', faults: read.fault, rest: { apart: saved.apart, photos: opened.value.photos } };
}

serveLine<ToKeeper, FromKeeper, News, News>(
  (ask, say) => (ask.type === 'pack' ? pack(ask.photos) : unpack(ask, say)),
  (news) => told.hear(news),
);
