import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { chooseGauge, endSession, loadDemo, nextTap, noFaults, otherFlow, settled, walk } from "./steps";

const STATIONS = ["Water", "Reach", "Rig", "Session", "Log", "Learn"] as const;

test("bad gauge files get a located error, and nothing is changed", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Open a gauge file" }).click();
  for (const [content, said] of [
    ["", "The file is empty"],
    [Buffer.from([80, 75, 3, 4, 0, 0, 7]), "isn’t text"],
    ["a,b\n1,2\n", "No column is called time"],
    ["time,discharge (m3/s)\n2026-01-01T00:00Z,-3\n2026-01-01T01:00Z,NaN\n", "line 2"],
  ] as const) {
    await chooseGauge(page, "bad.csv", content as string);
    await expect(page.getByRole("dialog").getByRole("alert")).toContainText(said);
    await expect(page.getByRole("button", { name: "Save" })).toBeHidden();
  }
  // Some bad lines: told by number, the rest kept.
  await chooseGauge(
    page,
    "some.csv",
    "time,discharge (m3/s)\n2026-01-01T00:00Z,3\n2026-01-01T01:00Z,three\n2026-01-01T02:00Z,Ice\n",
  );
  await expect(page.getByText("line 3: discharge “three” is not a number")).toBeVisible();
  await expect(page.getByText("Ice × 1")).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
});

test("a reach without an outlet is refused by name, and nothing is changed", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Reach file").setInputFiles({
    name: "r.json",
    mimeType: "application/json",
    buffer: Buffer.from(
      JSON.stringify({
        schema: "low-heron/reach@1",
        id: "x",
        name: "x",
        roughness: 0.03,
        bed: { kind: "grid", nx: 4, ny: 3, cell: 1, z: new Array(12).fill(0) },
      }),
    ),
  });
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("no outlet");
  await page.getByLabel("Channel width").fill("wide");
  await page.getByRole("button", { name: "Add reach" }).click();
  await expect(page.getByRole("dialog").getByText("“wide” doesn’t start with a number.")).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
});

test("the demo river: labelled, looked at in both units and by keys, removed and brought back", async ({ page }) => {
  await loadDemo(page);
  await expect(page.getByTestId("demo-tag")).toContainText("demo river, demo time");
  const strip = page.getByRole("banner");
  await expect(strip).toContainText("m³/s");
  await page.keyboard.press("u");
  await expect(strip).toContainText("cfs");
  await page.keyboard.press("7");
  await expect(page.getByRole("heading", { name: /Fish per hour/ })).toBeVisible();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Shortcuts" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByRole("button", { name: "Remove the demo river" }).click();
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("heading", { name: /Fish per hour/ })).toBeVisible();
});

test("an archive goes out and comes back in after everything was removed", async ({ page }) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Settings and backup" }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save a backup" }).click(),
  ]);
  const path = await download.path();
  await page.getByRole("button", { name: "Remove the demo river" }).click();
  await expect(page.getByRole("heading", { name: "The log is empty" })).toBeVisible();
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByLabel("Backup file").setInputFiles(path);
  await expect(page.getByText(/^Change nothing/)).toBeVisible();
  // What was removed since stays removed, unless it is wanted back.
  await page.getByRole("radio", { name: /^Restore it exactly/ }).check();
  await page.getByRole("button", { name: "Restore" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();
});

test("every station stands up to axe at the desk, and fits a phone without sideways scrolling", async ({ page }) => {
  test.setTimeout(300_000);
  await loadDemo(page);
  for (const name of STATIONS) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await walk(page, name);
    if (name === "Reach") await settled(page);
    if (name === "Rig") await expect(page.getByTestId("setting")).toBeVisible({ timeout: 60_000 });
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await noFaults(page, name);
    await page.setViewportSize({ width: 390, height: 844 });
    // Charts take their new width a moment after the window does.
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: name })
      .toBeLessThanOrEqual(390);
  }
});

