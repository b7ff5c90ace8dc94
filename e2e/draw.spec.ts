import { Buffer } from "node:buffer";
import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { DEMO_AERIAL, demoAerialBanks, demoAerialDepth, demoAerialPlace } from "../src/demo/aerial";
import { madeHeights } from "../src/testing/made-heights";
import { beginSession, landFish, nextTap, settled } from "./steps";

const { unit, stakes, width } = DEMO_AERIAL;
type Place = readonly [number, number];

/** The sheet, tapped at a place of the picture, in its pixels. */
async function tap(page: Page, [x, y]: Place, touch = false): Promise<void> {
  const sheet = page.getByRole("group", { name: /^The drawing/ }).locator("svg");
  const scale = (await sheet.boundingBox())!.width / width;
  const position = { x: x * scale, y: y * scale };
  await (touch ? sheet.tap({ position }) : sheet.click({ position }));
}

const tool = (page: Page, name: string) => page.getByRole("button", { name, exact: true }).first().click();

async function openDemoPicture(page: Page, touch = false): Promise<void> {
  await page.goto("/reach/draw");
  await page.getByRole("button", { name: "Try the demo picture" }).click();
  await expect(page.getByLabel("Save the picture with the reach")).toBeVisible();
  await page.getByRole("button", { name: "Set point A" }).click();
  await tap(page, stakes.a, touch);
  await tap(page, stakes.b, touch);
  await page.getByLabel("Distance from A to B").fill(`${stakes.metres} m`);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^The picture is .* wide/)).toBeVisible();
}

async function drawBanks(page: Page, touch = false): Promise<void> {
  const { left, right } = demoAerialBanks(14);
  for (const [name, bank] of [
    ["Left bank", left],
    ["Right bank", right],
  ] as const) {
    await tool(page, name);
    for (const at of bank) await tap(page, at, touch);
    await page.getByRole("button", { name: "Finish the line" }).click();
  }
}

test("a bend is drawn on a picture with twelve depths, laid, kept and solved; its picture lies under the plan", async ({
  page,
}) => {
  await openDemoPicture(page);
  await expect(page.getByText("Draw both banks, or the middle line.")).toBeVisible();
  await drawBanks(page);
  await expect(page.getByText(/guessed to worse than 30 %/)).toBeVisible();
  const share = async () =>
    Number(/(\d+) % of the water is guessed/.exec(await page.locator("#station").innerText())?.[1]);
  const before = await share();
  for (let k = 0; k < 12; k++) {
    const at = demoAerialPlace((k + 0.5) / 12, k % 2 ? 0.68 : 0.32);
    await tool(page, "Depth");
    await tap(page, at);
    await page.getByLabel("Depth", { exact: true }).fill(`${demoAerialDepth(at[0] * unit, at[1] * unit).toFixed(2)} m`);
    await page.keyboard.press("Enter");
  }
  await expect(page.getByText("12 depths used.")).toBeVisible();
  // Each depth makes it surer.
  await expect.poll(share).toBeLessThan(before - 20);
  await page.getByLabel("Save the picture with the reach").check();
  await page.getByLabel("Name", { exact: true }).last().fill("Picture run");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Add this reach" }).click();
  await page.waitForURL("**/reach");
  await expect(page.getByRole("combobox", { name: "Reach", exact: true })).toContainText("Picture run");
  await settled(page);
  await expect(page.getByText(/^Lie 1/).first()).toBeVisible();
  // Without a gauge it begins at the flow of the day it was drawn.
  await expect(page.getByLabel("Flow to show")).toHaveValue(/3\.2/);
  await expect(page.getByRole("slider", { name: "Picture" })).toBeVisible();
  // A click on the plan puts the probe there.
  await nextTap(page);
  const plan = page.getByRole("group", { name: /^The reach from above/ });
  const box = (await plan.boundingBox())!;
  await plan.click({ position: { x: box.width / 3, y: box.height / 2 } });
  await expect(page.getByText(/^Probe, /)).toBeVisible();
  // The thermometer, where it was held: it stands in for a gauge.
  await page.getByRole("button", { name: "add a reading here" }).click();
  const thermometer = page.getByRole("dialog");
  await thermometer.getByRole("combobox", { name: "Reading" }).click();
  await page.getByRole("option", { name: "Water temperature" }).click();
  await thermometer.getByLabel("Temperature, °C").fill("12.3");
  await nextTap(page);
  await thermometer.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("img", { name: "Water 12.3 °C" })).toBeVisible();
});

