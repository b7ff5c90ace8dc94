import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import type { Whereabouts } from "../src/core/fish/lie-place";
import { sampleRun } from "../src/testing/reach-samples";
import { wayName } from "../src/words/methods";
import { whereaboutsWords } from "../src/words/place";
import { landFish, loadDemo, settled, walk } from "./steps";

/** A run of its own, without a gauge: both sides read it at the flow, clarity and warmth that are taken then. */
const REACH = { ...sampleRun, name: "Compared run" };
const FLOW = 5;

interface Told {
  lies: {
    place: string;
    whereabouts: Whereabouts;
    kind: string;
    depth: number;
    focalSpeed: number;
    reasons: string[];
  }[];
  stands: { school: string; distance: number; wadingDepth: number; whereabouts: Whereabouts }[];
  ways: { method: string; school: string; seconds: number }[];
  rig: { method: string; reasons: string[]; lure: { size: string; colours: string[] } };
}

test("the command line and the screens give the same lies, stand and rig for the same question", async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), "heron-same-"));
  const file = join(folder, "reach.json");
  writeFileSync(file, JSON.stringify(REACH));
  const told = JSON.parse(
    execFileSync("node", ["cli/heron.mjs", "read", file, "--discharge", String(FLOW), "--species", "brown-trout"], {
      encoding: "utf8",
      maxBuffer: 64e6,
    }),
  ) as Told;
  expect(told.lies.length).toBeGreaterThan(2);
  const below = told.stands.find((one) => one.school === "from-below")!;
  expect(below).toBeDefined();

  await page.goto("/");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Reach file").setInputFiles(file);
  await expect(page.getByText("Compared run saved.").first()).toBeVisible();
  rmSync(folder, { recursive: true });
  await walk(page, "Reach");
  await settled(page);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(`Compared run at ${FLOW.toFixed(1)} m³/s`);
  const rows = page.getByRole("list", { name: "Lies in order of rank" }).getByRole("listitem");
  await expect(rows).toHaveCount(told.lies.length);
  for (const [k, lie] of told.lies.entries()) {
    const row = rows.nth(k);
    await expect(row).toContainText(lie.place);
    // A trout rests where it does not pay to feed: the screens call that shelter.
    await expect(row).toContainText(lie.kind === "resting" ? "shelter" : lie.kind);
    await expect(row).toContainText(whereaboutsWords(lie.whereabouts, "metric"));
    await expect(row).toContainText(`${lie.depth.toFixed(2)} m deep`);
    await expect(row).toContainText(`${lie.focalSpeed.toFixed(2)} m/s`);
  }
  for (const reason of told.lies[0]!.reasons) await expect(page.getByText(reason, { exact: true })).toBeVisible();
  const approach = page.getByRole("region", { name: /^Approach to lie/ });
  await expect(approach).toContainText(
    below.wadingDepth > 0 ? `Stand ${below.wadingDepth.toFixed(2)} m deep` : "Stand on the bank",
  );
  await expect(approach).toContainText(
    `${below.distance.toFixed(1)} m from the lie: ${whereaboutsWords(below.whereabouts, "metric")}`,
  );

  await page.getByRole("link", { name: /^Rig for lie/ }).click();
  await expect(page.getByTestId("setting")).toBeVisible({ timeout: 60_000 });
  // Every way, in the same order, with the same seconds near the fish.
  const ways = page.getByTestId("ways").getByRole("row");
  await expect(ways).toHaveCount(told.ways.length + 1);
  for (const [k, way] of told.ways.entries()) {
    await expect(ways.nth(k + 1)).toContainText(wayName(way as Parameters<typeof wayName>[0]));
    await expect(ways.nth(k + 1)).toContainText(way.seconds.toFixed(1));
  }
  const card = page.getByRole("region", { name: "Rig card" });
  await expect(card).toContainText(told.rig.lure.size);
  for (const colour of told.rig.lure.colours.slice(0, 4)) await expect(card).toContainText(colour);
  await page.getByText("Why", { exact: true }).click();
  for (const reason of told.rig.reasons) await expect(page.getByText(reason, { exact: true }).first()).toBeVisible();
});

test("a key is held on a stone in one tab while it is renamed in another: both are there", async ({ context }) => {
  const folder = mkdtempSync(join(tmpdir(), "heron-tabs-"));
  const file = join(folder, "reach.json");
  writeFileSync(file, JSON.stringify(REACH));
  const [one, other] = [await context.newPage(), await context.newPage()];
  await one.goto("/");
  await one.getByRole("button", { name: "Add a reach" }).click();
  await one.getByLabel("Reach file").setInputFiles(file);
  await expect(one.getByText("Compared run saved.").first()).toBeVisible();
  rmSync(folder, { recursive: true });
  await walk(one, "Reach");
  await other.goto("/reach");
  for (const page of [one, other]) await page.getByRole("button", { name: "Edit the bed" }).click();
  const stone = one.getByRole("button", { name: /^Stone, .* down the reach/ });
  await one.bringToFront();
  await stone.focus();
  const STEPS = 25;
  const held = (async () => {
    for (let k = 0; k < STEPS; k++) {
      await one.keyboard.down("ArrowRight");
      // As a held key repeats: the flow is being solved anew meanwhile, and the stone must stay under the hand.
      await one.waitForTimeout(40);
    }
    await one.keyboard.up("ArrowRight");
  })();
  await other.getByRole("button", { name: /^Stone, .* down the reach/ }).click();
  const name = other.getByLabel("Name", { exact: true });
  await name.fill("Old pulpit");
  await name.press("Enter");
  await held;
  const place = (26 + 0.5 * STEPS).toFixed(1);
  for (const page of [one, other])
    await expect(page.getByRole("button", { name: new RegExp(`^Old pulpit, ${place} m down`, "i") })).toBeVisible({
      timeout: 60_000,
    });
});

