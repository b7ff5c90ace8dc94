import { Buffer } from "node:buffer";
import { type Browser, expect, type Page, test } from "@playwright/test";
import { beginSession, endSession, loadDemo, makeSmallReach, nextTap, settled, walk } from "./steps";

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const STATIONS = ["Today", "Water", "Reach", "Rig", "Session", "Log", "Learn"];

test("a plan is carried whole: its place, hours and flow on Reach, Rig and Session, and one press back to now", async ({
  page,
}) => {
  await loadDemo(page, "/today");
  await page.getByRole("combobox", { name: "Days" }).click();
  await page.getByRole("option", { name: "Tomorrow", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/, tomorrow \d\d:\d\d to \d\d:\d\d$/);
  await expect(page.getByText("are still being worked out", { exact: false })).toBeHidden({ timeout: 120_000 });
  const said = await page.locator("#station").innerText();
  const place = /Start: (.+?)\./.exec(said)![1]!;
  const [, from, to] = /tomorrow (\d\d:\d\d) to (\d\d:\d\d)/.exec(said)!;
  const flow = /([\d.]+) m³\/s and/.exec(said)![1]!;
  await page.getByRole("link", { name: /^Rig for/ }).click();
  await page.waitForURL("**/rig");
  const banner = page.getByRole("status").filter({ hasText: "Your plan" });
  for (const station of ["Rig", "Reach", "Session"]) {
    if (station !== "Rig") await walk(page, station);
    await expect(banner, station).toContainText(`${from} to ${to}, ${flow} m³/s, start ${place}.`, {
      ignoreCase: true,
    });
  }
  // One number and one name for the place, wherever it is told.
  await walk(page, "Reach");
  await settled(page);
  const [, number, lie] = /Why lie (\d+): (.+)/.exec(await page.locator("#why-this-lie h2").first().innerText())!;
  await walk(page, "Rig");
  await expect(page.getByText(new RegExp(`^Lie ${number}: ${lie}`, "i")).first()).toBeVisible({ timeout: 60_000 });
  await walk(page, "Session");
  await expect(page.getByText(new RegExp(`^${number}\\. ${lie}`, "i")).first()).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Show the river now" }).click();
  await expect(banner).toBeHidden();
});

test("keys go to a station and its heading takes the focus, after a choice from a list too", async ({ page }) => {
  await loadDemo(page, "/water");
  for (const [k, station] of STATIONS.entries()) {
    await page.keyboard.press(String(k + 1));
    await page.waitForURL(`**/${station.toLowerCase()}`);
    await expect(page.locator("#station h1").first(), station).toBeFocused();
  }
  await page.keyboard.press("3");
  await page.getByRole("combobox", { name: "Fish", exact: true }).click();
  await page.getByRole("option", { name: "Walleye", exact: true }).click();
  await page.keyboard.press("2");
  await page.waitForURL("**/water");
});

test("thunder heard in one tab clears every station of every tab", async ({ page, context }) => {
  await loadDemo(page, "/session");
  const other = await context.newPage();
  await other.goto("/reach");
  await page.getByRole("button", { name: "I hear thunder" }).click();
  for (const tab of [page, other])
    for (const station of STATIONS) {
      await walk(tab, station);
      await expect(
        tab
          .getByRole("alert")
          .filter({ hasText: /thunder/i })
          .first(),
        station,
      ).toBeVisible();
    }
  await walk(other, "Session");
  await expect(other.getByRole("button", { name: "Start a session" })).toBeHidden();
  await other.getByRole("button", { name: "False alarm: no thunder" }).click();
  await walk(page, "Session");
  await expect(page.getByRole("button", { name: "Start a session" })).toBeVisible();
});

/** Ten days of hourly readings that end at an instant. */
const gaugeUntil = (end: number): Buffer =>
  Buffer.from(
    `time,discharge_m3s\n${Array.from({ length: 240 }, (_, k) => `${new Date(end - (239 - k) * HOUR).toISOString()},${(5 + Math.sin(k / 30)).toFixed(2)}`).join("\n")}\n`,
  );

/** A browser somewhere on earth, at an instant, with a gauge at Dublin and a reach. */
async function somewhere(browser: Browser, timezoneId: string, now: number): Promise<Page> {
  const context = await browser.newContext({ timezoneId });
  const page = await context.newPage();
  await page.clock.install({ time: now });
  await page.goto("/");
  await page.getByRole("link", { name: "Start" }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Open a gauge file" }).click();
  await page.getByLabel("Time zone for times without an offset").fill("Europe/Dublin");
  await page
    .getByLabel("File", { exact: true })
    .setInputFiles({ name: "home.csv", mimeType: "text/csv", buffer: gaugeUntil(Math.floor(now / HOUR) * HOUR) });
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await makeSmallReach(page, "Home pool");
  return page;
}

const NIGHTS = [
  // Clocks go back at 02:00 and on at 01:00 (Directive 2000/84/EC): the hour is fished whole either way.
  ["autumn, in Los Angeles", "America/Los_Angeles", Date.UTC(2026, 9, 25, 0, 40), /25 Oct.* 01:40/, "01:40"],
  ["spring, in Auckland", "Pacific/Auckland", Date.UTC(2026, 2, 29, 0, 40), /29 Mar.* 00:40/, "02:40"],
  ["autumn, at home", "Europe/Dublin", Date.UTC(2026, 9, 25, 0, 40), /25 Oct.* 01:40/, "01:40"],
] as const;

for (const [name, zone, start, began, ended] of NIGHTS)
  test(`the night that clocks change in ${name}: an hour is fished, by the water's clock`, async ({ browser }) => {
    const page = await somewhere(browser, zone, start);
    await beginSession(page);
    await page.clock.fastForward(60 * MINUTE);
    await endSession(page);
    await walk(page, "Log");
    const row = page.getByRole("listitem").filter({ hasText: "Home pool" }).first();
    await expect(row).toContainText(began);
    await expect(row).toContainText("1.0 h");
    await page
      .getByRole("button", { name: /^Edit the session/ })
      .first()
      .click();
    await expect(page.getByRole("dialog").getByLabel("To", { exact: true })).toHaveValue(new RegExp(`T?${ended}`));
    // Kept as it is, nothing moves.
    await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
    await expect(page.getByRole("dialog")).toBeHidden();
    await expect(row).toContainText("1.0 h");
    await page.context().close();
  });

test("Cast and Fish on are always within the screen, beside the same plan as on Reach", async ({ page }) => {
  await loadDemo(page, "/session");
  await beginSession(page);
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
    [360, 640],
    [844, 390],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.evaluate(() => window.scrollTo(0, 0));
    for (const name of ["Cast", "Fish on"])
      await expect(page.getByRole("button", { name, exact: true }), `${name} at ${width}x${height}`).toBeInViewport({
        ratio: 1,
      });
  }
});