/** Places of the demo stream as if it lay near 52 N 1 W: a metre is so many degrees there. */
const onEarth = ([x, y]: Place) => ({ longitude: -1 + (x * unit) / 68_678, latitude: 52 - (y * unit) / 111_253 });

/** The upper half of the demo stream with two depths, as a drawing that was saved. */
function halfDrawn(): Buffer {
  const at = (place: Place) => [onEarth(place).longitude, onEarth(place).latitude];
  const { left, right } = demoAerialBanks(14);
  const line = (kind: string, places: readonly Place[]) => ({
    type: "Feature",
    properties: { kind },
    geometry: { type: "LineString", coordinates: places.slice(0, 7).map(at) },
  });
  const depth = (down: number) => ({
    type: "Feature",
    properties: { kind: "depth", depth: 0.6 },
    geometry: { type: "Point", coordinates: at(demoAerialPlace(down, 0.5)) },
  });
  const features = [line("left-bank", left), line("right-bank", right), depth(0.1), depth(0.3)];
  const properties = { name: "Half a bend", slope: 0.003, discharge: 3.2 };
  return Buffer.from(JSON.stringify({ type: "FeatureCollection", properties, features }));
}

test("where a depth would help the lies of a drawn reach; the drawing is changed, and the reach with it", async ({
  page,
}) => {
  await page.goto("/reach/draw");
  await page
    .getByLabel(/^Picture from above/)
    .setInputFiles({ name: "half.geojson", mimeType: "application/geo+json", buffer: halfDrawn() });
  await expect(page.getByText("2 depths used.")).toBeVisible();
  await page.getByRole("button", { name: "Add this reach" }).click();
  await page.waitForURL("**/reach");
  await settled(page);
  // Asked back: where the lies hang on what is guessed, and each depth makes it surer.
  const known = async () => Number(/known to about ± (\d+) %/.exec(await page.locator("#station").innerText())?.[1]);
  await nextTap(page);
  await page.getByRole("button", { name: "Where would a depth help?" }).click();
  await expect(page.getByRole("button", { name: "Enter depth C" })).toBeVisible();
  const guessed = await known();
  await page.getByRole("button", { name: "Enter depth A" }).click();
  const entry = page.getByRole("dialog");
  await entry.getByLabel("Depth", { exact: true }).fill("0.8 m");
  await nextTap(page);
  await entry.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Depth added to the drawing, and the bed updated.", { exact: true })).toBeVisible();
  await settled(page);
  await expect(page.getByRole("button", { name: "Enter depth C" })).toBeVisible();
  await expect.poll(known).toBeLessThan(guessed);
  // The next reach begins on blank paper.
  await page.goto("/reach/draw");
  await expect(page.getByText("Nothing yet. Begin with the banks.")).toBeVisible();
  await page.getByRole("link", { name: "Back to Reach" }).click();
  await settled(page);
  // The drawing can be changed, and the reach is laid anew.
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await page.getByRole("link", { name: "Change the drawing" }).click();
  await page.getByRole("button", { name: /^Depth 3, 0\.80 m/ }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(page.getByText("2 depths used.")).toBeVisible();
  await page.getByRole("button", { name: "Update the reach" }).click();
  await page.waitForURL("**/reach");
  await expect(page.getByText("Half a bend updated.", { exact: true })).toBeVisible();
});

test("drawn by finger on a phone; what was drawn survives a killed page; undo and redo", async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  await openDemoPicture(page, true);
  await drawBanks(page, true);
  await expect(page.getByText(/long, .* wide, .* deep on average/)).toBeVisible();
  await page.goto("about:blank");
  await page.goto("/reach/draw");
  await expect(page.getByRole("button", { name: "Right bank" }).nth(1)).toBeVisible();
  await expect(page.getByText(/long, .* wide, .* deep on average/)).toBeVisible();
  await tool(page, "Stone");
  await tap(page, demoAerialPlace(0.5, 0.5), true);
  await expect(page.getByRole("button", { name: "Stone 1", exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: "Stone 1", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(page.getByRole("button", { name: "Stone 1", exact: true }).first()).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await context.close();
});

test("drawn by keys alone: a middle line with a width, and a depth by the wader's knee", async ({ page }) => {
  await page.goto("/reach/draw");
  const press = async (name: string) => {
    await page.getByRole("button", { name, exact: true }).first().focus();
    await page.keyboard.press("Enter");
  };
  const sheet = page.getByRole("group", { name: /^The drawing/ });
  const go = async (keys: readonly string[]) => {
    await sheet.focus();
    for (const key of keys) await page.keyboard.press(key);
  };
  const far = (key: string, times: number) => Array.from({ length: times }, () => `Shift+${key}`);
  await press("Set point A");
  await go([...far("ArrowLeft", 5), "Enter", ...far("ArrowRight", 10), "Enter"]);
  await page.getByLabel("Distance from A to B").fill("100 m");
  await page.keyboard.press("Enter");
  await press("Middle line");
  await go([
    ...far("ArrowLeft", 6),
    "Enter",
    ...far("ArrowRight", 6),
    "Enter",
    ...far("ArrowRight", 6),
    "Enter",
    "Escape",
  ]);
  await press("Width");
  await go(["Shift+ArrowUp", "Enter", "Shift+ArrowDown", "Shift+ArrowDown", "Enter", "Escape"]);
  await press("Depth");
  await go(["Enter"]);
  await page.getByLabel("Depth", { exact: true }).fill("knee");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Depth 1, 0.50 m" })).toBeVisible();
  await page.getByLabel("Flow that day").fill("4");
  await page.keyboard.press("Enter");
  await page.getByLabel(/^Gradient/).fill("3");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/1 depth used\./)).toBeVisible();
  // A point is moved by keys too.
  const depth = page.getByRole("button", { name: "Depth 1; arrow keys move it" });
  await depth.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText(/1 depth used\./)).toBeVisible();
});

