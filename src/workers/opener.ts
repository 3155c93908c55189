import { HouseholdStore } from '../storage/index.ts';
import { serveLine } from './desk.ts';
import { listWholeNews, type News } from './news.ts';
import type { Opened } from './protocol.ts';

/** Reads what this browser keeps, and checks it, so that the page goes on meanwhile. */
async function load(say: (news: News) => void): Promise<Opened> {
  const store = new HouseholdStore();
  const loaded = await store.load();
  store.close();
  if (!loaded.ok || !loaded.value) return { ok: false, fault: loaded.ok ? null : loaded.fault };
  const { chronicle, generation, apart } = loaded.value;
  for (const news of listWholeNews(chronicle)) say(news);
  return { ok: true, value: { generation, apart } };
}

serveLine<null, Opened, never, News>((_, say) => load(say));
