import { readFileSync } from "node:fs";
import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";
import { DEMO_HOUR } from "../src/demo/hour";
import { gaugeCsv } from "../src/standins/gauge";
import { SOON } from "../src/widgets/one-tap";

const HOUR = 3_600_000;

/**
 * Three years and a bit of the stand-in's gauge, as a file an angler might have: it ends at this hour, and the river is
 * as in the demo's own hour, falling, whatever day it is.
 */
export function gaugeText(): string {
  const shift = Math.floor(Date.now() / HOUR) * HOUR - Math.floor(DEMO_HOUR / HOUR) * HOUR;
  const [header, ...rows] = gaugeCsv(DEMO_HOUR - 1200 * 24 * HOUR, DEMO_HOUR)
    .trim()
    .split("\n");
  const moved = rows.map((row) => {
    const [time, ...values] = row.split(",");
    return [new Date(Date.parse(time!) + shift).toISOString(), ...values].join(",");
  });
  return `${[header, ...moved].join("\n")}\n`;
}

/**
 * What a browser holds once the demo river is loaded, once its reach is solved too, and once every station has been
 * seen (demo.setup.ts).
 */
export const DEMO_STATE = {
  loaded: "test-results/demo-loaded.json",
  solved: "test-results/demo-solved.json",
  seen: "test-results/demo-seen.json",
};

const riverShown = (page: Page) => expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();

/** Loads the demo river as an angler does. */
export async function loadDemoByHand(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Load the demo river" }).click();
  await riverShown(page);
}

/** A hand that looks first: a tap sooner on what has just come up is not taken (widgets/one-tap.ts). */
export const nextTap = (page: Page): Promise<void> => page.waitForTimeout(SOON + 100);

interface Held {
  origins: { localStorage: { name: string; value: string }[]; indexedDB: { name: string }[] }[];
}

/**
 * Opens a station with the demo river as it was loaded once for all: half of a test would go by with loading it.
 * Its stations have been seen before, unless asked otherwise; nothing is worked out ahead, unless asked for.
 */
export async function loadDemo(
  page: Page,
  path = "/water",
  { before = "seen", ahead = false }: { before?: keyof typeof DEMO_STATE; ahead?: boolean } = {},
): Promise<void> {
  const held = JSON.parse(readFileSync(DEMO_STATE[before], "utf8")) as Held;
  const settings = held.origins[0]!.localStorage.find(({ name }) => name === "low-heron-settings")!;
  const kept = JSON.parse(settings.value) as { state: { demo: object; ahead?: string } };
  // What was read of the solved water is not known yet.
  if (before === "solved")
    held.origins[0]!.indexedDB = held.origins[0]!.indexedDB.filter((one) => one.name === "low-heron");
  // Its own hour begins now.
  kept.state.demo = { ...kept.state.demo, loadedAt: Date.now() };
  if (ahead) delete kept.state.ahead;
  settings.value = JSON.stringify(kept);
  await page.context().setStorageState(held as never);
  await page.goto(path);
  if (path === "/water") await riverShown(page);
}

/** Goes on to another station as an angler does: what the page has worked out goes with it, unlike by a new load. */
export async function walk(page: Page, station: string): Promise<void> {
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: station, exact: true }).click();
  await page.waitForURL(`**/${station.toLowerCase()}`);
}

/** Gives the gauge dialog a file. */
export async function chooseGauge(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page
    .getByLabel("File", { exact: true })
    .setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(content) });
}

/** Makes a small reach from the template, so that it is solved quickly. */
export async function makeSmallReach(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Length", { exact: true }).fill("60 m");
  await page.getByLabel("Channel width").fill("33 ft");
  await page.getByRole("button", { name: "Add reach" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
}

export const settled = async (page: Page) => {
  await expect(page.getByText(/^(Steady|Not steady)/)).toBeVisible({ timeout: 120_000 });
  // And read: the lies of the field before may stand for a moment longer.
  await expect(page.getByText(/Seams and lies are still for/)).toBeHidden({ timeout: 30_000 });
};

/**
 * Nothing on the page that a screen reader or a keyboard would stumble over. Of what is in order nothing is told, and
 * no second page is opened to put frames together, of which there are none: most of the time would go by with that.
 */
export async function noFaults(page: Page, where = ""): Promise<void> {
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"] });
  const { violations } = await axe.analyze();
  expect(
    violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`),
    where,
  ).toEqual([]);
}

/** Looks at another flow than the one that is shown, by keys; what was said of the first. */
export async function otherFlow(page: Page): Promise<string> {
  const field = page.getByLabel("Flow to show", { exact: true });
  const first = await field.inputValue();
  for (let press = 0; press < 4; press++) await page.keyboard.press("]");
  await expect(field).not.toHaveValue(first);
  return first;
}

/** Starts a session at the first lie. */
export async function beginSession(page: Page): Promise<void> {
  await walk(page, "Session");
  await page.getByRole("button", { name: "Start a session" }).click();
  await expect(page.getByRole("button", { name: "Fish on" })).toBeVisible();
}

/** Lands a fish: two taps. A press within half a second on what has just come up is not taken. */
export async function landFish(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Fish on" }).click();
  await expect(page.getByRole("region", { name: "A fish is on" })).toBeVisible();
  await nextTap(page);
  await page.getByRole("button", { name: "Landed", exact: true }).click();
  await expect(page.getByRole("region", { name: "The fish", exact: true })).toBeVisible();
}

/** Lets the fish go, and goes on. */
export async function release(page: Page): Promise<void> {
  await nextTap(page);
  await page.getByRole("button", { name: "Released, repeat the cast" }).click();
  await expect(page.getByRole("button", { name: "Fish on" })).toBeVisible();
}

export async function endSession(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Actions", exact: true }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "End the session" }).click();
  await expect(page.getByRole("heading", { name: "No session running" })).toBeVisible();
}
