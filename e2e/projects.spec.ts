import type { Page } from '@playwright/test';
import { expect, expectAccessible, openEmpty, openSample, quickAdd, test } from './support.ts';

const ticket = (page: Page) => page.getByRole('complementary', { name: 'Ticket' });

async function begin(page: Page, name: string): Promise<void> {
  await page.keyboard.press('8');
  await page.getByLabel('What would you like to make?').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 2, name })).toBeVisible();
}

async function say(page: Page, need: string, amount: string): Promise<void> {
  const row = page.getByRole('listitem', { name: need });
  await row.getByRole('button', { name: 'Change' }).click();
  await page
    .getByRole('form', { name: `Change ${need}` })
    .getByLabel('How much')
    .fill(amount);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('form', { name: `Change ${need}` })).toBeHidden();
}

test('two projects want the same cloth: it is seen, settled by a layout, gathered, cut, finished and let go, and the stash is right', async ({
  page,
}) => {
  await openEmpty(page);
  await quickAdd(page, 'linen rust 3 m x 140 washed');
  // The first takes 2.20 m of the 3.00 m.
  await begin(page, 'Coat');
  await say(page, 'main', '2.2 m');
  const main = page.getByRole('listitem', { name: 'main' });
  await expect(main).toContainText('Takes 2.20 m.');
  await main.getByRole('button', { name: 'Which cloth would do?' }).click();
  await page.getByRole('button', { name: /^Promise / }).click();
  await expect(main).toContainText('just enough.');
  // The second wants 1.50 m of the same: it sees who holds what.
  await begin(page, 'Bag');
  await say(page, 'main', '1.5 m');
  await main.getByRole('button', { name: 'Which cloth would do?' }).click();
  await expect(page.getByRole('region', { name: 'Cloths that would do' })).toContainText(
    '0.80 m free; 2.20 m of it promised elsewhere',
  );
  await page.getByRole('button', { name: /^Promise / }).click();
  await expect(main).toContainText('short of 0.70 m.');
  await expect(main).toContainText('Coat holds 2.20 m of it.');
  // Enough by layout: a side of 60 × 70 twice and a strap: 60 + 60 side by side on 140.
  await page.getByRole('button', { name: 'Write down its pieces' }).click();
  await page.getByLabel('Its pieces, one a line').fill('2 sides 60 x 70\nstrap 10 x 70');
  await page.getByRole('button', { name: 'Keep them' }).click();
  // 0.70 m, and 5 cm at each end.
  await expect(page.getByText('On 140 cm it takes 0.80 m. It fits, 0.00 m to spare.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Reckon with this length' }).click();
  await expect(main).toContainText('just enough.');
  await expect(main).not.toContainText('holds');
  // Both are on the wall, and nothing is wanted twice.
  await page.getByRole('link', { name: 'All projects' }).click();
  await expect(page.getByRole('link', { name: /Coat/ })).toBeVisible();
  await expect(page.getByText('Wanted twice')).toHaveCount(0);

  // Gathered into a bag of its own: the cloth is wherever that is.
  await page.getByRole('link', { name: /Bag/ }).click();
  await page.getByRole('button', { name: 'Give it a bag or box' }).click();
  await page.getByRole('button', { name: 'This one' }).click();
  await page.getByRole('link', { name: 'Gather 1 thing' }).click();
  await page.getByRole('button', { name: /is in the bag$/ }).click();
  await expect(page.getByText('All of it is in its bag.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the project' }).click();
  await expect(page.getByText('1 thing in it')).toBeVisible();

  // Cut from its ticket: what is promised to the coat stays.
  await main.getByRole('button', { name: /linen/i }).first().click();
  await page.keyboard.press('c');
  await ticket(page).getByLabel('How much to cut').fill('0.8 m');
  await ticket(page).getByLabel('For', { exact: true }).selectOption({ label: 'Bag (0.80 m)' });
  await ticket(page).getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(main).toContainText('0.80 m cut.');
  // Finished: what is left is measured once more, 2 cm went with the straight edge; its scraps and the bag itself come in.
  await page.getByRole('button', { name: 'It is done' }).click();
  const finish = page.getByRole('form', { name: 'Finish Bag' });
  const rest = finish.getByRole('listitem', { name: /linen/i });
  await expect(rest.getByLabel('Left of it')).toHaveValue('2.20 m');
  await rest.getByLabel('Left of it').fill('1.5 m');
  await finish.getByRole('button', { name: 'It is done' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'promised' })).toBeVisible();
  await rest.getByLabel('Left of it').fill('2.2 m');
  await rest.getByLabel('Scraps').selectOption('a handful');
  await finish.getByLabel('What you made').selectOption('is kept here: catalogue it');
  await finish.getByRole('button', { name: 'It is done' }).click();
  await expect(page.getByText('Bag is done.')).toBeVisible();

  // The coat is let go: all that is left is free, to the centimetre.
  await page.getByRole('link', { name: 'All projects' }).click();
  await page.getByRole('link', { name: /Coat/ }).click();
  await page.getByRole('button', { name: 'Give it up' }).click();
  await expect(page.getByText('Coat is let go.')).toBeVisible();
  await page.keyboard.press('2');
  await page
    .getByRole('button', { name: /linen.*2\.20 m|2\.20 m/i })
    .first()
    .click();
  await expect(ticket(page)).toContainText('2.20 m');
  await expect(ticket(page)).not.toContainText('promised');
  // And all of it comes back, step by step.
  await page.keyboard.press('j');
  await expect(page.getByText('Let go: Coat')).toBeVisible();
  await expect(page.getByText('Finished Bag')).toBeVisible();
  await expect(page.getByText('Cut 0.80 m from linen rust for Bag', { exact: false })).toBeVisible();
});

