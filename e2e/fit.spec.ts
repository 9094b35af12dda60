/** How often a plan fits when it is made by hand: counted on the bench, with one's own exactness, and room taken. */
import { expect, go, setLength, test } from './table';

test('the share, what fails first and the curve; less exact hands fit less often, and the room that fits is taken', async ({
  page,
}) => {
  await go(page, '/bench?p=demo-1');
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Fit', { exact: true }).click();
  const share = page.getByText(/^\d+ of 100 come out right$/);
  await expect(share).toBeVisible({ timeout: 60_000 });
  const counted = async (): Promise<number> => Number(/^\d+/.exec((await share.textContent()) ?? '')![0]);
  const exact = await counted();
  expect(exact).toBeGreaterThan(80);
  await expect(page.getByRole('img', { name: /^How often it fits against the room aimed for/ })).toBeVisible();
  await expect(page.getByText(/^The usual figures, until you measure your own/)).toBeVisible();
  // Scissors by eye.
  for (const what of ['What I cut is off by', 'What I score is off by', 'What I set is off by'])
    await setLength(page, what, '3/16 in');
  await expect(page.getByText(/^Your own figures/)).toBeVisible();
  await expect(share).toBeVisible({ timeout: 60_000 });
  await expect.poll(counted, { timeout: 60_000 }).toBeLessThan(exact);
  await expect(page.getByText(/^What matters most is/)).toBeVisible();
  await expect(
    page.getByText(/^Measure all four sides instead of bringing the score to the pointer: \d+ of 100/),
  ).toBeVisible();
  // They are the person's, not the project's.
  await page.waitForTimeout(400);
  await page.reload();
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Fit', { exact: true }).click();
  await expect(page.getByLabel('What I cut is off by', { exact: true })).toHaveValue('3/16 in');
  await page.getByRole('button', { name: 'The usual figures' }).click();
  await expect(page.getByLabel('What I cut is off by', { exact: true })).toHaveValue('1/32 in');
  await page.getByRole('button', { name: 'I cut with scissors' }).click();
  await expect(page.getByLabel('What I cut is off by', { exact: true })).toHaveValue('1/16 in');
  // One’s own figure from a strip: two of four off by an eighth, 2 √(2/4) / 8 in.
  await page.getByText('Measure my own figure from a test strip').click();
  const ruler = page.getByLabel('What the ruler says of each', { exact: true });
  await ruler.fill('4; four');
  await expect(page.getByRole('status').filter({ hasText: '“four”' })).toBeVisible();
  await ruler.fill('4; 4 1/8; 4; 3 7/8');
  await page.getByRole('button', { name: 'Use this figure' }).click();
  await expect(page.getByLabel('What I cut is off by', { exact: true })).toHaveValue('0.177 in');
});

test('what holds nothing of a size says so, and counting can be stopped', async ({ page }) => {
  await go(page, '/bench?p=demo-1');
  // A quick machine has counted before a hand from outside is there: it is pressed as soon as it can be.
  await page.evaluate(() => {
    const press = (): void =>
      [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Stop')?.click();
    new MutationObserver(press).observe(document.body, { childList: true, subtree: true });
  });
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Fit', { exact: true }).click();
  await expect(page.getByText(/^Stopped\./)).toBeVisible();
});
