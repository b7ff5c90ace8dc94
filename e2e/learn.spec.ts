import { expect, test } from "@playwright/test";
import { loadDemo, nextTap, noFaults, walk } from "./steps";

test("learn: what the log shows, places and forecasts by tabs; lies ranked with one's own fish and back again", async ({
  page,
}) => {
  await loadDemo(page, "/learn");
  await page.getByRole("tab", { name: "Spots" }).click();
  await expect(page.getByText(/fish in .* h at modelled spots/)).toBeVisible();
  await expect(page.getByTestId("likings").getByRole("row").nth(1)).toBeVisible();
  await noFaults(page);
  await page.getByRole("button", { name: "Rank lies by your fish too" }).click();
  await walk(page, "Reach");
  await expect(page.getByText(/your own fish/)).toBeVisible({ timeout: 120_000 });
  await walk(page, "Learn");
  await page.getByRole("tab", { name: "Spots" }).click();
  await page.getByRole("button", { name: /by the model only/ }).click();
  await page.getByRole("button", { name: "Restart learning today" }).click();
  await expect(page.getByText(/^0 fish in 0 h at modelled spots/)).toBeVisible();
  // The button stands where the other one was: a quick second tap is not for it.
  await nextTap(page);
  await page.getByRole("button", { name: "Learn from the whole log" }).click();
  await expect(page.getByText(/^0 fish in 0 h/)).toBeHidden();

  await page.getByRole("tab", { name: "Forecasts" }).click();
  await expect(page.getByText(/times of \d+ the river was in the 80 % range/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("img", { name: /24 h ahead/ })).toBeVisible({ timeout: 60_000 });
  await noFaults(page);
});

test("drills: a water marked by keys, held against the field; a question missed comes back in ten minutes", async ({
  page,
}) => {
  await loadDemo(page, "/learn");
  await page.getByRole("tab", { name: "Drills" }).click();
  await page.getByRole("button", { name: /^Next:/ }).click();
  const water = page.getByRole("application");
  await expect(water).toBeVisible({ timeout: 60_000 });
  await water.focus();
  for (const keys of [["ArrowRight"], ["Shift+ArrowRight"], ["Shift+ArrowLeft", "Shift+ArrowLeft"], ["ArrowUp"]]) {
    for (const key of keys) await page.keyboard.press(key);
    await page.keyboard.press("Enter");
  }
  await page.getByRole("button", { name: "Check answer" }).click();
  await expect(page.getByText(/^Mark 3\. /)).toBeVisible();
  await expect(page.getByText(/^The seam:|^There is no seam/)).toBeVisible();
  const total = /(\d+) of 100/.exec(await page.locator("#station").innerText())![1]!;
  await noFaults(page);
  await page.getByRole("button", { name: "Next drill", exact: true }).click();
  await expect(page.getByText(`best ${total} of 100`, { exact: false })).toBeVisible();

  await page.getByRole("button", { name: "Try drill: How clear it is" }).click();
  // Muddy or gin-clear is never what a body mark of these says for all: press one, and see which was right.
  await page.getByRole("button", { name: "gin-clear", exact: true }).click();
  await expect(page.getByText(/^The answer:/)).toBeVisible();
  await page.getByRole("button", { name: "Next drill", exact: true }).click();
  await expect(page.getByText(/best 0 of 100, missed; next today/)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("help: how a day goes, what the models know, and the words of the trade by what is typed", async ({ page }) => {
  await page.goto("/help");
  await expect(page.getByRole("heading", { name: "What each model knows and doesn’t know" })).toBeVisible();
  await page.getByLabel("Search").fill("foam");
  await expect(page.getByText("Foam line", { exact: true })).toBeVisible();
  await expect(page.getByText("Spate", { exact: true })).toBeHidden();
  await page.getByLabel("Search").fill("zzz");
  await expect(page.getByText("No term contains “zzz”.")).toBeVisible();
  await noFaults(page);
});
