import { readFileSync } from "node:fs";
import { expect, type Locator, type Page, test } from "@playwright/test";
import {
  beginSession,
  endSession,
  landFish,
  loadDemo,
  makeSmallReach,
  nextTap,
  noFaults,
  release,
  settled,
  walk,
} from "./steps";

/** A page whose disk can be full, or break off its transactions: writes of the book then fail as a browser's do. */
async function withDisk(
  page: Page,
): Promise<{ full: () => Promise<void>; aborts: () => Promise<void>; roomy: () => Promise<void> }> {
  await page.addInitScript(() => {
    const disk = window as unknown as { disk?: "full" | "aborts" | "roomy" };
    for (const write of ["put", "add"] as const) {
      const own = IDBObjectStore.prototype[write];
      IDBObjectStore.prototype[write] = function (...given: Parameters<typeof own>) {
        if (this.name !== "fields" && disk.disk === "full") throw new DOMException("no room", "QuotaExceededError");
        const request = own.apply(this, given);
        if (this.name !== "fields" && disk.disk === "aborts") this.transaction.abort();
        return request;
      };
    }
  });
  const set = (disk: string) =>
    page.evaluate((to) => {
      Object.assign(window, { disk: to });
    }, disk);
  return { full: () => set("full"), aborts: () => set("aborts"), roomy: () => set("roomy") };
}

const FULL = /The browser’s storage is full/;
const told = (page: Page): Locator => page.getByRole("alert").filter({ hasText: FULL }).last();

/** What fails is told as a notice; tried again when there is room, it is done. */
async function failsThenDone(page: Page, disk: Awaited<ReturnType<typeof withDisk>>, press: Locator, done: Locator) {
  await disk.full();
  await press.click();
  await expect(told(page)).toBeVisible();
  await expect(done).toBeHidden();
  await disk.roomy();
  await page.getByRole("button", { name: "Retry" }).last().click();
  await expect(done).toBeVisible();
  const close = page.getByRole("button", { name: "Dismiss notice" });
  while ((await close.count()) > 0) await close.first().click();
}

test("what a full disk refuses on the Log is told, kept and done when it is tried again", async ({ page }) => {
  const disk = await withDisk(page);
  await loadDemo(page, "/session");
  await failsThenDone(
    page,
    disk,
    page.getByRole("button", { name: "Start a session" }),
    page.getByRole("button", { name: "Fish on" }),
  );
  await failsThenDone(
    page,
    disk,
    page.getByRole("button", { name: "Cast", exact: true }),
    page.getByText(/^\d\d:\d\d cast 1, /),
  );
  await failsThenDone(
    page,
    disk,
    page.getByRole("button", { name: "Fish on" }),
    page.getByRole("region", { name: "A fish is on" }),
  );
  await failsThenDone(
    page,
    disk,
    page.getByRole("button", { name: "Landed", exact: true }),
    page.getByRole("region", { name: "The fish", exact: true }),
  );

  // A dialog stays, with what was typed.
  await page.getByRole("button", { name: "All details" }).click();
  await page.getByLabel("Lure or bait").fill("brown jig");
  await disk.full();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("alert").filter({ hasText: FULL })).toBeVisible();
  await expect(dialog.getByLabel("Lure or bait")).toHaveValue("brown jig");
  await noFaults(page);
  await disk.roomy();
  await dialog.getByRole("button", { name: "Save", exact: true }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(/brown jig/).first()).toBeVisible();
  await release(page);
  await endSession(page);
  await walk(page, "Log");
  await page.getByRole("button", { name: "Log a past session" }).click();
  await disk.full();
  await page.getByRole("button", { name: "Save session" }).click();
  await expect(dialog.getByRole("alert").filter({ hasText: FULL })).toBeVisible();
  await disk.roomy();
  await page.getByRole("button", { name: "Save session" }).click();
  await expect(dialog).toBeHidden();

  const removed = page.getByText("Session deleted.");
  await failsThenDone(page, disk, page.getByRole("button", { name: "delete" }).last(), removed.first());
});