/** The head of a PNG that claims so many pixels and has none. */
function pngOf(wide: number, high: number): Buffer {
  const head = Buffer.alloc(33);
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13]).copy(head);
  head.write("IHDR", 12, "ascii");
  head.writeUInt32BE(wide, 16);
  head.writeUInt32BE(high, 20);
  head.set([8, 2, 0, 0, 0], 24);
  return head;
}

test("a bomb, a cut picture, a mislabelled file and a strange drawing are told, and nothing is lost", async ({
  page,
}) => {
  await openDemoPicture(page);
  await tool(page, "Stone");
  await tap(page, [500, 300]);
  const files = page.getByLabel(/^Picture from above/);
  for (const [name, content, told] of [
    ["bomb.png", pngOf(100_000, 100_000), "The picture is larger than 1 GB or 150 million pixels."],
    ["cut.png", pngOf(800, 600), "The picture is damaged or cut short."],
    ["notes.jpg", Buffer.from("these are notes"), "The browser can’t open this file as a picture."],
    ["cut.tif", Buffer.from([0x49, 0x49, 42, 0, 8, 0, 0, 0, 9]), "This isn’t a TIFF that can be read."],
    ["x.geojson", Buffer.from('{"type":"FeatureCollection","features":[]}'), "The file has nothing drawn in it."],
  ] as const) {
    await files.setInputFiles({ name, mimeType: "application/octet-stream", buffer: content });
    await expect(page.getByRole("alert").filter({ hasText: told }), name).toBeVisible();
  }
  await expect(page.getByRole("button", { name: "Stone 1", exact: true }).first()).toBeVisible();
  await expect(page.getByText(/^The picture is 200\.\d m wide/)).toBeVisible();
});

