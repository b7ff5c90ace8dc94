import { expect, test, type Worker } from "@playwright/test";
import { loadDemo, makeSmallReach, noFaults, settled, otherFlow, walk } from "./steps";

test("a reach from soundings: a bad file is told, a demo boat's log shown with what stands out, laid the other way round, and made", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByRole("button", { name: "From soundings" }).click();
  const dialog = page.getByRole("dialog", { name: "A reach from soundings" });
  await dialog
    .getByLabel("File", { exact: true })
    .setInputFiles({ name: "bad.csv", mimeType: "text/csv", buffer: Buffer.from("place,depth\nhere,1\n") });
  await expect(dialog.getByRole("alert")).toContainText("No two columns give a place");
  await dialog.getByRole("button", { name: /demo sounder log/ }).click();
  await expect(dialog.getByText(/soundings over/)).toBeVisible();
  await expect(dialog.getByRole("alert")).toBeHidden();
  await expect(dialog.getByText(/lost the bottom/)).toBeVisible();
  await expect(dialog.getByText(/set to 20\d°/)).toBeVisible();
  await dialog.getByRole("button", { name: "Reverse" }).click();
  await expect(dialog.getByText(/set to 2\d°/)).toBeVisible();
  await dialog.getByLabel(/River flows towards/).fill("200");
  await expect(dialog.getByText("set to 200°")).toBeVisible();
  await dialog.getByLabel(/Gradient/).fill("none");
  await expect(dialog.getByRole("button", { name: "Add this reach" })).toBeDisabled();
  await dialog.getByLabel(/Gradient/).fill("2.8");
  await dialog.getByLabel("Name", { exact: true }).fill("Sounded glide");
  await noFaults(page);
  await dialog.getByRole("button", { name: "Add this reach" }).click();
  await expect(dialog).toBeHidden();
  await walk(page, "Reach");
  await settled(page);
  await expect(page.getByRole("heading", { level: 1, name: /Sounded glide at/ })).toBeAttached();
});

test("the plan: zoom and pan by buttons, keys and wheel; depth lines; a section along a line of one's own", async ({
  page,
}) => {
  await loadDemo(page, "/log");
  await page.getByRole("tab", { name: "Sessions" }).waitFor();
  await page.keyboard.press("3");
  await settled(page);
  const plan = page.getByRole("group", { name: /^The reach from above/ });
  const wide = () => plan.evaluate((element) => element.scrollWidth / element.clientWidth);
  expect(await wide()).toBeLessThan(1.02);
  await page.getByRole("button", { name: "Zoom in" }).click();
  await expect.poll(wide).toBeCloseTo(1.5, 1);
  await plan.focus();
  await page.keyboard.press("+");
  await expect.poll(wide).toBeCloseTo(2, 1);
  // Dragging the ground pans and sets no probe; the wheel zooms only with Ctrl.
  const box = (await plan.boundingBox())!;
  const before = await plan.evaluate((element) => element.scrollLeft);
  await page.mouse.move(box.x + 300, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 180, box.y + 60, { steps: 4 });
  await page.mouse.up();
  expect(await plan.evaluate((element) => element.scrollLeft)).toBeGreaterThan(before + 80);
  await expect(page.getByText(/^Probe,/)).toBeHidden();
  await page.keyboard.down("Control");
  await page.mouse.wheel(0, -120);
  await page.keyboard.up("Control");
  await expect.poll(wide).toBeGreaterThan(2.5);
  await plan.focus();
  await page.keyboard.press("0");
  await expect.poll(wide).toBeLessThan(1.02);

  await page.getByRole("button", { name: "Depths" }).click();
  await expect(plan.getByText("1 m", { exact: true })).toBeAttached();
  await page.getByRole("button", { name: "Draw a section" }).click();
  const crossed = page.getByText(/cross it, of/);
  await expect(crossed).toBeVisible();
  const [through, river] = (await crossed.textContent())!.match(/[\d.]+/g)!.map(Number) as [number, number];
  expect(Math.abs(through / river - 1)).toBeLessThan(0.06);
  const end = page.getByRole("button", { name: /^End B of the section/ });
  const label = await end.getAttribute("aria-label");
  await end.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(end).not.toHaveAttribute("aria-label", label!);
  await noFaults(page);
  await page.getByRole("button", { name: /again$/ }).click();
  await expect(end).toBeHidden();

  // Where to stand, by either school.
  const approach = page.getByRole("region", { name: /^Approach to lie/ });
  await expect(approach.getByText(/Stand (on the bank|[\d.]+ m deep)/)).toBeVisible();
  const below = await approach.textContent();
  await approach.getByRole("button", { name: "From above" }).click();
  await expect(approach.getByText(/across and down/)).toBeVisible();
  expect(await approach.textContent()).not.toBe(below);

  // Another fish holds elsewhere, by other reasons; and each lie has its band of flow once the ladder is there.
  await page.getByLabel("Fish", { exact: true }).click();
  await page.getByRole("option", { name: "Walleye" }).click();
  await expect(page.getByRole("heading", { name: "Lies for walleye" })).toBeVisible();
  await expect(page.getByText(/^Slow beside fast: |^No faster water within/)).toBeVisible();
  await expect(page.getByText(/× 1000\. Scores compare/)).toBeVisible();
});