test("transactions that break off are told, and every entry waits until it is tried again", async ({ page }) => {
  const disk = await withDisk(page);
  await loadDemo(page, "/session");
  await beginSession(page);
  await disk.aborts();
  for (let bite = 0; bite < 2; bite++) {
    await page.getByRole("button", { name: "Bite", exact: true }).click();
    await expect(page.getByRole("alert").filter({ hasText: "couldn’t save this" })).toBeVisible();
    await nextTap(page);
  }
  await expect(page.getByText("2 entries are waiting to be saved.")).toBeVisible();
  expect(await bites(page)).toBe(0);
  await disk.roomy();
  await page.getByRole("button", { name: "Retry" }).click();
  await expect.poll(() => bites(page)).toBe(2);
});

test("a station that cannot be fetched is told, and comes when it is tried again", async ({ page }) => {
  await loadDemo(page);
  const chunks = /_next\/static\/chunks\/.*\.js/;
  await page.route(chunks, (route) => route.abort());
  await page.getByRole("link", { name: "Log", exact: true }).click();
  await expect(page.getByRole("alert").filter({ hasText: "could not be loaded" })).toBeVisible();
  await expect(page.getByText("6.7", { exact: false }).first()).toBeVisible();
  await page.unroute(chunks);
  await page.getByRole("button", { name: "Retry" }).click();
  await expect(page.getByRole("tab", { name: "Sessions" })).toBeVisible();
});

test("what a full disk refuses on Water, Reach and in the book is told and kept", async ({ page }) => {
  const disk = await withDisk(page);
  await loadDemo(page);
  const dialog = page.getByRole("dialog");
  const inDialog = dialog.getByRole("alert").filter({ hasText: FULL });

  await page.getByRole("button", { name: "Water settings" }).click();
  await dialog.getByLabel("Altitude").fill("90 m");
  await disk.full();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(inDialog).toBeVisible();
  await expect(dialog.getByLabel("Altitude")).toHaveValue("90 m");
  await disk.roomy();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toBeHidden();

  await page.getByRole("button", { name: "How deep can you see?" }).click();
  await dialog.getByLabel("Or as a depth").fill("0.8 m");
  await disk.full();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(inDialog).toBeVisible();
  await disk.roomy();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog).toBeHidden();

  // A gauge goes out, and stays where it could not.
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await disk.full();
  await dialog.getByRole("button", { name: /^Remove the gauge/ }).click();
  await expect(told(page)).toBeVisible();
  const remove = dialog.getByRole("button", { name: /^Remove the gauge/ });
  await expect(remove).toBeVisible();
  await disk.roomy();
  await page.getByRole("button", { name: "Retry" }).click();
  await expect(remove).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(remove).toBeVisible();
  await page.keyboard.press("Escape");

  // A reach that cannot be kept stays in its dialog.
  await walk(page, "Reach");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await dialog.getByLabel("Name", { exact: true }).fill("Alder run");
  await disk.full();
  await dialog.getByRole("button", { name: "Add reach" }).click();
  await expect(inDialog).toBeVisible();
  await expect(dialog.getByLabel("Name", { exact: true })).toHaveValue("Alder run");
  await page.keyboard.press("Escape");
  await disk.roomy();

  // A reading that could not be kept is told where it was taken.
  await page.getByRole("group", { name: /^The reach from above/ }).focus();
  await page.keyboard.press("ArrowRight");
  await page.getByRole("button", { name: "add a reading here" }).click();
  await dialog.getByLabel("Depth", { exact: true }).fill("knee");
  await disk.full();
  await nextTap(page);
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(told(page)).toBeVisible();
  await disk.roomy();
  await page.getByRole("button", { name: "Retry" }).click();
  await expect(page.getByText(/^Reading saved/).first()).toBeVisible();
  await expect(told(page)).toBeHidden();

  // A stone that could not be put in is told where it was put.
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await disk.full();
  await page.getByRole("button", { name: "Add object" }).click();
  await expect(page.getByLabel("Edit the bed").getByRole("alert").filter({ hasText: FULL })).toBeVisible();
});