test("banks walked: a GPX file with jumps, then a depth with the phone's own position", async ({ browser }) => {
  const context = await browser.newContext({ permissions: ["geolocation"], viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto("/reach/draw");
  const { left, right } = demoAerialBanks(40);
  const point = (name: string, at: Place) => {
    const { longitude, latitude } = onEarth(at);
    return `<${name} lat="${latitude.toFixed(7)}" lon="${longitude.toFixed(7)}">`;
  };
  const track = (name: string, bank: readonly Place[]) =>
    `<trk><name>${name}</name><trkseg>${bank.map((at, k) => `${point("trkpt", k === 20 ? [at[0] + 4000, at[1]] : at)}</trkpt>`).join("")}</trkseg></trk>`;
  const places = `${point("wpt", demoAerialPlace(0.5, 0.5))}<name>thigh</name></wpt>${point("wpt", [10, 10])}<name>car park</name></wpt>`;
  await page.getByLabel("Track of a walk (GPX or GeoJSON)").setInputFiles({
    name: "walk.gpx",
    mimeType: "application/gpx+xml",
    buffer: Buffer.from(`<gpx version="1.1">${places}${track("left", left)}${track("right", right)}</gpx>`),
  });
  await expect(page.getByText("1 jump left out").first()).toBeVisible();
  await expect(page.getByRole("combobox", { name: "left" })).toContainText("Left bank");
  await page.getByRole("button", { name: "Put on the drawing" }).click();
  await expect(page.getByText("3 things drawn. 1 place left out")).toBeVisible();
  await page.getByLabel("Flow that day").fill("3.2");
  await page.keyboard.press("Enter");
  await page.getByLabel(/^Gradient/).fill("3");
  await page.keyboard.press("Enter");
  await expect(page.getByText("1 depth used.")).toBeVisible();
  await expect(page.getByText("Its place on the map is known.")).toBeVisible();
  // The phone's own position, with its accuracy, only when asked.
  await context.setGeolocation({ ...onEarth(demoAerialPlace(0.3, 0.4)), accuracy: 4 });
  await page.getByRole("button", { name: "Start walking" }).click();
  await expect(page.getByText(/accurate to 4\.0 m/)).toBeVisible();
  await page.getByLabel("Depth here").fill("knee");
  await page.getByRole("button", { name: "Mark depth" }).click();
  await nextTap(page);
  await page.getByRole("button", { name: "Stop and draw it" }).click();
  await expect(page.getByText("2 depths used.")).toBeVisible();
  // Out as GeoJSON, and in again.
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as GeoJSON" }).click();
  const path = await (await saved).path();
  await page.getByLabel(/^Picture from above/).setInputFiles({
    name: "reach.geojson",
    mimeType: "application/geo+json",
    buffer: readFileSync(path),
  });
  await expect(page.getByText("2 depths used.")).toBeVisible();
  // On the plan, on request: where the phone is, and the way to the lie.
  await page.getByRole("button", { name: "Add this reach" }).click();
  await page.waitForURL("**/reach");
  await settled(page);
  await page.getByRole("button", { name: "Where am I?" }).click();
  await expect(page.getByText(/(You’re on lie \d|Lie \d: .* (down|up)stream).*Accurate to 4\.0 m\./)).toBeVisible();
  await context.setGeolocation({ latitude: 52.5, longitude: -1, accuracy: 8 });
  await expect(page.getByText(/^You’re .* from this reach\. Accurate to 8\.0 m\./)).toBeVisible();
  await page.getByRole("button", { name: "hide my place" }).click();
  await expect(page.getByRole("button", { name: "Where am I?" })).toBeVisible();
  // A fish takes its place from the phone where that is wanted.
  await context.setGeolocation({ ...onEarth(demoAerialPlace(0.6, 0.5)), accuracy: 5 });
  await beginSession(page);
  await landFish(page);
  await page.getByRole("button", { name: "Caught where I stand" }).click();
  await expect(page.getByText(/^You’re .* down the reach, .*\. Accurate to 5\.0 m\./)).toBeVisible();
  await nextTap(page);
  await page.getByRole("button", { name: "Use this place" }).click();
  await expect(page.getByText("The fish’s place is set.", { exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "Caught where I stand" })).toBeVisible();
  await context.close();
});

test("ground heights are opened: the river is found in them, its gradient with it, and a bed laid under its surface", async ({
  page,
}) => {
  await page.goto("/reach/draw");
  const { grid } = madeHeights(4);
  const { nx, ny, cell, z } = grid;
  const rows = Array.from({ length: ny }, (_, j) =>
    Array.from(z.subarray(j * nx, (j + 1) * nx), (one) => one.toFixed(3)).join(" "),
  );
  const head = `ncols ${nx}\nnrows ${ny}\nxllcorner 500000\nyllcorner 5761000\ncellsize ${cell}\nNODATA_value -9999\n`;
  const files = page.getByLabel(/^Picture from above/);
  await files.setInputFiles({
    name: "ground.asc",
    mimeType: "text/plain",
    buffer: Buffer.from(head + rows.join("\n")),
  });
  await expect(page.getByText(/They show the water’s surface, not the bed/)).toBeVisible();
  await expect(page.getByLabel(/^Gradient/)).toHaveValue(/^(1\.9|2\.0)/);
  await page.getByLabel("Flow that day").fill("4.5");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/long, 1\d\.\d m wide/)).toBeVisible();
  // Cut short, it is told, and what was found stays.
  await files.setInputFiles({ name: "cut.asc", mimeType: "text/plain", buffer: Buffer.from(`${head}1 2 3`) });
  await expect(page.getByRole("alert").filter({ hasText: "This isn’t a grid of heights" })).toBeVisible();
  await expect(page.getByText(/long, 1\d\.\d m wide/)).toBeVisible();
});
