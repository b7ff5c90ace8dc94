import { expect, test } from "@playwright/test";
import { loadDemo, settled } from "./steps";

/** What every worker begins with. */
const WORKER = /turbopack-worker-[^/]*\.js/;
/** A script in its place; isolated as all of this origin is, or the browser would not begin it at all. */
const script = (body: string) => ({
  contentType: "text/javascript",
  headers: { "cross-origin-embedder-policy": "require-corp", "cross-origin-resource-policy": "same-origin" },
  body,
});

for (const [how, body] of [
  ["throws", "throw new Error('broken')"],
  ["never starts", undefined],
  ["says nothing", ""],
] as const)
  test(`a worker that ${how} is told in its place, and made anew when it is tried again`, async ({ page }) => {
    let met = 0;
    await page.route(WORKER, (route) => {
      met++;
      return body === undefined ? route.abort() : route.fulfill(script(body));
    });
    await loadDemo(page, "/reach", { before: "loaded" });
    // Silence is borne for half a minute, since long records are read in one go.
    const told = page.getByRole("alert").filter({ hasText: "crashed and was restarted" }).first();
    await expect(told).toBeVisible({ timeout: 60_000 });
    expect(met).toBeGreaterThan(0);
    // The rest of the page goes on.
    await page.getByRole("button", { name: "Depths" }).click();
    await expect(page.getByRole("button", { name: "Depths" })).toHaveAttribute("aria-pressed", "true");
    await page.unroute(WORKER);
    await told.getByRole("button", { name: "Retry" }).click();
    await settled(page);
  });

test("workers that loop or are silent are stopped within a second, and the next ones work", async ({ page }) => {
  // One that loops is enough for two cores.
  let met = 0;
  await page.route(WORKER, (route) => route.fulfill(script(met++ === 0 ? "for(;;);" : "")));
  await loadDemo(page, "/reach", { before: "loaded" });
  const stop = page.getByRole("button", { name: "Stop" });
  await stop.waitFor();
  const begun = Date.now();
  await stop.click();
  await expect(page.getByText(/^Stopped/)).toBeVisible();
  // A second, and what a busy machine takes to draw it.
  expect(Date.now() - begun).toBeLessThan(4000);
  await page.unroute(WORKER);
  await page.getByRole("button", { name: /^Stopped\. Solve/ }).click();
  // Another that was begun meanwhile, silent too, is told after its half a minute, and made anew as well.
  await expect(async () => {
    const again = page.getByRole("alert").getByRole("button", { name: "Retry" });
    if (await again.isVisible()) await again.click();
    await expect(page.getByText(/^(Steady|Not steady)/)).toBeVisible({ timeout: 5000 });
  }).toPass({ timeout: 120_000 });
});
