import { expect, type Page, test } from "@playwright/test";
import { beginSession, endSession, landFish, noFaults, release, settled } from "./steps";

/**
 * The first hour of a new angler, on an empty book: their own gauge in cfs with the month first, their own reach, five
 * fish at three flows, a day's log, the book saved, the reach deleted and restored. Whatever is said on the way must
 * follow from the figures beside it. All rules: common practice, no source, unless said otherwise.
 */

const FLOWS = ["110 cfs", "200 cfs", "400 cfs"];
const FISH = ["Brown trout", "Steelhead on the run", "Smallmouth bass", "Walleye", "Channel catfish"];
/** A figure with a metric unit. */
const METRIC = /\d\s?(m|cm|mm|km|m²|m³\/s|m\/s|m²\/s|kg|°C)(?![\w/²³])/;

/** Forty days of hourly readings up to now, as a North American angler's spreadsheet has them. */
function ownGauge(): string {
  const rows = ["Date,Flow (cfs),Gage height (ft),Water temp (F)"];
  const last = Math.floor(Date.now() / 3_600_000) * 3_600_000;
  for (let hour = 40 * 24; hour >= 0; hour--) {
    const at = new Date(last - hour * 3_600_000);
    const since = (40 * 24 - hour) % 240;
    const flow = since < 10 ? 120 + 30 * since : 120 + 300 * Math.exp(-(since - 10) / 50);
    const [month, day] = [at.getUTCMonth() + 1, at.getUTCDate()];
    const [hours, half] = [at.getUTCHours() % 12 || 12, at.getUTCHours() < 12 ? "AM" : "PM"];
    rows.push(
      `${month}/${day}/${at.getUTCFullYear()} ${hours}:00 ${half},${flow.toFixed(0)},${(2 + flow / 200).toFixed(2)},52`,
    );
  }
  return `${rows.join("\n")}\n`;
}

const bodyText = (page: Page) => page.locator("body").innerText();

/** No metre in US units, wherever one looks. */
async function onlyUsUnits(page: Page): Promise<void> {
  const lines = (await bodyText(page)).split("\n").filter((line) => METRIC.test(line));
  expect(lines).toEqual([]);
}

/** What Reach says of the chosen lie contradicts neither its list, its figures nor itself. */
async function noContradiction(page: Page, flow: number): Promise<void> {
  const list = page.getByRole("list", { name: "Lies in order of rank" });
  const count = await list.getByRole("button").count();
  expect(count).toBeLessThanOrEqual(7);
  for (let k = 0; k < Math.min(count, 3); k++) {
    const row = list.getByRole("button").nth(k);
    await row.click();
    const words = await row.innerText();
    const why = page.locator("#why-this-lie");
    await expect(why.getByText(/^(Score|Score 0)/)).toBeVisible();
    const score = /^Score ([\d,]+)/m.exec(await why.innerText())?.[1];
    if (/prime|feeding/.test(words)) expect(Number(score?.replaceAll(",", ""))).toBeGreaterThan(0);
    // The band of a lie holds the flow that it is told at.
    const band =
      /^Fishes (?:between ([\d,.]+) cfs and ([\d,.]+) cfs|up to ([\d,.]+) cfs|from ([\d,.]+) cfs up|at every)/m.exec(
        await why.innerText(),
      );
    if (band && !/shelter/.test(words)) {
      const [low, high] = [band[1] ?? band[4] ?? "0", band[2] ?? band[3] ?? "1e9"].map((text) =>
        Number(text.replaceAll(",", "")),
      ) as [number, number];
      expect(low).toBeLessThanOrEqual(flow * 1.02);
      expect(high).toBeGreaterThanOrEqual(flow * 0.98);
    }
    // The casts of the list are those that were promised.
    const approach = page.getByRole("region", { name: /^Approach to lie/ });
    const time = page.getByRole("region", { name: /^Time for lie/ });
    await expect(time).toBeVisible();
    const promised = /(\d+) (?:casts?|baits?)/.exec(await time.innerText())![1]!;
    const told = [...(await approach.innerText()).matchAll(/: (\d+) (?:casts?|baits?), /g)].map(([, n]) => Number(n));
    if (told.length > 0) expect(told.reduce((a, b) => a + b, 0)).toBe(Number(promised));
  }
}

