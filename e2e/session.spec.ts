import { Buffer } from "node:buffer";
import { expect, type Page, test } from "@playwright/test";
import { withExif } from "./exif";
import { beginSession, endSession, landFish, loadDemo, nextTap, noFaults, release, walk } from "./steps";

test("on a phone: the whole of the bank in reach of a thumb; two tabs on one session agree; a killed page goes on where it was", async ({
  page,
  context,
}) => {
  test.setTimeout(300_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await loadDemo(page, "/session", { before: "solved" });
  await page.getByLabel("Partners’ names").fill("Ana, Ben");
  // Begun before the lies are known: where one is can be said afterwards.
  await page.getByRole("button", { name: "Start a session" }).click();
  await page.getByRole("button", { name: "Say where you are" }).click({ timeout: 120_000 });
  await nextTap(page);
  await page.getByRole("dialog").getByRole("button", { name: /^1\. / }).click();
  await expect(page.getByText(/^0 of \d+ minutes$/)).toBeVisible({ timeout: 120_000 });
  for (const name of ["Bite", "Follow", "Actions", "Cast", "Fish on"]) {
    const box = (await page.getByRole("button", { name, exact: true }).boundingBox())!;
    expect(Math.min(box.width, box.height), name).toBeGreaterThanOrEqual(48);
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await noFaults(page);

  const other = await context.newPage();
  await other.goto("/session");
  await page.getByRole("button", { name: "Cast", exact: true }).click();
  await expect(page.getByText(/cast 1, /)).toBeVisible();
  await expect(other.getByRole("button", { name: /^Cast to .*: 1 of/ })).toBeVisible({ timeout: 60_000 });
  await other.getByRole("button", { name: "Cast", exact: true }).click();
  await expect(other.getByText(/cast 2, /)).toBeVisible();
  await page.getByRole("button", { name: "undo" }).click();
  await expect(page.getByText(/: undone/)).toBeVisible();
  await other.getByRole("button", { name: "Fish on" }).click();
  await expect(page.getByRole("region", { name: "A fish is on" })).toBeVisible();
  await noFaults(page);
  await other.close();
  await page.reload();
  await expect(page.getByRole("region", { name: "A fish is on" })).toContainText(/pull from behind/);
  await nextTap(page);
  await page.getByRole("button", { name: "Broke", exact: true }).click();
  await expect(page.getByRole("button", { name: "Fish on" })).toBeVisible();
  // Every station says that somebody is fishing, and leads back.
  await walk(page, "Water");
  await page.getByRole("link", { name: /^Fishing/ }).click();
  await expect(page.getByRole("button", { name: "Fish on" })).toBeVisible();

  // Rods and partners: each rod its own.
  await page.getByRole("button", { name: "Actions", exact: true }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Rods and partners" }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Add a rod" }).click();
  const second = page.getByRole("listitem").filter({ hasText: "Rod 2:" });
  await second.getByLabel("Angler").click();
  await page.getByRole("option", { name: "Ana" }).click();
  await expect(second.getByLabel("Angler")).toContainText("Ana");
  await noFaults(page);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("group", { name: "Rods" })).toContainText("Rod 2, Ana");

  // On to the next lie, the first is rested or not, and back by undo.
  await page.getByRole("button", { name: "Actions", exact: true }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Move on" }).click();
  await nextTap(page);
  await page.getByRole("dialog").getByRole("button", { name: /^2\. / }).click();
  await expect(page.getByText(/moved to /)).toBeVisible();
  await page.getByRole("button", { name: "undo" }).click();
  await expect(page.getByText(/: undone/)).toBeVisible();
  await endSession(page);
});

test("what is noted, the sounder, a photo without its place; the table put right in bulk; a file of fish taken in, refused lines told", async ({
  page,
}) => {
  await loadDemo(page, "/session");
  await beginSession(page);
  const more = async (name: string) => {
    await page.getByRole("button", { name: "Actions", exact: true }).click();
    await nextTap(page);
    await page.getByRole("button", { name }).click();
    await nextTap(page);
  };
  await more("Add a note");
  await page.getByRole("combobox", { name: "Kind of note" }).click();
  await page.getByRole("option", { name: "What others caught" }).click();
  await page.getByLabel("Boats or anglers seen").fill("4");
  await page.getByLabel("With fish").fill("1");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Note saved.").first()).toBeVisible();

  await more("Sounder");
  await page.getByRole("button", { name: "Connect" }).click();
  await expect(page.getByText(/^\d+\.\d\d m$/)).toBeVisible();
  await page.getByRole("button", { name: "Mark this place" }).click();
  await page.getByRole("combobox", { name: "Course to" }).click();
  await page.getByRole("option", { name: /^Mark 1/ }).click();
  await expect(page.getByText(/^On it|line\.$/)).toBeVisible();
  await noFaults(page);
  await page.keyboard.press("Escape");

  await landFish(page);
  // A picture as a camera makes it: drawn here, turned, with nothing of its own beside.
  const picture = await page.evaluate(async () => {
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [2400, 1600];
    canvas.getContext("2d")!.fillRect(0, 0, 1200, 1600);
    const blob = await new Promise<Blob>((done) => canvas.toBlob((made) => done(made!), "image/jpeg", 0.9));
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  const written = { orientation: 6, taken: "2026:05:14 09:30:00", latitude: 53, longitude: -7 };
  const file = { name: "fish.jpg", mimeType: "image/jpeg", buffer: withExif(Buffer.from(picture), written) };
  expect(file.buffer.includes("Exif")).toBe(true);
  await page.getByLabel("Add a photo").setInputFiles(file);
  const photos = page.getByRole("img", { name: /^Photo of the fish, taken .*14 May.*09:30/ });
  await expect(photos).toHaveCount(1);
  // Upright, small, and nothing of the camera's left in it.
  expect(await photos.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight])).toEqual([853, 1280]);
  await page.getByLabel("keep its location").check();
  await page.getByLabel("Add a photo").setInputFiles(file);
  await expect(photos).toHaveCount(2);
  const kept = await photosKept(page);
  expect(kept.map(({ place }) => place)).toEqual([null, { latitude: 53, longitude: -7 }]);
  for (const { data } of kept) expect(Buffer.from(data, "base64").includes("Exif")).toBe(false);
  await page
    .getByLabel("Add a photo")
    .setInputFiles({ name: "x.jpg", mimeType: "image/jpeg", buffer: Buffer.from("no") });
  await expect(page.getByRole("alert").filter({ hasText: "can’t open this file as a picture" })).toBeVisible();
  await release(page);
  await endSession(page);

  await walk(page, "Log");
  await page.getByRole("tab", { name: "Fish" }).click();
  const table = page.getByTestId("fish-table");
  await expect(table.getByRole("checkbox").first()).toBeVisible();
  const before = (await table.getByRole("row").count()) - 1;
  await table.getByRole("checkbox").nth(0).check();
  await table.getByRole("checkbox").nth(1).check();
  await page.getByRole("button", { name: "Edit 2 fish" }).click();
  await page.getByLabel("Lure or bait").fill("bulk nymph");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(table.getByText("bulk nymph")).toHaveCount(2);
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(table.getByText("bulk nymph")).toHaveCount(0);
  await table.getByRole("button", { name: "Length" }).click();
  await expect(table.getByRole("columnheader", { name: "Length" })).toHaveAttribute("aria-sort", /ending$/);

  await page.getByLabel("Fish file (CSV)").setInputFiles({
    name: "old.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("when,fish,size\n2026-04-01T10:00:00Z,brown trout,31\nnever,brown trout,30\n"),
  });
  const dialog = page.getByRole("dialog", { name: "Import fish from old.csv" });
  await expect(dialog).toContainText("1 fish can be imported.");
  await expect(dialog).toContainText("line 3: “never” is");
  await noFaults(page);
  await dialog.getByRole("button", { name: "Import fish" }).click();
  await expect(dialog).toBeHidden();
  await expect(table.getByRole("row")).toHaveCount(before + 2);

  await page.getByRole("tab", { name: "Rules" }).click();
  await page.getByRole("button", { name: "Add a rule" }).click();
  await page.getByLabel("Protected from").fill("40 cm");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Enter both or neither.")).toBeVisible();
  await page.getByLabel("Protected to").fill("60 cm");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("40 cm to 60 cm protected")).toBeVisible();
  await noFaults(page);
});

/** The photos as they are kept, the first first. */
const photosKept = (page: Page): Promise<{ data: string; place: unknown }[]> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open("low-heron");
        opening.onerror = () => reject(new Error("not opened"));
        opening.onsuccess = () => {
          const all = opening.result.transaction("photos").objectStore("photos").getAll();
          all.onsuccess = () => {
            opening.result.close();
            resolve(all.result as { data: string; place: unknown }[]);
          };
        };
      }),
  );
