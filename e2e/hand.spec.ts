import { expect, test } from "@playwright/test";
import { loadDemo, noFaults, settled, walk } from "./steps";

/** Keys, lists, notices, dialogs and the frame of Reach, as hands find them. */

test("one row of controls at every width; plan, section and why on one screen; columns that end together", async ({
  page,
}) => {
  await loadDemo(page, "/reach");
  await settled(page);
  for (const width of [600, 768, 1024, 1280, 1600]) {
    await page.setViewportSize({ width, height: 800 });
    const row = page.getByRole("combobox", { name: "Fish", exact: true }).locator("xpath=../..");
    const tops = await row.evaluate((element) =>
      [...element.querySelectorAll("button")]
        .map((one) => one.getBoundingClientRect())
        .filter(({ height }) => height > 0)
        .map(({ top }) => Math.round(top)),
    );
    expect(new Set(tops).size, `${width}`).toBe(1);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  for (const part of [
    page.getByRole("group", { name: /^The reach from above/ }),
    page.getByRole("img", { name: /^Section across the river at lie 1/ }),
    page.getByRole("heading", { name: /^Why lie 1/ }),
  ]) {
    // The plan takes its size a moment after the window does.
    await expect
      .poll(async () => {
        const box = (await part.boundingBox())!;
        return box.y >= 0 && box.y + box.height <= 801;
      })
      .toBe(true);
  }
  const ends = await page
    .locator("#why-this-lie")
    .evaluate((element) =>
      [...element.parentElement!.children].map((one) => Math.round(one.getBoundingClientRect().bottom)),
    );
  expect(ends).toHaveLength(3);
  expect(Math.max(...ends) - Math.min(...ends)).toBeLessThanOrEqual(1);
  await expect(page.getByRole("status").filter({ hasText: /^Steady/ })).toBeVisible();
  // A very long dialog keeps its close button.
  await page.setViewportSize({ width: 390, height: 600 });
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByRole("button", { name: "Delete everything" }).scrollIntoViewIfNeeded();
  await expect(page.getByRole("button", { name: "Close" })).toBeInViewport();
});

test("keys: listed from a visible place, no shortcut from a list, Escape closes the dialog before a notice", async ({
  page,
}) => {
  await loadDemo(page, "/log");
  const session = page.getByRole("button", { name: /^Delete the session/ }).first();
  await session.click();
  const undo = page.getByRole("button", { name: "Undo" });
  await expect(undo).toBeVisible();
  await page.getByRole("button", { name: "Shortcuts" }).click();
  await expect(page.getByRole("dialog", { name: "Shortcuts" })).toContainText("delete it");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect(undo).toBeVisible();
  await expect(page.getByRole("button", { name: "Shortcuts" })).toBeFocused();
  await noFaults(page);

  await walk(page, "Reach");
  const fish = page.getByRole("combobox", { name: "Fish", exact: true });
  await fish.focus();
  await page.keyboard.press("l");
  await expect(page).toHaveURL(/\/reach$/);
  await expect(fish).toContainText("Largemouth bass");
});

test("emptying the book is one deliberate act, with a copy saved first that restores it", async ({ page }) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByRole("button", { name: "Delete everything" }).click();
  await noFaults(page);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save a backup, then delete everything" }).click(),
  ]);
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
  await page.getByRole("button", { name: "Open a backup" }).click();
  await page.getByLabel("Backup file").setInputFiles(await download.path());
  await page.getByRole("radio", { name: /^Restore it exactly/ }).check();
  await page.getByRole("button", { name: "Restore" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();
});
