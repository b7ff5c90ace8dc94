import { Buffer } from "node:buffer";
import { expect, test } from "@playwright/test";
import { loadDemo, nextTap, noFaults, settled } from "./steps";

test("the demo film: its points by keys, its speeds and seams, and readings from it on the reach", async ({ page }) => {
  await loadDemo(page, "/reach/film");
  await expect(page.getByRole("heading", { name: "Film the water" })).toBeVisible();
  // What is no film is refused, and nothing changes.
  await page.getByLabel("Video file").setInputFiles({
    name: "notes.mp4",
    mimeType: "video/mp4",
    buffer: Buffer.from("no video at all"),
  });
  await expect(page.getByText("This browser can’t play the file as a video.")).toBeVisible();
  await page.getByRole("button", { name: "Try the demo film" }).click();
  const point = page.getByRole("button", { name: /^Point C/ });
  await expect(point).toBeVisible();
  const before = await point.getAttribute("transform");
  await point.press("Shift+ArrowLeft");
  await expect(point).not.toHaveAttribute("transform", before!);
  await point.press("Shift+ArrowRight");
  await expect(point).toHaveAttribute("transform", before!);
  // A distance that cannot be is told, with its points.
  const side = page.getByLabel("A to C", { exact: true });
  await side.fill("60 m");
  await side.press("Enter");
  await nextTap(page);
  await page.getByRole("button", { name: "Measure the film" }).click();
  await expect(page.getByText(/The distances between A, B and C can’t be right/)).toBeVisible();
  await side.fill("24.22 m");
  await side.press("Enter");
  await nextTap(page);
  await page.getByRole("button", { name: "Measure the film" }).click();
  // Stopped, and begun anew.
  const progress = page.getByRole("progressbar", { name: "Measuring the film" });
  await expect(progress).toBeVisible();
  await page.getByRole("button", { name: "Cancel" }).click();
  await expect(progress).toBeHidden();
  await nextTap(page);
  await page.getByRole("button", { name: "Measure the film" }).click();
  await expect(progress).toBeVisible();
  const found = page.getByText(/^Surface speed at/);
  await expect(found).toBeVisible({ timeout: 90_000 });
  const [, places, all] = /at ([\d,]+) of ([\d,]+) places/.exec(await found.innerText())!;
  expect(Number(places)).toBeGreaterThan(0.7 * Number(all));
  await expect(found).toContainText(/\d seams?\./);
  await expect(page.getByRole("img", { name: /^The filmed water from above/ })).toBeVisible();
  await noFaults(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.setViewportSize({ width: 1280, height: 800 });
  // On the reach it was filmed on it finds its own place, and the model agrees with it.
  await page.getByRole("link", { name: "Put it on a reach" }).click();
  await settled(page);
  await nextTap(page);
  await page.getByRole("button", { name: "Show the measured film here" }).click();
  const agrees = page.getByText(/% of places agree within a fifth/);
  await expect(agrees).toBeVisible();
  expect(Number(/(\d+) % of places agree/.exec(await agrees.innerText())?.[1])).toBeGreaterThan(60);
  const middle = page.getByRole("button", { name: /^Film, its middle/ });
  const there = await middle.getAttribute("transform");
  await middle.press("Shift+ArrowRight");
  await expect(middle).not.toHaveAttribute("transform", there!);
  await middle.press("Shift+ArrowLeft");
  await nextTap(page);
  await page.getByRole("button", { name: /^Add \d+ speed readings$/ }).click();
  await expect(page.getByText(/^\d+ speed readings added\./)).toBeVisible();
  await nextTap(page);
  await page.getByRole("button", { name: "Hide the film" }).click();
  await expect(middle).toBeHidden();
});
