import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import ICAL from "ical.js";
import { chooseGauge, gaugeText, loadDemo, makeSmallReach, noFaults } from "./steps";

const MINUTES = 60_000;

test("a new user on a clean profile: a gauge, a reach, and the first plan, within two minutes", async ({ page }) => {
  const began = Date.now();
  await page.goto("/");
  await page.getByRole("link", { name: "Start" }).click();
  await expect(page.getByRole("heading", { name: "Two steps to a first plan" })).toBeVisible();
  await page.getByRole("button", { name: "Open a gauge file" }).click();
  await chooseGauge(page, "gauge.csv", gaugeText());
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await makeSmallReach(page, "Test pool");
  await expect(page.getByRole("heading", { level: 1, name: /^Test pool, (today|tomorrow)/ })).toBeVisible({
    timeout: 60_000,
  });
  await expect(page.getByText("Start:", { exact: false })).toBeVisible({ timeout: 60_000 });
  expect(Date.now() - began).toBeLessThan(2 * MINUTES);
});

test("where and when, why, what would change it; other days, another fish, how far, the calendar; on a phone too", async ({
  page,
}) => {
  await loadDemo(page, "/today");
  const answer = page.getByRole("heading", { level: 1 });
  await expect(answer).toHaveText(/^(Kiln Glide|Alder Bend), today \d\d:\d\d to \d\d:\d\d$/, { timeout: 60_000 });
  await expect(page.getByText("are still being worked out", { exact: false })).toBeHidden({ timeout: 120_000 });
  const [reach] = (await answer.innerText()).split(",");
  await expect(page.getByRole("heading", { name: `Why ${reach}` })).toBeVisible();
  // The flow of the sentence is the flow of the first row and of the first reason.
  const flow = /([\d.]+) m³\/s and/.exec(await page.locator("#station").innerText())![1]!;
  const windows = page.getByTestId("windows");
  await expect(windows.getByRole("row").nth(1)).toContainText(`${flow} m³/s`);
  await expect(windows.getByRole("row").nth(1)).toContainText("100 %");
  await noFaults(page);

  // How far: with its minutes the hour to leave is told; beyond the limit it is left out by name.
  await page.getByRole("button", { name: "Travel times" }).click();
  await page.getByRole("textbox", { name: reach! }).fill("50");
  await page.keyboard.press("Escape");
  const from = /today (\d\d):(\d\d)/.exec(await answer.innerText())!;
  const leave = new Date(2026, 0, 1, Number(from[1]), Number(from[2]) - 50);
  await expect(
    page.getByRole("heading", {
      name: `Leave home ${String(leave.getHours()).padStart(2, "0")}:${String(leave.getMinutes()).padStart(2, "0")}`,
    }),
  ).toBeVisible();

  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "To calendar" }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/\.ics$/);
  const event = new ICAL.Event(
    new ICAL.Component(ICAL.parse(readFileSync(await file.path(), "utf8")) as never).getFirstSubcomponent("vevent")!,
  );
  expect(event.summary).toBe(reach);
  // Screens tell the hour by the water's clock, wherever the browser is.
  const clock = new Intl.DateTimeFormat("en-GB", { timeZone: "Europe/Dublin", timeStyle: "short" });
  expect(clock.format(event.startDate.toJSDate())).toBe(`${from[1]}:${from[2]}`);

  await page.getByRole("combobox", { name: "Travel limit" }).click();
  await page.getByRole("option", { name: "45 min" }).click();
  await expect(page.getByText(`${reach} is left out: farther than you want to drive.`)).toBeVisible();
  await expect(answer).not.toHaveText(new RegExp(`^${reach}`));

  await page.getByRole("combobox", { name: "Days" }).click();
  await page.getByRole("option", { name: "The next five days" }).click();
  await expect(windows.getByRole("row")).toHaveCount(6, { timeout: 60_000 });
  await page.getByRole("combobox", { name: "Fish" }).click();
  await page.getByRole("option", { name: "Walleye", exact: true }).click();
  await expect(answer).toBeVisible();

  await page.setViewportSize({ width: 390, height: 844 });
  await expect(answer).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("weather: the stand-in's forecast on the answer; what is expected goes before it, and a file with its refused lines", async ({
  page,
}) => {
  await loadDemo(page, "/today");
  const windows = page.getByTestId("windows");
  await expect(windows.getByRole("columnheader", { name: "Wind and sky" })).toBeVisible({ timeout: 120_000 });
  await expect(windows.getByRole("row").nth(1)).toContainText(/(calm|light breeze), \d\.\d m\/s from the south/);

  // A gale that the angler expects sends nobody anywhere, and is taken back.
  await page.getByRole("button", { name: "Weather" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText(/^Demo forecast, not real/)).toBeVisible();
  await noFaults(page);
  const windExpected = async (wind: string) => {
    await dialog.getByRole("combobox", { name: "Wind" }).click();
    await page.getByRole("option", { name: wind, exact: true }).click();
  };
  await windExpected("strong wind");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "Nowhere to go in these hours" })).toBeVisible();
  await expect(page.getByText("Kiln Glide is left out: wind strong enough for white caps.")).toBeVisible();
  await page.getByRole("button", { name: "Weather" }).click();
  await windExpected("fresh breeze");
  await page.keyboard.press("Escape");
  await expect(windows.getByRole("row").nth(1)).toContainText("fresh breeze, 8.0 m/s");

  // A file of one's own: its bad line is told by its number, and undo brings back what stood before.
  await page.getByRole("button", { name: "Weather" }).click();
  await windExpected("as forecast");
  const at = (hours: number) => new Date(Date.UTC(2026, 4, 14, 12 + hours)).toISOString();
  const lines = Array.from({ length: 60 }, (_, k) => `${at(k)},4,${k === 2 ? "storm" : "W"},100,no`);
  await dialog.locator("input[type=file]").setInputFiles({
    name: "sky.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`time,wind (m/s),wind direction,cloud (%),thunder\n${lines.join("\n")}\n`),
  });
  await expect(dialog.getByText(/^From sky\.csv/)).toBeVisible();
  await expect(dialog.getByText("line 4: wind direction “storm” is impossible", { exact: false })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(windows.getByRole("row").nth(1)).toContainText("light breeze, 4.0 m/s from the west, overcast", {
    timeout: 60_000,
  });
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(windows.getByRole("row").nth(1)).toContainText("from the south", { timeout: 60_000 });
  await page.getByRole("link", { name: "Session" }).click();
  await expect(page.getByText("Sky and wind from the forecast", { exact: false })).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Sky" })).toContainText("broken cloud");
});
