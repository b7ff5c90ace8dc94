import { expect, test } from "@playwright/test";
import { gaugeCsv } from "../src/standins/gauge";
import { chooseGauge, loadDemo } from "./steps";

const HOUR = 3_600_000;

test("the days ahead: when it is down to a flow, how far to believe it, and the same in a table", async ({ page }) => {
  await loadDemo(page);
  await expect(page.getByRole("heading", { name: "The days ahead" })).toBeVisible();
  await expect(page.getByText("Prime. The level is falling, with colour still in.")).toBeVisible();
  await expect(page.getByText(/Prime from now to .*, on \d+ % of the forecast paths\./)).toBeVisible();
  const day = (table: RegExp) => page.getByRole("table", { name: table }).getByRole("row", { name: /^24 h/ });
  await expect(day(/^Tested/)).toBeVisible({ timeout: 30_000 });
  // Rain known ahead cuts the error on rises.
  const [known, without] = (
    await day(/^Errors on rises/)
      .getByRole("cell")
      .allTextContents()
  ).map(parseFloat);
  expect(known!).toBeLessThan((2 / 3) * without!);
  const level = page.getByLabel("Flow at or below");
  await level.fill("9000 m3/s");
  await expect(page.getByText("It is there now.")).toBeVisible();
  await level.fill("0.1 cfs");
  await expect(page.getByText(/^Not expected within five days/)).toBeVisible();
  await level.fill("much");
  await expect(page.getByText("“much” doesn’t start with a number.")).toBeVisible();
  await page.getByText("Show as a table").click();
  await expect(page.getByRole("rowheader", { name: /, forecast$/ }).first()).toBeVisible();
  await expect(page.getByRole("cell", { name: /^about .* m³\/s$/ }).first()).toBeVisible();
});

test("the chart's span: presets, handles by keys, earlier and later; sources are one press away", async ({ page }) => {
  await loadDemo(page);
  const start = page.getByRole("slider", { name: "Start of the chart" });
  await expect(start).toBeVisible();
  const before = Number(await start.getAttribute("aria-valuenow"));
  await start.focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("PageDown");
  expect(Number(await start.getAttribute("aria-valuenow"))).toBeLessThan(before);
  await page.getByRole("button", { name: "Earlier" }).click();
  await page.getByRole("button", { name: "All", exact: true }).click();
  await expect(page.getByRole("button", { name: "All", exact: true })).toHaveAttribute("aria-pressed", "true");
  expect(await start.getAttribute("aria-valuenow")).toBe(await start.getAttribute("aria-valuemin"));
  await page.getByRole("button", { name: "Where “Clarity” comes from" }).click();
  await expect(page.getByText(/conversion fitted to \d of your readings/)).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByText(/conversion fitted to \d of your readings/)).toBeHidden();
});

test("readings of one's own: a body mark in one press with undo, and a discharge by timed floats", async ({ page }) => {
  await loadDemo(page);
  const fitted = page.getByText(/by \d+ readings of yours/);
  const count = async () => Number(/by (\d+) readings/.exec((await fitted.textContent())!)![1]);
  const before = await count();
  expect(before).toBeGreaterThan(2);
  await page.getByRole("button", { name: "How deep can you see?" }).click();
  await page.getByRole("button", { name: /^thigh/ }).click();
  await expect(page.getByText("visible to the thigh", { exact: false }).last()).toBeVisible();
  await expect.poll(count).toBe(before + 1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(count).toBe(before);
  await page.getByRole("button", { name: "Measure flow with a float" }).click();
  const dialog = page.getByRole("dialog", { name: "Flow at Kiln Glide" });
  await dialog.getByLabel("Wet width").fill("8 m");
  for (const [k, [distance, depth, run, seconds]] of [
    ["1.5", "0.4", "5", "11 12"],
    ["4", "3 ft", "5", "8.1"],
    ["9", "0.5", "5", "12"],
  ].entries()) {
    await dialog.getByLabel(`${k + 1}. From the edge`).fill(distance!);
    await dialog.getByLabel("Depth", { exact: true }).nth(k).fill(depth!);
    await dialog.getByLabel("Run", { exact: true }).nth(k).fill(run!);
    await dialog.getByLabel("Seconds, each pass").nth(k).fill(seconds!);
  }
  await expect(dialog.getByRole("alert")).toContainText(
    "Place 3: the distance from the edge must be within the river's width.",
  );
  await dialog.getByLabel("3. From the edge").fill("6.5");
  await expect(dialog.getByText(/within about ±\d+ %/)).toBeVisible();
  await dialog.getByRole("button", { name: "Save reading" }).click();
  await expect(page.getByText(/at Kiln Glide, saved\./).first()).toBeVisible();
});

test("this water: a dam is a caution, a band is judged, the tide is told; bad entries change nothing; undo", async ({
  page,
}) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Water settings" }).click();
  await page.getByLabel("Dam upstream: how it releases").fill("siren, then up 1 m in ten minutes");
  await page.getByLabel("Tide: constituents, one a line").fill("M2 lots 3");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("Line 1: give a constituent's name");
  await page.getByLabel("Tide: constituents, one a line").fill("M2 1.2 145\nS2 0.4 190");
  await page.getByLabel("Spot").fill("Back eddy");
  await page.getByLabel("From", { exact: true }).fill("0.1");
  await page.getByLabel("To", { exact: true }).fill("0.2 m3/s");
  await page.getByRole("button", { name: "Add band" }).click();
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/Dam above: siren, then up 1 m in ten minutes/)).toBeVisible();
  await expect(page.getByText(/^Tide: (flooding|ebbing|slack)/)).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Back eddy" })).toContainText("too high");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/Dam above: siren/)).toBeHidden();
});

