import { type APIRequestContext, expect, type Page, test } from "@playwright/test";
import gzipSize from "gzip-size";
import { loadDemo } from "./steps";

/** Script that stands in a station's page, gzipped, kB: the frame, the book and the river strip. */
const FIRST = 250;
/**
 * And all script of a page with the demo river once it rests, its charts and what its first write needs included;
 * workers are not the page's. What a station weighs now and a little over.
 */
const WHOLE = { today: 408, water: 478, reach: 500, rig: 463, log: 365, learn: 445 } as const;

async function weigh(files: Iterable<string>, request: APIRequestContext): Promise<number> {
  let bytes = 0;
  for (const file of new Set(files)) bytes += await gzipSize(await (await request.get(file)).body());
  return bytes / 1000;
}

test(`the first load of a station stays within ${FIRST} kB of script, and all of it within its own budget`, async ({
  browser,
  request,
}) => {
  const context = await browser.newContext();
  const opened: { station: string; most: number; first: number; page: Page }[] = [];
  for (const [station, most] of Object.entries(WHOLE)) {
    const html = await (await request.get(`/${station}`)).text();
    const named = [...html.matchAll(/\/_next\/static\/chunks\/[^"'\\ ]+\.js/g)].map(([path]) => path);
    const first = await weigh(named, request);
    expect(first, station).toBeLessThan(FIRST);
    // And it is measured: React alone is more than this.
    expect(first, station).toBeGreaterThan(100);
    const page = await context.newPage();
    if (opened.length === 0) await loadDemo(page, `/${station}`);
    else await page.goto(`/${station}`);
    await page.getByRole("heading", { level: 2 }).first().waitFor();
    opened.push({ station, most, first, page });
  }
  // All of them rest together.
  await opened[0]!.page.waitForTimeout(5000);
  for (const { station, most, first, page } of opened) {
    const scripts = await page.evaluate(() =>
      performance
        .getEntriesByType("resource")
        .filter((one) => ["script", "link"].includes((one as PerformanceResourceTiming).initiatorType))
        .map((one) => one.name)
        .filter((name) => name.endsWith(".js")),
    );
    const whole = await weigh(scripts, request);
    expect(whole, station).toBeLessThan(most);
    expect(whole, station).toBeGreaterThan(first);
  }
  await context.close();
});