test("the flow slider: a new flow is solved, the old one stays solved, and solving can be stopped", async ({
  page,
}) => {
  await loadDemo(page, "/reach");
  await settled(page);
  const first = await otherFlow(page);
  await expect(page.getByText(/^Solving/)).toBeVisible();
  await expect(page.getByText(/the nearest flow worked out/)).toBeVisible();
  // Pressed at once: a small machine may be done before a slow pointer arrives.
  await page.getByRole("button", { name: "Stop" }).dispatchEvent("click");
  await expect(page.getByRole("button", { name: /^Stopped/ })).toBeVisible();
  await page.getByRole("button", { name: /^show the flow now/ }).click();
  await settled(page);
  await expect(page.getByLabel("Flow to show", { exact: true })).toHaveValue(first);
});

test("the stand-in gauge answers the same for the same hours, and refuses bad questions", async ({ request }) => {
  const url = "/api/stand-in/gauge?from=2025-01-01T00:00:00Z&to=2025-01-03T00:00:00Z";
  const [one, two] = [await (await request.get(url)).text(), await (await request.get(url)).text()];
  expect(one).toBe(two);
  expect(one.split("\n")).toHaveLength(51);
  for (const query of [
    "",
    "?from=yesterday&to=now",
    "?from=2025-01-03T00:00:00Z&to=2025-01-01T00:00:00Z",
    "?from=2020-01-01T00:00:00Z&to=2039-01-01T00:00:00Z",
  ]) {
    const status = (await request.get(`/api/stand-in/gauge${query}`)).status();
    expect([200, 400]).toContain(status);
    if (!query.includes("2020")) expect(status).toBe(400);
  }
  // A record without end is not made; and a crowd of requests at once is turned away in part, not queued.
  const end = await request.get("/api/stand-in/gauge?from=2299-01-01T00:00:00Z&to=2300-01-01T00:00:00Z");
  expect(end.status()).toBe(400);
  const crowd = await Promise.all(Array.from({ length: 60 }, () => request.get(url).then((one) => one.status())));
  expect(new Set(crowd)).toEqual(new Set([200, 429]));
  expect((await request.get("/water")).status()).toBe(200);
});

test("doors: headers on pages and static files, and a malformed router state is a bad request", async ({ request }) => {
  for (const path of ["/water", "/favicon.svg"]) {
    const headers = (await request.get(path)).headers();
    expect(headers).toMatchObject({
      "cross-origin-opener-policy": "same-origin",
      "cross-origin-embedder-policy": "require-corp",
      "cross-origin-resource-policy": "same-origin",
      "x-content-type-options": "nosniff",
    });
    expect(headers["strict-transport-security"]).toBeUndefined();
  }
  const secure = await request.get("/water", { headers: { "x-forwarded-proto": "https" } });
  expect(secure.headers()["strict-transport-security"]).toContain("max-age=");
  for (const state of ["%", "[", "%5B%22%22%5D", "%E0%A4%A", "null"]) {
    const answer = await request.get("/water?_rsc=x", { headers: { rsc: "1", "next-router-state-tree": state } });
    expect(answer.status()).toBe(400);
  }
});

test("pages carry a strict content security policy and ask nothing of anyone else", async ({ page }) => {
  const elsewhere: string[] = [];
  page.on(
    "request",
    (request) =>
      !request.url().startsWith("http://localhost") &&
      !/^(blob|data):/.test(request.url()) &&
      elsewhere.push(request.url()),
  );
  const answer = await page.goto("/");
  expect(answer!.headers()["content-security-policy"]).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  await loadDemo(page, "/reach");
  await page.waitForTimeout(1500);
  expect(elsewhere).toEqual([]);
});