test("the first hour: own gauge, own reach, five fish at three flows, a day, saved, deleted, restored, without a contradiction", async ({
  page,
}) => {
  test.setTimeout(300_000);
  page.setDefaultTimeout(30_000);
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
  await noFaults(page);
  // Settings and a saved book are there from the first page on.
  await page.getByRole("button", { name: "Open a backup" }).click();
  await page.getByRole("combobox", { name: "Units" }).click();
  await page.getByRole("option", { name: "US customary" }).click();
  await noFaults(page);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();

  await page.getByRole("button", { name: "Open a gauge file" }).click();
  await page.getByLabel("Time zone for times without an offset").fill("UTC");
  await page
    .getByLabel("File", { exact: true })
    .setInputFiles({ name: "creek.csv", mimeType: "text/csv", buffer: Buffer.from(ownGauge()) });
  await expect(page.getByText(/were read with the month first/)).toBeVisible();
  await onlyUsUnits(page);
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("heading", { name: "creek" })).toBeVisible();
  // Forty days say nothing of what is usual for the season, and no percentage is given.
  await expect(page.getByText(/of the 3 years of record/)).toBeVisible();
  await expect(page.getByText(/for the season: exceeded/)).toHaveCount(0);
  await expect(page.getByRole("region", { name: "The river now" })).toContainText(/\d\.\d\d\s*ft/);
  await onlyUsUnits(page);
  await noFaults(page);

  await page.getByRole("link", { name: "Reach" }).click();
  await page.getByRole("button", { name: "Add a reach" }).first().click();
  await page.getByLabel("Name", { exact: true }).fill("Home pool");
  await page.getByLabel("Length", { exact: true }).fill("220 ft");
  await page.getByLabel("Channel width").fill("36 ft");
  await expect(page.getByRole("img", { name: /^The bed from above/ })).toBeVisible();
  await onlyUsUnits(page);
  await noFaults(page);
  await page.getByRole("button", { name: "Add reach" }).click();
  await settled(page);
  await noFaults(page);
  for (const flow of FLOWS) {
    await page.getByLabel("Flow to show", { exact: true }).fill(flow);
    await page.getByLabel("Flow to show", { exact: true }).press("Enter");
    await expect(page.getByRole("heading", { level: 1 })).toHaveText(`Home pool at ${flow}`);
    await settled(page);
    for (const fish of FISH) {
      await page.getByRole("combobox", { name: "Fish", exact: true }).click();
      await page.getByRole("option", { name: fish, exact: true }).click();
      await expect(page.getByText(/^(Lies for|No spot stands out for a) /)).toContainText(fish.toLowerCase());
      if ((await page.getByRole("list", { name: "Lies in order of rank" }).count()) === 0) continue;
      await noContradiction(page, parseFloat(flow));
      await onlyUsUnits(page);
    }
  }

  await page.getByRole("link", { name: /^Rig for lie/ }).click();
  await expect(page.getByTestId("setting")).toBeVisible();
  await noFaults(page);
  await beginSession(page);
  await noFaults(page);
  await onlyUsUnits(page);
  await landFish(page);
  await noFaults(page);
  await onlyUsUnits(page);
  await release(page);
  await endSession(page);
  await onlyUsUnits(page);
  await page.getByRole("link", { name: "Log", exact: true }).click();
  for (const tab of ["Fish", "Calendar", "Bests", "Spots", "Rules", "Sessions"]) {
    await page.getByRole("tab", { name: tab }).click();
    await expect(page.getByRole("tabpanel")).toBeVisible();
    await noFaults(page);
    await onlyUsUnits(page);
  }
  await page.getByRole("link", { name: "Learn" }).click();
  await expect(page.getByTestId("rates")).toContainText("Counted per hour");
  await noFaults(page);

  // Saved, deleted, restored.
  await page.getByRole("button", { name: "Settings and backup" }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save a backup" }).click(),
  ]);
  await page.getByRole("button", { name: "Remove Home pool" }).click();
  await expect(page.getByRole("button", { name: "Remove Home pool" })).toBeHidden();
  await page.getByLabel("Backup file").setInputFiles(await download.path());
  await page.getByRole("radio", { name: /^Restore it exactly: 1 record deleted since comes back/ }).check();
  await page.getByRole("button", { name: "Restore" }).click();
  await expect(page.getByRole("button", { name: "Remove Home pool" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.getByRole("link", { name: "Reach" }).click();
  await expect(page.getByRole("combobox", { name: "Reach", exact: true })).toContainText("Home pool");
});
