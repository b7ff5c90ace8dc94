import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, expect, test } from "@playwright/test";
import { chromiumPath } from "../scripts/chromium.mjs";
import {
  beginSession,
  chooseGauge,
  endSession,
  gaugeText,
  landFish,
  loadDemo,
  makeSmallReach,
  release,
  settled,
} from "./steps";

test("from a gauge file to the chart: water, reach, lie, rig, catch, rates", async ({ page }) => {
  const faults: string[] = [];
  page.on("pageerror", (error) => faults.push(String(error)));
  page.on("console", (message) => message.type() === "error" && faults.push(message.text()));

  // The same file through the interface and through the command line gives the same figures.
  const text = gaugeText();
  const folder = mkdtempSync(join(tmpdir(), "heron-e2e-"));
  writeFileSync(join(folder, "gauge.csv"), text);
  // At the present instant, as the page has it: a trend near its dead band differs between the last reading and some
  // minutes after it.
  const told = JSON.parse(
    execFileSync("node", ["cli/heron.mjs", "gauge", join(folder, "gauge.csv"), "--at", new Date().toISOString()], {
      encoding: "utf8",
    }),
  ) as {
    series: { count: number; gaps: { count: number }; max: number }[];
    now: {
      discharge: number;
      stage: number;
      exceedance: number;
      waterTemperature: number;
      trend: string;
      visibleDepth: number;
    };
  };
  rmSync(folder, { recursive: true });

  await page.goto("/");
  await page.getByRole("button", { name: "Open a gauge file" }).click();
  await chooseGauge(page, "gauge.csv", text);
  const row = page.getByRole("row", { name: /^discharge/ });
  await expect(row).toContainText(told.series[0]!.count.toLocaleString("en-GB"));
  await expect(row).toContainText(told.series[0]!.gaps.count === 0 ? "none" : String(told.series[0]!.gaps.count));
  await page.getByLabel("Gauge name").fill("Test beck");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("heading", { name: "Test beck" })).toBeVisible();
  const now = page.getByRole("region", { name: "The river now" });
  await expect(now).toContainText(told.now.discharge.toFixed(told.now.discharge < 1 ? 2 : 1));
  await expect(now).toContainText(told.now.stage.toFixed(2));
  await expect(now).toContainText(`${Math.round(told.now.exceedance * 100)} %`);
  await expect(now).toContainText(told.now.waterTemperature.toFixed(1));
  await expect(now).toContainText(told.now.trend);
  await expect(now).toContainText(`${told.now.visibleDepth.toFixed(2)} m`);

  await page.getByRole("link", { name: "Reach" }).click();
  await makeSmallReach(page, "Test pool");
  // A picture comes on the coarse grid before the fine one has settled.
  await expect(page.getByRole("button", { name: /^Lie 1,/ })).toBeVisible({ timeout: 60_000 });
  await settled(page);
  const lies = page.getByRole("list", { name: "Lies in order of rank" }).getByRole("button");
  await expect(lies.nth(2)).toBeVisible();
  await lies.nth(1).click();
  await expect(page.getByRole("heading", { name: "Why lie 2" })).toBeVisible();

  await page.getByRole("link", { name: /Rig for lie 2/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Lie 2");
  const setting = parseFloat((await page.getByTestId("setting").textContent())!);
  expect(setting).toBeGreaterThan(0.05);
  await expect(page.getByRole("list", { name: "Colours, best first" }).getByRole("listitem").first()).toBeVisible();

  await page.getByRole("link", { name: "Session" }).click();
  await page.getByRole("button", { name: "Start a session" }).click();
  await landFish(page);
  await page.getByLabel("Length, cm").fill("14 in");
  await page.getByLabel("Length, cm").press("Enter");
  await expect(page.getByRole("heading", { name: /36 cm/ })).toBeVisible();
  await page.getByRole("button", { name: "All details" }).click();
  await expect(page.getByRole("dialog")).toContainText("From the gauge:");
  await page.keyboard.press("Escape");
  await release(page);
  await endSession(page);
  await page.getByRole("link", { name: "Log" }).click();
  // A blank, already over: it must count as hours.
  await page.getByRole("button", { name: "Log a past session" }).click();
  await page.getByRole("button", { name: "Save session" }).click();

  await page.getByRole("link", { name: "Learn" }).click();
  await expect(page.getByText("2 rod-hours, 1 fish", { exact: false })).toBeVisible();
  await expect(page.getByRole("img", { name: /Catches per rod-hour/ })).toBeVisible();
  await expect(page.getByTestId("rates").getByRole("row")).not.toHaveCount(1);
  expect(faults).toEqual([]);
});

test("killing the browser right after a catch is logged loses nothing", async ({ baseURL }) => {
  const folder = mkdtempSync(join(tmpdir(), "heron-kill-"));
  const launch = {
    executablePath: chromiumPath(),
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--remote-debugging-port=0"],
    baseURL,
  };
  try {
    const first = await chromium.launchPersistentContext(folder, launch);
    const page = await first.newPage();
    await loadDemo(page, "/session");
    await beginSession(page);
    await landFish(page);
    // No goodbye: every process of that browser is killed outright.
    execFileSync("pkill", ["-9", "-f", `user-data-dir=${folder}`]);
    await first.close().catch(() => undefined);

    const second = await chromium.launchPersistentContext(folder, launch);
    const again = await second.newPage();
    await again.goto("/session");
    await expect(again.getByRole("region", { name: "The fish", exact: true })).toBeVisible();
    await second.close();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