test('a project is told what it is, what comes next and what is missing; what another holds is taken by one press', async ({
  page,
}) => {
  await openSample(page, '/projects');
  await page.getByRole('link', { name: /^Squall bag/ }).click();
  const main = page.getByRole('listitem', { name: 'main' });
  await expect(main).toContainText('short of 0.70 m.');
  await main.getByRole('button', { name: 'Take what is lacking' }).click();
  await expect(page.getByText('0.70 m promised here instead of to Four crew smocks.')).toBeVisible();
  await expect(main).toContainText('just enough.');
  await page.keyboard.press('u');
  await expect(main).toContainText('short of 0.70 m.');
  // Facts, needs and steps as one writes them.
  await page.getByRole('button', { name: 'Change what it is' }).click();
  const facts = page.getByRole('form', { name: 'What the project is' });
  await facts.getByLabel('Sizes and how many').fill('2 of small');
  await facts.getByLabel('Where it stopped').fill('The strap is too short');
  await facts.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('The strap is too short')).toBeVisible();
  await page.getByLabel('Something more that it takes').fill('2 D-rings');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem', { name: 'D-rings' })).toContainText('2 D-rings');
  await page.getByRole('listitem', { name: 'D-rings' }).getByRole('button', { name: 'It is to be got' }).click();
  await expect(page.getByRole('listitem', { name: 'D-rings' })).toContainText('To be got.');
  await page.getByLabel('One step more').fill('sew the strap on 12');
  await page.keyboard.press('Enter');
  await expect(page.getByText('about 12 min')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Cut out' }).click();
  await expect(page.getByRole('checkbox', { name: 'Cut out' })).toBeChecked();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'Cut out' })).toBeChecked();
  // A size that no table has, said at once.
  await page.goto('/projects');
  await page.getByRole('link', { name: /^Four crew smocks/ }).click();
  await page.getByRole('button', { name: 'Change what it is' }).click();
  await facts.getByLabel('Sizes and how many').fill('46');
  await facts.getByRole('button', { name: 'Keep it' }).click();
  await expect(main).toContainText('The pattern’s table has 38, 42, not 46.');
});

test('a cloth is promised to a project from its own ticket, and leads back to it', async ({ page }) => {
  await openSample(page);
  await page.getByRole('searchbox').first().fill('dove waxed cotton');
  await page
    .getByRole('button', { name: /^Dove waxed cotton/ })
    .first()
    .click();
  await expect(ticket(page)).toContainText('Dove waxed cotton');
  await page.keyboard.press('r');
  await ticket(page).getByLabel('To a project').selectOption({ label: 'Sail quilt: backing' });
  await ticket(page).getByLabel('How much').fill('2 m');
  await page.keyboard.press('Enter');
  await expect(ticket(page).getByText('2.00 m promised to')).toBeVisible();
  await ticket(page).getByRole('link', { name: 'Sail quilt' }).click();
  await expect(page.getByRole('listitem', { name: 'backing' })).toContainText('Dove waxed cotton');
});

test('the shop card works on a phone without a network: a look at what is there, and what was got is in', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openSample(page, '/projects/shop');
  const toggles = page
    .getByRole('region', { name: 'For projects' })
    .getByRole('listitem')
    .filter({ hasText: 'Toggles' });
  await expect(toggles).toContainText('for Four crew smocks');
  await expectAccessible(page);
  await toggles.getByRole('button', { name: /^Got it/ }).click();
  const got = page.getByRole('form', { name: 'What you got' });
  await expect(got).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('textbox', { name: 'Do I have it already?' }).fill('red linen');
  await expect(page.getByRole('list', { name: 'What is there' }).getByRole('listitem').first()).toBeVisible();
  await got.getByLabel('Price').fill('7.50');
  await got.getByLabel('Where').fill('the quay market');
  await got.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/promised to Four crew smocks\. It waits on the Bench/)).toBeVisible();
  await expect(toggles).toHaveCount(0);
  await context.setOffline(false);
  await page.goto('/projects');
  await page.getByRole('link', { name: /^Four crew smocks/ }).click();
  await expect(page.getByRole('listitem', { name: 'toggles' })).toContainText(/toggles/i);
});

test('the usual sums are done with their drawing, and come back after a reload', async ({ page }) => {
  await openSample(page, '/projects/sums');
  const back = page.getByRole('region', { name: 'A quilt back' });
  await expect(back).toContainText(
    '3.60 m: 2 widths of 1.80 m, running across the quilt. The other way it takes 4.40 m.',
  );
  await back.getByLabel('Width of the cloth').fill('2.7 m');
  await expect(back).toContainText('1.80 m: 1 width of 1.80 m');
  await back.getByLabel('Width of the cloth').blur();
  await page.reload();
  await expect(back).toContainText('1.80 m: 1 width of 1.80 m');
  await back.getByLabel('Width of the cloth').fill('none');
  await expect(back.getByRole('alert')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Binding' })).toContainText('7.50 m of binding: 8 strips');
  await expect(page.getByRole('region', { name: 'Bias from a square' })).toContainText('gives 5.00 m');
});