test("on the bank, by thumb: a session on a phone, a blank, undo, and figures in US units", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await loadDemo(page, "/session");
  const start = page.getByRole("button", { name: "Start a session" });
  await start.waitFor();
  expect((await start.boundingBox())!.height).toBeGreaterThanOrEqual(56);
  await start.click();
  await expect(page.getByRole("button", { name: "Fish on" })).toBeVisible();
  await walk(page, "Water");
  await expect(page.getByRole("heading", { name: "Ostrel at Corbel Bridge" })).toBeVisible();
  await page.keyboard.press("l");
  await expect(page.getByRole("region", { name: "A fish is on" })).toBeVisible();
  await nextTap(page);
  await page.getByRole("button", { name: "Landed", exact: true }).click();
  await expect(page.getByRole("region", { name: "The fish", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "False alarm" }).click();
  await expect(page.getByText("0 fish")).toBeVisible();
  await endSession(page);
  await expect(page.getByText("Saved as a blank", { exact: false }).first()).toBeVisible();
  await page.getByRole("button", { name: "Settings and backup" }).click();
  await page.getByRole("combobox", { name: "Units" }).click();
  await page.getByRole("option", { name: "US customary" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("banner")).toContainText("cfs");
  await page.reload();
  await expect(page.getByRole("banner")).toContainText("cfs");
});

test("a session and a reach taken out come back by undo; a reach goes out as a file and comes in again", async ({
  page,
}) => {
  await loadDemo(page, "/log");
  const first = page.getByRole("button", { name: /^Delete the session/ }).first();
  const name = (await first.getAttribute("aria-label"))!;
  await first.click();
  await expect(page.getByRole("button", { name })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name })).toHaveCount(1);
  await page.getByRole("button", { name: "Settings and backup" }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save Alder Bend as a reach file" }).click(),
  ]);
  await page.getByRole("button", { name: "Remove Alder Bend" }).click();
  await expect(page.getByRole("button", { name: "Remove Alder Bend" })).toBeHidden();
  await page.getByRole("button", { name: "Close" }).click();
  await walk(page, "Reach");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Reach file").setInputFiles(await download.path());
  await expect(page.getByText("Alder Bend saved.").first()).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Reach", exact: true })).toContainText("Alder Bend");
});

test("the tackle box: filled, used, lost from, mended, saved and taken in again; a bad file is told by line", async ({
  page,
}, { outputDir }) => {
  await loadDemo(page, "/rig");
  await expect(page.getByTestId("setting")).toBeVisible({ timeout: 120_000 });
  await page.getByRole("button", { name: "Add a typical box for brown trout" }).click();
  const lose = page.getByRole("button", { name: /^Lost one: BB/ });
  await expect(page.getByText("20 left").first()).toBeVisible();
  await lose.click();
  await expect(page.getByText("19 left")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(page.getByText("19 left")).toBeHidden();
  // A piece of one's own, in any unit; a fault is told at its field.
  await page.getByRole("button", { name: "Add tackle" }).click();
  await page.getByLabel("Name").fill("old faithful");
  await page.getByLabel("Weight", { exact: true }).fill("heavy");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("“heavy” doesn’t start with a number.")).toBeVisible();
  await page.getByLabel("Weight", { exact: true }).fill("3/16 oz");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect(page.getByText("5.3 g (3/16 oz), tin", { exact: false })).toBeVisible();
  // Out as a file, and in again beside what is there: all or nothing of each line, and what is refused is told.
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export CSV", exact: true }).click(),
  ]);
  const path = `${outputDir}/tackle.csv`;
  await download.saveAs(path);
  const text = await readFile(path, "utf8");
  expect(text).toContain("head,old faithful,1,");
  await page.getByLabel("Import a tackle box (CSV)").setInputFiles({
    name: "mixed.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("kind,name,grams\nhead,minnow head,1/8 oz\nhead,nothing,\nkite,blue,2\n"),
  });
  await expect(page.getByText("minnow head")).toBeVisible();
  await expect(page.getByText("Of 3 data lines 1 read, 0 without a reading, 2 rejected.")).toBeVisible();
  await expect(page.getByText(/^line 3: its weight is missing|^line 3: its grams/)).toBeVisible();
});

test("what is seen of the water changes the rig: wind asks for a heavier head, another way for another card", async ({
  page,
}) => {
  await loadDemo(page, "/rig");
  const setting = page.getByTestId("setting");
  await expect(setting).toBeVisible({ timeout: 120_000 });
  await page.getByRole("button", { name: "Jig", exact: true }).click();
  await expect(page.getByRole("region", { name: "Rig card" })).toContainText("Head");
  const still = parseFloat((await setting.textContent())!);
  await page.getByLabel("Wind", { exact: true }).fill("9 m/s");
  await page.getByLabel("Wind", { exact: true }).press("Enter");
  await expect.poll(async () => parseFloat((await setting.textContent())!), { timeout: 60_000 }).toBeGreaterThan(still);
  await page.getByLabel("Wind", { exact: true }).fill("900 m/s");
  await page.getByLabel("Wind", { exact: true }).press("Enter");
  await expect(page.getByText("From 0.0 to 40.0 m/s.")).toBeVisible();
  // The drift is played, from above and from the side.
  await page.getByRole("button", { name: "From the side" }).click();
  await expect(page.getByRole("img", { name: /^The drift from the side/ })).toBeVisible();
  await page.getByRole("button", { name: "From above" }).click();
  await expect(page.getByRole("img", { name: /^The drift from above: it lands/ })).toBeVisible();
});

