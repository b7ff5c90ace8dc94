/**
 * Takes the pictures of docs/screenshots (or, with --out DIR, throwaway ones) from the demo river of a running
 * application.
 */
import { chromium } from "@playwright/test";
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { root } from "./ensure.mjs";
import { chromiumPath } from "./chromium.mjs";

const args = process.argv.slice(2);
const option = (name, fallback) => (args.includes(name) ? args[args.indexOf(name) + 1] : fallback);
const base = option("--url", "http://localhost:3000");
const out = option("--out", join(root, "docs", "screenshots"));
const only = option("--only", "");
mkdirSync(out, { recursive: true });

export const launch = {
  executablePath: chromiumPath(),
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
const sizes = { desk: { width: 1280, height: 800 }, bank: { width: 390, height: 844 } };

async function settled(page) {
  // The Reach and Rig stations show when the finest grid is done.
  await page.getByText(/^Steady|^Not steady/).waitFor({ timeout: 180_000 });
  // How sure each lie is comes after it.
  await page
    .getByText(/holds in/)
    .first()
    .waitFor({ timeout: 60_000 })
    .catch(() => undefined);
  await page.waitForTimeout(1000);
}

/** What is tapped on the demo picture, px, and depths there, m (src/demo/aerial.ts has the true ones). */
const DRAWN = {
  banks: {
    "Left bank": [
      [11, 278],
      [96, 255],
      [179, 285],
      [243, 326],
      [294, 359],
      [343, 374],
      [394, 346],
      [443, 296],
      [524, 263],
      [609, 270],
      [684, 307],
      [732, 352],
      [783, 375],
      [832, 355],
      [883, 315],
      [952, 277],
    ],
    "Right bank": [
      [49, 342],
      [96, 323],
      [151, 332],
      [197, 378],
      [266, 426],
      [353, 429],
      [432, 396],
      [490, 355],
      [537, 322],
      [589, 324],
      [636, 364],
      [697, 407],
      [781, 430],
      [867, 417],
      [930, 369],
      [975, 327],
    ],
  },
  depths: [
    [68, 280, 0.47],
    [152, 313, 0.85],
    [236, 349, 0.39],
    [304, 412, 0.52],
    [385, 377, 0.93],
    [469, 341, 0.42],
    [536, 281, 0.54],
    [618, 319, 0.86],
    [701, 353, 0.39],
    [771, 412, 0.48],
    [851, 370, 0.78],
    [933, 335, 0.37],
  ],
};

const views = [
  {
    name: "today",
    path: "/today",
    sizes: ["desk", "bank"],
    ready: async (page) => {
      await page.getByTestId("windows").waitFor({ timeout: 60_000 });
      await page.getByText("are still being worked out").waitFor({ state: "detached", timeout: 120_000 });
      await page.waitForTimeout(800);
    },
  },
  {
    name: "drill",
    path: "/learn",
    sizes: ["desk"],
    ready: async (page) => {
      await page.getByRole("tab", { name: "Drills" }).click();
      await page.getByRole("button", { name: /^Try drill: A pool with/ }).click();
      const water = page.getByRole("application");
      await water.waitFor({ timeout: 60_000 });
      await page.waitForTimeout(1500);
      const { width, height } = await water.boundingBox();
      for (const [x, y] of [
        [0.5, 0.5],
        [0.6, 0.4],
        [0.72, 0.52],
        [0.4, 0.43],
      ]) {
        await water.click({ position: { x: width * x, y: height * y } });
        await page.waitForTimeout(600);
      }
      await page.getByRole("button", { name: "Check answer" }).click();
      await page.getByRole("button", { name: "Next drill", exact: true }).waitFor();
      await page.waitForTimeout(800);
    },
  },
  {
    name: "water",
    path: "/water",
    sizes: ["desk"],
    ready: (page) => page.getByRole("table", { name: /^Tested/ }).waitFor({ timeout: 60_000 }),
  },
  { name: "reach", path: "/reach", sizes: ["desk", "bank"], ready: settled },
  {
    name: "reach-shaping",
    path: "/reach",
    sizes: ["desk"],
    ready: async (page) => {
      await settled(page);
      await page.getByRole("button", { name: "Edit the bed" }).click();
      await page.getByRole("button", { name: "split stone", exact: true }).click();
      await page.waitForTimeout(500);
    },
  },
  {
    name: "soundings",
    path: "/reach",
    sizes: ["desk"],
    ready: async (page) => {
      await page.getByRole("button", { name: "Add a reach" }).click();
      await page.getByRole("button", { name: "From soundings" }).click();
      await page.getByRole("button", { name: /demo sounder log/ }).click();
      const make = page.getByRole("button", { name: "Add this reach" });
      await make.waitFor();
      await make.scrollIntoViewIfNeeded();
      await page.waitForTimeout(800);
    },
  },
  {
    name: "draw",
    path: "/reach/draw",
    sizes: ["desk"],
    ready: async (page) => {
      await page.getByRole("button", { name: "Try the demo picture" }).click();
      await page.getByLabel("Save the picture with the reach").waitFor();
      const sheet = page.getByRole("group", { name: /^The drawing/ }).locator("svg");
      const tap = async ([x, y]) => {
        const scale = (await sheet.boundingBox()).width / 1000;
        await sheet.click({ position: { x: x * scale, y: y * scale } });
      };
      const tool = (name) => page.getByRole("button", { name, exact: true }).first().click();
      await tool("Set point A");
      await tap([250, 500]);
      await tap([550, 500]);
      await page.getByLabel("Distance from A to B").fill("60 m");
      await page.keyboard.press("Enter");
      for (const [name, bank] of Object.entries(DRAWN.banks)) {
        await tool(name);
        for (const at of bank) await tap(at);
        await tool("Finish the line");
      }
      for (const [x, y, depth] of DRAWN.depths) {
        await tool("Depth");
        // A tap at once, where the page has scrolled under the finger, would be taken for a second one.
        await page.waitForTimeout(600);
        await tap([x, y]);
        await page.getByLabel("Depth", { exact: true }).fill(`${depth} m`);
        await page.keyboard.press("Enter");
      }
      await tool("Select and move");
      await page.getByText("12 depths used.").waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
      await page.waitForTimeout(1500);
    },
  },
  {
    name: "film",
    path: "/reach/film",
    sizes: ["desk"],
    ready: async (page) => {
      await page.getByRole("button", { name: "Try the demo film" }).click();
      await page.getByRole("button", { name: /^Point A/ }).waitFor();
      await page.waitForTimeout(800);
      await page.getByRole("button", { name: "Measure the film" }).click();
      await page.getByText(/^Surface speed at/).waitFor({ timeout: 90_000 });
      await page.evaluate(() => window.scrollTo(0, 180));
      await page.waitForTimeout(500);
    },
  },
  {
    name: "reach-lie",
    path: "/reach",
    sizes: ["desk"],
    ready: async (page) => {
      await settled(page);
      await page.getByText(/fish with a position held/).waitFor({ timeout: 180_000 });
      await page.getByRole("button", { name: "Structure" }).click();
      await page.evaluate(() => scrollTo(0, document.querySelector("h2").getBoundingClientRect().top - 90));
      await page.waitForTimeout(800);
    },
  },
  {
    name: "rig",
    path: "/rig",
    sizes: ["desk", "bank"],
    ready: async (page) => {
      await page.getByTestId("setting").waitFor({ timeout: 180_000 });
      await page.waitForTimeout(500);
    },
  },
  {
    name: "session",
    path: "/session",
    sizes: ["bank"],
    ready: async (page) => {
      const start = page.getByRole("button", { name: "Start a session" });
      await page.getByText("Full rig card").waitFor({ timeout: 180_000 });
      await start.click();
      await page.getByText(/^0 of \d+ minutes$/).waitFor({ timeout: 60_000 });
      for (let cast = 0; cast < 7; cast++) {
        await page.waitForTimeout(700);
        await page.getByRole("button", { name: "Cast", exact: true }).click();
      }
      await page.waitForTimeout(900);
      await page.evaluate(() => scrollTo(0, 95));
      await page.waitForTimeout(300);
    },
  },
  {
    name: "fish-on",
    path: "/session",
    sizes: ["bank"],
    ready: async (page) => {
      await page.getByText(/^\d+ of \d+ minutes$/).waitFor({ timeout: 180_000 });
      await page.getByRole("button", { name: "Fish on" }).click();
      await page
        .getByText("land it here")
        .or(page.getByText(/Land it where|No slack/))
        .first()
        .waitFor();
      await page.waitForTimeout(900);
    },
  },
  { name: "log", path: "/log", sizes: ["desk"] },
  {
    name: "learn",
    path: "/learn",
    sizes: ["desk", "bank"],
    ready: async (page) => {
      await page.getByText(/Best so far/).waitFor({ timeout: 60_000 });
      await page.waitForTimeout(800);
    },
  },
];

const browser = await chromium.launch(launch);
const context = await browser.newContext({
  viewport: sizes.desk,
  reducedMotion: "reduce",
  locale: "en-GB",
  timezoneId: "Europe/Dublin",
});
const page = await context.newPage();
const faults = [];
page.on("console", (message) => message.type() === "error" && faults.push(message.text()));
page.on("pageerror", (error) => faults.push(String(error)));
await page.goto(base);
const load = page.getByRole("button", { name: "Load the demo river" });
await Promise.race([load.waitFor(), page.waitForURL("**/water")]);
if (await load.isVisible()) {
  if (!only || only === "welcome") await page.screenshot({ path: join(out, "welcome-desk.png") });
  await load.click();
}
await page.waitForURL("**/water", { timeout: 60_000 });
for (const view of views) {
  if (only && !only.split(",").includes(view.name)) continue;
  for (const size of view.sizes) {
    await page.setViewportSize(sizes[size]);
    await page.goto(base + view.path);
    await page.waitForTimeout(1200);
    await view.ready?.(page);
    await page.screenshot({ path: join(out, `${view.name}-${size}.png`) });
  }
}
await browser.close();
process.stdout.write(faults.length ? `console errors:\n${faults.join("\n")}\n` : "no console errors\n");