test("columns matched by hand are remembered; several files join into one gauge; a stage gauge gets its flow from a rating", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Open a gauge file" }).first().click();
  const odd = (from: number) =>
    `when measured;Pegel cm;remark\n${Array.from({ length: 60 }, (_, k) => `${new Date(Date.now() - (from - k) * HOUR).toISOString().slice(0, 16)};${60 + (k % 7)};ok`).join("\n")}\n`;
  await chooseGauge(page, "odd.csv", odd(60));
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("No column is called time");
  await page.getByRole("combobox", { name: "What when measured holds" }).click();
  await page.getByRole("option", { name: "Time", exact: true }).click();
  await page.getByRole("combobox", { name: "What Pegel cm holds" }).click();
  await page.getByRole("option", { name: "Stage", exact: true }).click();
  await page.getByRole("button", { name: "Apply" }).click();
  await expect(page.getByRole("rowheader", { name: "stage" })).toBeVisible();
  await page
    .getByLabel("File", { exact: true })
    .setInputFiles(
      [100, 60].map((from, k) => ({ name: `odd-${k}.csv`, mimeType: "text/csv", buffer: Buffer.from(odd(from)) })),
    );
  await expect(page.getByRole("row", { name: /^stage 100 none 0\.60 m 0\.66 m$/ })).toBeVisible();
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/on the gauge and .*; no discharge/).first()).toBeVisible();
  await expect(page.getByRole("img", { name: /^Stage against time/ })).toBeVisible();
  await page.getByText("Show as a table").click();
  await expect(page.getByRole("columnheader", { name: "Stage" })).toBeVisible();
  await page.getByRole("button", { name: "Water settings" }).click();
  await page.getByLabel("Latitude of the gauge").fill("53.2");
  await page.getByLabel("Longitude", { exact: true }).fill("-7.4");
  await page.getByLabel("Rating: measured stage").fill("0.3, 0.5\n0.5, 2.1\n0.8, 6.2\n1.1, 12");
  await expect(page.getByText(/^Q = .*4 pairs/)).toBeVisible();
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/from stage by your rating/)).toBeVisible();
  await expect(page.getByRole("rowheader", { name: "Today" })).toBeVisible();
});

test("WaterML 2.0 comes in as other files do", async ({ page }) => {
  const rows = gaugeCsv(Date.now() - 48 * HOUR, Date.now())
    .trim()
    .split("\n")
    .slice(1)
    .map((line) => line.split(","));
  const xml = `<?xml version="1.0"?><wml2:Collection xmlns:wml2="http://www.opengis.net/waterml/2.0" xmlns:om="http://www.opengis.net/om/2.0" xmlns:xlink="http://www.w3.org/1999/xlink"><wml2:observationMember><om:OM_Observation><om:observedProperty xlink:title="Discharge"/><om:featureOfInterest xlink:title="Made up weir"/><om:result><wml2:MeasurementTimeseries><wml2:defaultPointMetadata><wml2:DefaultTVPMeasurementMetadata><wml2:uom code="m3/s"/></wml2:DefaultTVPMeasurementMetadata></wml2:defaultPointMetadata>${rows.map(([time, q]) => `<wml2:point><wml2:MeasurementTVP><wml2:time>${time}</wml2:time><wml2:value>${q}</wml2:value></wml2:MeasurementTVP></wml2:point>`).join("\n")}</wml2:MeasurementTimeseries></om:result></om:OM_Observation></wml2:observationMember></wml2:Collection>`;
  await page.goto("/");
  await page.getByRole("button", { name: "Open a gauge file" }).first().click();
  await chooseGauge(page, "weir.xml", xml);
  await expect(page.getByRole("row", { name: new RegExp(`^discharge ${rows.length} none `) })).toBeVisible();
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("heading", { name: "Made up weir" })).toBeVisible();
});