test("readings in the water: put down at the probe, fitted, taken and undone", async ({ page }) => {
  await page.goto("/");
  await makeSmallReach(page, "Readings run");
  await walk(page, "Reach");
  await settled(page);
  const plan = page.getByRole("group", { name: /^The reach from above/ });
  const read = async (steps: number, depth: string) => {
    await plan.focus();
    for (let k = 0; k < steps; k++) await page.keyboard.press("Shift+ArrowRight");
    await page.getByRole("button", { name: "add a reading here" }).click();
    await page.getByLabel("Depth", { exact: true }).fill(depth);
    await page.getByRole("button", { name: "Save" }).click();
    await expect(page.getByRole("dialog")).toBeHidden();
  };
  await read(1, "1.35 m");
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await page.getByRole("button", { name: "Fit the bed to the readings" }).click();
  await expect(page.getByText(/One reading can’t separate/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await read(3, "4 ft");
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await expect(page.getByRole("row", { name: /2\. Depth/ })).toContainText("1.22 m");
  await page.getByRole("button", { name: "Fit the bed to the readings" }).click();
  await expect(page.getByText(/times their own error/)).toBeVisible({ timeout: 120_000 });
  await noFaults(page);
  await page.getByRole("button", { name: "Delete reading 2" }).click();
  await expect(page.getByRole("row", { name: /2\. Depth/ })).toBeHidden();
  await page.getByRole("region", { name: "Edit the bed" }).getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("row", { name: /2\. Depth/ })).toBeVisible();
});

test("a new angler shapes a reach with three stones and a wall, by handles and measures, and sees its seams at three flows within two minutes", async ({
  page,
}) => {
  const start = Date.now();
  await page.goto("/");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Length", { exact: true }).fill("80 m");
  await page.getByLabel("Channel width").fill("16 m");
  await page.getByLabel("Log jam").click();
  await page.getByRole("option", { name: "None" }).click();
  await page.getByRole("button", { name: "Add reach" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await walk(page, "Reach");
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await expect(page.getByRole("button", { name: "stone 3", exact: true })).toBeVisible();
  await page.getByLabel("Object to add", { exact: true }).click();
  await page.getByRole("option", { name: "Wall" }).click();
  await page.getByRole("button", { name: "Add object" }).click();
  await expect(page.getByRole("button", { name: "Wall", exact: true })).toBeVisible();
  const width = page.getByRole("button", { name: /^Channel width/ });
  await expect(width).toHaveAttribute("aria-label", /16\.0 m/);
  await width.focus();
  await page.keyboard.press("ArrowDown");
  await expect(width).toHaveAttribute("aria-label", /17\.0 m/);
  await expect(page.getByLabel("Channel width", { exact: true })).toHaveValue("17.0 m");
  await page.getByRole("button", { name: "Edit the bed" }).click();
  const seams = new Set<string>();
  for (let flow = 0; flow < 3; flow++) {
    await settled(page);
    const told = page.getByText(/^The water in words: /);
    await expect(told).toBeVisible();
    expect(Number(/(\d+) seam/.exec((await told.textContent())!)![1])).toBeGreaterThan(0);
    seams.add((await page.getByRole("heading", { level: 1 }).textContent())!);
    await page.keyboard.press("]");
    await page.keyboard.press("]");
    await page.waitForTimeout(400);
  }
  expect(seams.size).toBe(3);
  expect(Date.now() - start).toBeLessThan(120_000);
});

test("a machine of several cores: the water is solved on several threads, and settles", async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(Navigator.prototype, "hardwareConcurrency", { get: () => 4 });
  });
  const workers: Worker[] = [];
  page.on("worker", (worker) => workers.push(worker));
  await loadDemo(page, "/reach", { before: "loaded" });
  await settled(page);
  // By now the solver's helpers have begun.
  await otherFlow(page);
  await settled(page);
  const names = await Promise.all(workers.map((worker) => worker.evaluate(() => self.name).catch(() => "ended")));
  expect(names.filter((name) => name === "solver helper")).toHaveLength(2);
});

test("worked out ahead: how sure each lie is, and other flows, before anybody asks; nothing of it where the battery is saved", async ({
  page,
}) => {
  await loadDemo(page, "/reach", { ahead: true });
  await settled(page);
  await expect(page.getByText(/holds in \d+ of 10/).first()).toBeVisible({ timeout: 120_000 });
  const dots = page.getByText(/dots: worked out \(\d+ of \d+\)/);
  const count = async () => Number(/\((\d+) of/.exec(await dots.innerText())![1]);
  const before = await count();
  await expect.poll(count, { timeout: 120_000 }).toBeGreaterThan(before + 1);
  await expect(page.getByText(/^Fishes .*, best about .*m³\/s\.$/)).toBeVisible({ timeout: 90_000 });

  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByRole("combobox", { name: "Work out ahead of time" }).click();
  await page.getByRole("option", { name: "Nothing (saves battery)" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByText("To save battery, uncertainty", { exact: false })).toBeVisible();
  await expect(page.getByText(/holds in \d+ of 10/)).toHaveCount(0);
  // What is begun is stopped; a moment later no more flows come.
  await page.waitForTimeout(1500);
  const left = await count();
  await page.waitForTimeout(6000);
  expect(await count()).toBe(left);
  await noFaults(page);
});
