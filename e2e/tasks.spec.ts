import type { Locator, Page } from '@playwright/test';
import { expect, openSample, test } from './support.ts';

/** What is done most, each on a desk by keys and mouse and on a phone by the thumb. */
interface Hands {
  readonly press: (target: Locator) => Promise<void>;
  readonly go: (screen: string, key: string) => Promise<void>;
}

function createHands(page: Page, isPhone: boolean): Hands {
  const press = (target: Locator) => (isPhone ? target.tap() : target.click());
  return {
    press,
    go: async (screen, key) => {
      if (!isPhone) {
        // What is typed into is left first, or the key is a letter in it.
        await page.keyboard.press('Escape');
        await page.keyboard.press(key);
      } else {
        const bar = page.getByRole('navigation', { name: 'Screens' });
        const own = bar.getByRole('link', { name: screen, exact: true });
        if (await own.isVisible()) await own.tap();
        else {
          await bar.getByRole('button', { name: 'More' }).tap();
          await page.getByRole('link', { name: screen, exact: true }).last().tap();
        }
      }
      // On a desk the box to find by is on every screen.
      if (isPhone || screen !== 'Find') await expect(page.getByRole('heading', { level: 1 })).toHaveText(screen);
    },
  };
}

async function find(page: Page, { press, go }: Hands, words: string, name: string): Promise<Locator> {
  await go('Find', 'f');
  await page.getByRole('combobox', { name: 'Where is the…' }).fill(words);
  await press(page.getByRole('option').filter({ hasText: name }).first());
  const told = page.getByRole('status').filter({ hasText: name });
  await expect(told).toBeVisible();
  return told;
}

async function doTen(page: Page, isPhone: boolean): Promise<void> {
  const hands = createHands(page, isPhone);
  const { press, go } = hands;
  const ticket = page.getByRole('complementary');

  await test.step('find where something is, take it out, put it back', async () => {
    const told = await find(page, hands, 'pinking', 'Pinking shears');
    await expect(told).toContainText(/Low shelves › .*th of \d+ from the left/);
    await press(page.getByRole('button', { name: /^Take out/ }));
    await expect(told).toContainText('Out. Its home is');
    await press(page.getByRole('button', { name: /^Put back/ }));
    await expect(told).toContainText('from the left');
  });

  await test.step('add a cloth, and give it a home', async () => {
    await go('Stash', '2');
    const line = page.getByLabel('Add in one line');
    await press(line);
    await line.fill('3 m rust linen 140 cm');
    await line.press('Enter');
    await expect(line).toHaveValue('');
    await go('Bench', '1');
    await press(page.getByRole('button', { name: /^Put away/ }));
    // The newest comes first.
    await expect(page.getByRole('region', { name: 'Rust linen' })).toBeVisible();
    await press(page.getByRole('list', { name: 'The best places' }).getByRole('button').first());
    await expect(page.getByRole('region', { name: 'Rust linen' })).toBeHidden();
  });

  await test.step('cut from it, and look at what was done', async () => {
    const told = await find(page, hands, 'rust linen', 'Rust linen');
    await expect(told).toContainText('3.00 m');
    await press(ticket.getByRole('button', { name: /^Cut from it/ }));
    await ticket.getByLabel('How much to cut').fill('1.2 m');
    await ticket.getByLabel('How much to cut').press('Enter');
    await expect(told).toContainText('1.80 m');
  });

  await test.step('find a plan, adopt it, carry a step', async () => {
    await go('Fit', '5');
    await page.getByLabel('How long to search').selectOption('3');
    await press(page.getByRole('button', { name: /^Find a plan/ }));
    await press(page.getByRole('button', { name: /^Adopt this plan/ }));
    await expect(page.getByText('Adopted.')).toBeVisible();
    await go('Moves', '6');
    await press(page.getByRole('button', { name: /^Begin/ }));
    const step = page.getByText(/^Step 1 of \d+/);
    await expect(step).toBeVisible();
    await press(page.getByRole('button', { name: /^Done/ }));
    await expect(page.getByText(/^Step 2 of \d+/)).toBeVisible();
  });

  await test.step('print labels', async () => {
    await go('Labels', '7');
    const saved = page.waitForEvent('download');
    await press(page.getByRole('button', { name: /^Save as PDF/ }));
    expect((await saved).suggestedFilename()).toMatch(/\.pdf$/);
  });
}