test("a screen that cannot be drawn is told in its place, and the other stations go on", async ({ page }) => {
  await loadDemo(page, "/help");
  await expect(page.getByTestId("demo-tag")).toBeVisible();
  // A record that no version of the application would write: a session at no time at all.
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open("low-heron");
        opening.onerror = () => reject(opening.error!);
        opening.onsuccess = () => {
          const write = opening.result.transaction("sessions", "readwrite");
          write.objectStore("sessions").put({ id: "broken", reach: "x", start: "never", end: "never", rods: 1 });
          write.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
  );
  await page.goto("/log");
  await expect(page.getByRole("alert").filter({ hasText: "Log couldn’t be shown" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Retry" })).toBeVisible();
  // The book can be saved from there, and what of it could not come in again is told.
  const saving = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save a backup" }).click();
  expect((await saving).suggestedFilename()).toMatch(/^low-heron-.*\.zip$/);
  await expect(page.getByText(/1 record can’t be restored from it\. sessions\.jsonl, line 1/)).toBeVisible();
  await page.getByRole("link", { name: "Learn", exact: true }).click();
  await expect(page.getByRole("heading", { name: /Fish per hour/ })).toBeVisible();
});

test("a write that fails is told, nothing is lost of what was typed, and it can be tried again", async ({ page }) => {
  await page.addInitScript(() => {
    const state = window as unknown as { full?: boolean };
    for (const method of ["put", "add"] as const) {
      const own = IDBObjectStore.prototype[method];
      IDBObjectStore.prototype[method] = function (this: IDBObjectStore, ...rest) {
        if (state.full) throw new DOMException("no room", "QuotaExceededError");
        return own.apply(this, rest);
      };
    }
  });
  const full = (is: boolean) => page.evaluate((to) => ((window as unknown as { full?: boolean }).full = to), is);
  await loadDemo(page, "/session");
  await page.getByRole("button", { name: "Start a session" }).waitFor();
  await full(true);
  await page.getByRole("button", { name: "Start a session" }).click();
  await expect(page.getByRole("alert").filter({ hasText: /storage is full/ })).toBeVisible();
  await expect(page.getByRole("heading", { name: "No session running" })).toBeVisible();
  await full(false);
  await page.getByRole("button", { name: "Start a session" }).click();
  await landFish(page);
  await page.getByRole("button", { name: "All details" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Lure or bait").fill("grey nymph");
  await full(true);
  await dialog.getByRole("button", { name: "Save", exact: true }).click();
  await expect(dialog.getByRole("alert")).toBeVisible();
  await expect(dialog.getByLabel("Lure or bait")).toHaveValue("grey nymph");
  await full(false);
  await dialog.getByRole("button", { name: "Save", exact: true }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(/grey nymph/).first()).toBeVisible();
});

test("a book that cannot be opened is told, and not taken for an empty one", async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException("refused", "SecurityError");
    };
  });
  await page.goto("/water");
  await expect(page.getByRole("alert").filter({ hasText: "The log couldn’t be opened" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Retry" })).toBeVisible();
  await expect(page.getByText("The log is empty")).toBeHidden();
});

test("what a station has shown before it shows again without working anything out; deleted, the same is worked out anew", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const made = Worker;
    const counted = globalThis as unknown as { workers: number };
    counted.workers = 0;
    globalThis.Worker = class extends made {
      constructor(...args: ConstructorParameters<typeof Worker>) {
        super(...args);
        counted.workers++;
      }
    };
  });
  const workers = () => page.evaluate(() => (globalThis as unknown as { workers: number }).workers);
  const card = async () => {
    await expect(page.getByTestId("setting")).toBeVisible({ timeout: 60_000 });
    return page.getByRole("main").innerText();
  };
  await loadDemo(page, "/rig");
  const first = await card();
  expect(await workers()).toBe(0);
  await page.getByRole("button", { name: /Settings/ }).click();
  await page.getByRole("button", { name: "Delete saved calculations" }).click();
  await expect(page.getByRole("dialog")).toContainText("None.");
  await page.reload();
  expect(await card()).toBe(first);
  expect(await workers()).toBeGreaterThan(0);
});