test("the whole card fits one phone screen for every way of a trout", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await loadDemo(page, "/rig");
  await expect(page.getByTestId("setting")).toBeVisible({ timeout: 120_000 });
  const free = await page.evaluate(
    () =>
      innerHeight -
      document.querySelector("header")!.getBoundingClientRect().height -
      document.querySelector('nav[aria-label="Stations"]')!.getBoundingClientRect().height,
  );
  for (const name of ["Float", "Bottom drift", "Jig", "Spinner, up", "Plug"]) {
    const way = page.getByRole("button", { name, exact: true });
    if ((await way.count()) === 0) continue;
    await way.click();
    await expect(way).toHaveAttribute("aria-pressed", "true");
    const { height } = (await page.getByRole("region", { name: "Rig card" }).boundingBox())!;
    expect(height, name).toBeLessThanOrEqual(free);
  }
});

test("shaping the bed: a kind of water, a stone put in, nudged by keys, dragged, measured, undone; the flow is solved anew", async ({
  page,
}) => {
  await page.goto("/reach");
  await page.getByRole("button", { name: "Add a reach" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Stony");
  await page.getByRole("combobox", { name: "Kind of water" }).click();
  await page.getByRole("option", { name: "Sand bar with stumps" }).click();
  await page.getByLabel("Length", { exact: true }).fill("50 m");
  await page.getByLabel("Channel width").fill("10 m");
  await page.getByRole("combobox", { name: "Stones" }).click();
  await page.getByRole("option", { name: "0", exact: true }).click();
  await page.getByRole("combobox", { name: "Log jam" }).click();
  await page.getByRole("option", { name: "None" }).click();
  await page.getByRole("button", { name: "Add reach" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  const plan = page.getByRole("group", { name: /^The reach from above/ });
  await expect(plan).toBeVisible({ timeout: 60_000 });
  await plan.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(page.getByRole("status").filter({ hasText: "Probe, 27.0 m down the reach" })).toContainText(
    /deep|dry ground/,
  );
  await page.keyboard.press("Escape");
  await expect(page.getByText(/^Probe, /)).toBeHidden();
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await expect(page.getByText("No objects here yet.")).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Add object" }).click();
  const stone = page.getByRole("button", { name: /^Stone, .* down the reach/ });
  await expect(stone).toHaveAttribute("aria-label", /^Stone, 25\.0 m down the reach/);
  await stone.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(stone).toHaveAttribute("aria-label", /^Stone, 27\.0 m down the reach/);
  const box = (await stone.locator("circle").first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 90, box.y + box.height / 2, { steps: 5 });
  // The water follows the hand before anything is kept.
  await expect(page.getByText(/^Preview while you drag/)).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText(/^Preview while you drag/)).toBeHidden();
  // And leaves it when the bed is changed by other means, or a handle is only pressed.
  await stone.focus();
  await page.keyboard.press("ArrowDown");
  await page.getByRole("button", { name: /^Channel width/ }).click({ force: true });
  await expect(page.getByText(/^Solving|^Preview,|^Settled/).first()).toBeVisible();
  await expect(page.getByText(/^Preview while you drag/)).toBeHidden();
  await expect(stone).not.toHaveAttribute("aria-label", /^Stone, 27\.0 m/);
  await page.getByLabel("Across", { exact: true }).fill("small");
  await page.getByLabel("Across", { exact: true }).press("Enter");
  await expect(page.getByText("“small” doesn’t start with a number.")).toBeVisible();
  await page.getByLabel("Across", { exact: true }).fill("8 ft");
  await page.getByLabel("Across", { exact: true }).press("Enter");
  await expect(page.getByLabel("Across", { exact: true })).toHaveValue("2.44 m");
  await stone.focus();
  await page.keyboard.press("Delete");
  await expect(page.getByText("No objects here yet.")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(stone).toBeVisible();
  await settled(page);
});
