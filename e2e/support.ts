import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** Another address is gone to when what was done is kept, as a window is closed by one who looks. */
function leaveWhenKept(page: Page): void {
  const go = page.goto.bind(page);
  page.goto = async (url, options) => {
    await page.waitForSelector('html:not([data-keeping])', { state: 'attached' });
    return go(url, options);
  };
}

/** Every page is watched: no error on the console, no request that leaves this machine. */
export const test = base.extend<{ watched: void }>({
  watched: [
    async ({ context }, use) => {
      const faults: string[] = [];
      const watch = (page: Page) => {
        page.on('console', (message) => {
          if (message.type() === 'error') faults.push(message.text());
        });
        page.on('pageerror', (error) => faults.push(error.message));
        page.on('request', (request) => {
          const { protocol, hostname } = new URL(request.url());
          if (protocol.startsWith('http') && hostname !== '127.0.0.1') faults.push(`left for ${request.url()}`);
        });
      };
      context.on('page', watch);
      context.on('page', leaveWhenKept);
      await use();
      expect(faults).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** What a page asks for does not come until it is let go. */
export async function holdBack(page: Page, url: RegExp): Promise<() => void> {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(url, async (route) => {
    await held;
    await route.continue();
  });
  return letGo;
}

/**
 * No finding of axe on what is shown, of all its rules or of those named. What it found good is not listed: to describe that takes
 * most of its time.
 */
export async function expectAccessible(page: Page, rules?: string[]): Promise<void> {
  // What is not drawn yet has neither.
  await page.locator('h1').first().waitFor({ state: 'attached' });
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  if (rules) axe.withRules(rules);
  const { violations } = await axe.analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
}

/**
 * Texts with a figure in them that nobody explains: not marked with how they were made, no name,
 * no place's address, no day, and not a piece or line whose ticket tells it.
 */
export async function listUnexplained(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found = new Set<string>();
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (texts.nextNode()) {
      const text = texts.currentNode.textContent?.trim() ?? '';
      const holder = texts.currentNode.parentElement;
      const isShown = holder !== null && holder.getBoundingClientRect().width > 0;
      if (!isShown || !/\d/.test(text) || !holder.closest('main, footer, aside, header')) continue;
      if (holder.closest('[data-how], [data-lot], [data-name], kbd, option, time') || text.includes('›')) continue;
      found.add(`${text} in ${holder.tagName}`);
    }
    return [...found];
  });
}

export async function openSample(page: Page, path = '/stash'): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();
  // What is out is there before the rest.
  await page.waitForSelector('html:not([data-keeping])', { state: 'attached' });
}

/** Saves everything to a file; its bytes. */
export async function saveBundle(page: Page): Promise<Buffer> {
  await page.goto('/household');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything to a file' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toMatch(/\.yardmist\.zip$/);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

export async function offerBundle(page: Page, bytes: Buffer): Promise<void> {
  await page.goto('/household');
  await page
    .getByLabel('Yardmist file')
    .setInputFiles({ name: 'household.yardmist.zip', mimeType: 'application/zip', buffer: bytes });
}

/** A household with nothing in it, at a screen. */
export async function openEmpty(page: Page, path = '/stash'): Promise<void> {
  await openSample(page);
  await page.getByRole('button', { name: 'Start with my own' }).click();
  await expect(page.getByRole('heading', { name: 'How do you begin?' })).toBeVisible();
  await page.goto(path);
  await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();
}

/** A browser that understands speech by itself: what is said in each language. */
export async function giveSpeech(page: Page, said: Readonly<Record<string, string>>): Promise<void> {
  await page.addInitScript((texts) => {
    class SpeechRecognition {
      static available = ({ langs }: { langs: string[] }) =>
        Promise.resolve(langs.every((lang) => lang in texts) ? 'available' : 'unavailable');
      lang = '';
      processLocally = false;
      onresult: ((event: unknown) => void) | null = null;
      onend: (() => void) | null = null;
      start() {
        setTimeout(() => {
          if (this.processLocally) this.onresult?.({ results: [[{ confidence: 0.9, text: texts[this.lang] }]] });
          this.onend?.();
        }, 20);
      }
      stop() {
        this.onend?.();
      }
    }
    Object.assign(window, { SpeechRecognition });
  }, said);
}

/** Types a line at the foot of the stash, and takes it in. */
export async function quickAdd(page: Page, text: string, isTaken = true): Promise<void> {
  const line = page.getByLabel('Add in one line');
  // A page that was just opened may not listen yet.
  await expect(async () => {
    await page.keyboard.press('q');
    await expect(line).toBeFocused({ timeout: 1500 });
  }).toPass();
  await line.fill('');
  await page.keyboard.type(text);
  if (!isTaken) return;
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('');
  await page.keyboard.press('Escape');
}
