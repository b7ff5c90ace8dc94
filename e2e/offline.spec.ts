import { expect, type Page, test } from "@playwright/test";
import { endSession, landFish, nextTap, noFaults, release } from "./steps";

test.use({ serviceWorkers: "allow" });

/** One visit: the application is kept whole, and the page stands under its worker. */
async function visit(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Load the demo river" }).click();
  await expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}

test("after one visit a whole day is fished with no network, from a cold start: every station by soft navigation, the flow solved, a fish landed, the log and its files", async ({
  context,
}) => {
  test.setTimeout(240_000);
  const first = await context.newPage();
  await visit(first);
  await first.close();
  await context.setOffline(true);

  const page = await context.newPage();
  const broken: string[] = [];
  page.on("pageerror", (error) => broken.push(error.message));
  await page.goto("/learn");
  await expect(page.getByRole("heading", { name: /Fish per hour/ })).toBeVisible();
  await page.evaluate(() => ((window as unknown as { same?: boolean }).same = true));
  const stations = page.getByRole("navigation", { name: "Stations" });
  for (const [name, seen] of [
    ["Water", page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })],
    ["Log", page.getByRole("tab", { name: "Sessions" })],
    ["Rig", page.getByTestId("setting")],
    ["Session", page.getByRole("button", { name: "Start a session" })],
  ] as const) {
    await stations.getByRole("link", { name, exact: true }).click();
    await expect(seen).toBeVisible({ timeout: 120_000 });
  }
  // The page is still the one that was opened: nothing was loaded anew.
  expect(await page.evaluate(() => (window as unknown as { same?: boolean }).same)).toBe(true);

  await page.getByRole("button", { name: "Start a session" }).click();
  await expect(page.getByText(/^0 of \d+ minutes$/)).toBeVisible({ timeout: 60_000 });
  for (let cast = 1; cast <= 7; cast++) {
    await page.getByRole("button", { name: "Cast", exact: true }).click();
    await expect(page.getByText(new RegExp(`cast ${cast}, `))).toBeVisible();
    await nextTap(page);
  }
  const step = page.getByTestId("next-step");
  await expect(step).toContainText("Nothing in 7 casts");
  await step.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText(/changed: /)).toBeVisible();
  await page.getByRole("button", { name: "Bite", exact: true }).click();
  await expect(step).toContainText("Repeat the cast now.");
  await landFish(page);
  await page.getByLabel("Length, cm").fill("24");
  await page.getByLabel("Length, cm").press("Enter");
  await expect(page.getByText(/Release it: it is under the minimum length of 28 cm/)).toBeVisible();
  await page.getByRole("button", { name: "Smooth" }).click();
  await noFaults(page);
  await release(page);
  await page.getByRole("button", { name: "Actions", exact: true }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Something to eat" }).click();
  await expect(page.getByText(/Timer paused for 0 min: something to eat/)).toBeVisible();
  await nextTap(page);
  await page.getByRole("button", { name: "Resume fishing" }).click();
  await endSession(page);

  // Closed and opened again: still no network, and all of it there.
  await page.goto("/log");
  await page.getByRole("tab", { name: "Fish" }).click();
  await page.getByRole("searchbox").or(page.getByLabel("Search")).first().fill("trout worm");
  await expect(page.getByTestId("fish-table").getByRole("row").nth(1)).toContainText("24 cm");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export hours (CSV)" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("hours.csv");
  expect(broken).toEqual([]);
});