test("with a full disk the day goes on in memory, and the file it leaves restores it elsewhere", async ({
  page,
  browser,
  baseURL,
}) => {
  const disk = await withDisk(page);
  await loadDemo(page, "/session");
  await beginSession(page);
  await disk.full();
  await page.getByRole("button", { name: "Bite", exact: true }).click();
  await expect(told(page)).toBeVisible();
  // From a dialog: what waits behind the notice is kept as well.
  await page.getByRole("link", { name: "Log", exact: true }).click();
  await page.getByRole("button", { name: "Log a past session" }).click();
  await page.getByRole("button", { name: "Save session" }).click();
  const dialog = page.getByRole("dialog");
  // A press within half a second on what has just come up is not taken.
  await dialog.getByRole("button", { name: "Use a temporary log" }).waitFor();
  await nextTap(page);
  await dialog.getByRole("button", { name: "Use a temporary log" }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText("blank").first()).toBeVisible();
  // What waited is there, in the book that was read into memory, and so is what was before it: a fish can be landed.
  await page.getByRole("link", { name: "Session", exact: true }).click();
  await landFish(page);
  const banner = page.getByRole("region", { name: "Temporary log" });
  await expect(banner).toContainText("It is lost when this page closes");
  await noFaults(page);
  // Without a load of the page: what is in memory goes with it.
  await page.getByRole("link", { name: "Water", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();
  await expect(page.getByText(/^The days ahead/)).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent("download"),
    banner.getByRole("button", { name: "Save a backup" }).click(),
  ]);
  await expect(banner).toContainText("It is backed up so far");
  const file = readFileSync(await download.path());

  const elsewhere = await browser.newPage({ baseURL, locale: "en-GB" });
  await loadDemo(elsewhere, "/log");
  await elsewhere.getByRole("button", { name: "Settings and backup" }).click();
  await elsewhere
    .getByLabel("Backup file")
    .setInputFiles({ name: "day.zip", mimeType: "application/zip", buffer: file });
  await elsewhere.getByRole("button", { name: "Restore" }).click();
  await expect(elsewhere.getByText("day.zip restored.").first()).toBeVisible();
  await elsewhere.keyboard.press("Escape");
  await walk(elsewhere, "Session");
  await expect(elsewhere.getByRole("region", { name: "The fish", exact: true })).toBeVisible();
  expect(await bites(elsewhere)).toBe(1);
  await elsewhere.close();
});

for (const [how, script, said] of [
  ["is not there", () => Object.defineProperty(window, "indexedDB", { value: undefined }), /doesn’t save data/],
  [
    "never answers",
    () => {
      IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
    },
    /hasn’t answered for five seconds/,
  ],
  [
    "is refused",
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException("denied", "SecurityError");
      };
    },
    /blocked storage/,
  ],
] as const)
  test(`a book whose storage ${how} is told of within five seconds, and the day can be fished in memory`, async ({
    page,
  }) => {
    await page.addInitScript(script);
    await page.goto("/reach");
    await page.getByRole("link", { name: "Reach" }).waitFor();
    await expect(page.getByRole("alert").filter({ hasText: said })).toBeVisible({ timeout: 7000 });
    await expect(page.getByRole("heading", { name: "The log couldn’t be opened" })).toBeVisible();
    await noFaults(page);
    await page.getByRole("button", { name: "Use a temporary log" }).click();
    await page.getByRole("button", { name: "Add a reach" }).click();
    await page.getByRole("dialog").waitFor();
    await page.keyboard.press("Escape");
    await makeSmallReach(page, "Alder run");
    await settled(page);
    await expect(page.getByRole("region", { name: "Temporary log" })).toContainText("couldn’t be read");
  });

/** Bites that are in the book. */
const bites = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open("low-heron");
        opening.onerror = () => reject(new Error("not opened"));
        opening.onsuccess = () => {
          const all = opening.result.transaction("observations").objectStore("observations").getAll();
          all.onsuccess = () => {
            opening.result.close();
            resolve((all.result as { kind: string }[]).filter((one) => one.kind === "bite").length);
          };
        };
      }),
  );
