import type { Page } from '@playwright/test';

/**
 * To another screen as a link goes there: the app that is open stays, and nothing is loaded again. A page that holds
 * none of the app yet loads it; so does one that is there already.
 */
export async function go(page: Page, address: string): Promise<void> {
  const { pathname, search } = new URL(page.url());
  const open =
    pathname + search !== address &&
    (await page.evaluate((to) => {
      const { next } = window as { next?: { router?: { push(to: string): void } } };
      next?.router?.push(to);
      return next?.router !== undefined;
    }, address));
  if (open) await page.waitForURL((url) => url.pathname + url.search === address);
  else await page.goto(address);
}