test('what is done most is done on a desk', async ({ page }) => {
  await openSample(page, '/bench');
  await doTen(page, false);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('what is done most is done by the thumb', async ({ page }) => {
    await openSample(page, '/bench');
    await doTen(page, true);
  });

  test('of a long list only what is in sight is drawn, and it comes as one scrolls', async ({ page }) => {
    await openSample(page, '/daybook');
    const lines = page.getByRole('main').getByRole('listitem');
    await expect(lines.first()).toBeVisible();
    expect(await lines.count()).toBeLessThan(60);
    await page.goto('/stash/fabric');
    const pieces = page.locator('main [data-lot]');
    await expect(pieces.first()).toBeVisible();
    // Of 125, in a page that is as long as all of them.
    expect(await pieces.count()).toBeLessThan(60);
    await page.evaluate(() => window.scrollTo(0, 3000));
    await expect(pieces.first()).toBeVisible();
    expect(await pieces.count()).toBeLessThan(80);
    await expect(page.getByRole('heading', { name: 'Wool' })).toBeVisible();
  });

  test('a plan is at hand before its groups, and who looked at a place is back where it was named', async ({
    page,
  }) => {
    await openSample(page, '/fit');
    await expect(page.getByRole('button', { name: /^Find a plan/ })).toBeInViewport();
    // A slow phone: the list still grows when its ticket is already asked for, and does not carry it off.
    const machine = await page.context().newCDPSession(page);
    await machine.send('Emulation.setCPUThrottlingRate', { rate: 8 });
    await page.getByRole('button', { name: 'By groups' }).tap();
    await expect(page.getByRole('button', { name: /^Find a plan/ })).toBeHidden();
    const place = page.getByRole('button', { name: 'Eave chest › Drawer 1' }).first();
    await place.tap();
    await machine.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const back = page.getByRole('button', { name: '← Back to the plan' });
    await expect(back).toBeInViewport();
    await expect(page.getByRole('complementary').getByRole('heading', { name: 'Drawer 1' })).toBeInViewport();
    await back.tap();
    await expect(back).toBeHidden();
    await expect(place).toBeInViewport();
  });

  test('a screen begins at its top, and who goes back is where one was', async ({ page }) => {
    await openSample(page, '/projects');
    const bar = page.getByRole('navigation', { name: 'Screens' });
    const last = page.getByRole('link', { name: 'Sail quilt' });
    await last.scrollIntoViewIfNeeded();
    await expect(page.getByRole('heading', { level: 1 })).not.toBeInViewport();
    await bar.getByRole('link', { name: 'Stash', exact: true }).tap();
    await expect(page.getByRole('heading', { level: 1, name: 'Stash' })).toBeInViewport();
    await page.goBack();
    await expect(page.getByRole('heading', { level: 1, name: 'Projects' })).toBeAttached();
    await expect(last).toBeInViewport();
    // A long list is drawn by and by: one is there as soon as it is.
    await page.goto('/sort');
    const group = page
      .getByRole('region', { name: 'Other', exact: true })
      .getByRole('button', { pressed: false })
      .last();
    await group.scrollIntoViewIfNeeded();
    await bar.getByRole('link', { name: 'Stash', exact: true }).tap();
    await expect(page.getByRole('heading', { level: 1, name: 'Stash' })).toBeInViewport();
    await page.goBack();
    await expect(group).toBeInViewport();
  });

  const SCREENS = [
    '/bench',
    '/bench/tidy',
    '/bench/count',
    '/bench/away',
    '/scan',
    '/find',
    '/stash/fabric',
    '/stash/pattern',
    '/photos',
    '/list',
    '/sort',
    '/heaps',
    '/room/r1-east',
    '/room/balance',
    '/room/plan/r1',
    '/fit',
    '/moves',
    '/labels',
    '/projects',
    '/projects/p4',
    '/projects/sums',
    '/year',
    '/year/through',
    '/daybook',
    '/household',
  ];
  test('nothing that is pressed is smaller than a thumb, and nothing is wider than the phone', async ({ page }) => {
    await openSample(page, '/bench');
    const found: string[] = [];
    for (const path of SCREENS) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
      await expect(page.locator('main *').first()).toBeAttached();
      found.push(
        ...(await page.evaluate((at) => {
          const LEAST_PX = 43.5;
          const targets = [...document.querySelectorAll<HTMLElement>('button, a, input, select, summary')];
          const small = targets.filter((one) => {
            const { type } = one as HTMLInputElement;
            const pressed = type === 'checkbox' ? (one.closest('label') ?? one) : one;
            const beside = getComputedStyle(pressed, '::after');
            const isSeen = one.checkVisibility() && one.getBoundingClientRect().width > 0;
            const grown = beside.position === 'absolute' ? Number.parseFloat(beside.height) || 0 : 0;
            const isElsewhere = type === 'file' || one.closest('svg') || getComputedStyle(one).position === 'absolute';
            return isSeen && !isElsewhere && Math.max(pressed.getBoundingClientRect().height, grown) < LEAST_PX;
          });
          const wider = document.documentElement.scrollWidth - window.innerWidth;
          return [
            ...small.map((one) => `${at}: ${one.getAttribute('aria-label') ?? one.textContent}`),
            ...(wider > 0 ? [`${at}: ${wider} px wider`] : []),
          ];
        }, path)),
      );
    }
    expect(found).toEqual([]);
  });
});
