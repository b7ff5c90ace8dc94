import { expect, type Page, test } from "@playwright/test";
import { loadDemo, settled, walk } from "./steps";

/** On the bank: fingers, small and large screens, what is heard, colours that the browser sets, paper. */

const STATIONS = ["Water", "Reach", "Rig", "Log", "Learn"] as const;

async function open(page: Page, station: (typeof STATIONS)[number]): Promise<void> {
  await walk(page, station);
  await expect(page.locator("#station h1").first()).toBeAttached({ timeout: 60_000 });
  if (station === "Reach") await settled(page);
  if (station === "Rig") await expect(page.getByTestId("setting")).toBeVisible({ timeout: 120_000 });
}

/** Runs off the side, px. */
const overflow = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** Text smaller than 14 px and targets smaller than 44 px; links within a sentence are let be (WCAG 2.2, 2.5.8). */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const seen = (element: Element) => {
      const { width, height } = element.getBoundingClientRect();
      return width > 1 && height > 1 && element.checkVisibility({ visibilityProperty: true, opacityProperty: true });
    };
    const faults: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement!;
      if (
        !node.textContent?.trim() ||
        !seen(parent) ||
        parent.closest("sup, .sr-only, script, style, [aria-hidden=true] svg")
      )
        continue;
      if (parseFloat(getComputedStyle(parent).fontSize) < 14 && !parent.closest("svg"))
        faults.push(`text “${node.textContent.trim().slice(0, 30)}”`);
    }
    for (const element of document.querySelectorAll("button, a[href], input, select, summary, [role=combobox]")) {
      if (!seen(element) || element.closest(".sr-only, p a") || element.classList.contains("sr-only")) continue;
      const { height, width } = element.getBoundingClientRect();
      const label = element.closest("label")?.getBoundingClientRect();
      if (Math.max(height, label?.height ?? 0) >= 43.5 && Math.max(width, label?.width ?? 0) >= 43.5) continue;
      if (element.classList.contains("tap")) continue;
      faults.push(
        `target “${(element.getAttribute("aria-label") ?? element.textContent ?? "").slice(0, 30)}” ${Math.round(width)} x ${Math.round(height)}`,
      );
    }
    return faults;
  });

test("by finger: a stone is dragged on the plan, and a scroll that begins on the slider moves the page, not the flow", async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  await loadDemo(page, "/reach");
  await settled(page);
  const touch = await context.newCDPSession(page);
  const swipe = async (x: number, y: number, dx: number, dy: number) => {
    await touch.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: [{ x, y }] });
    for (let k = 1; k <= 10; k++)
      await touch.send("Input.dispatchTouchEvent", {
        type: "touchMove",
        touchPoints: [{ x: x + (dx * k) / 10, y: y + (dy * k) / 10 }],
      });
    await touch.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
  };
  const slider = page.getByRole("slider", { name: "Flow shown" });
  await slider.scrollIntoViewIfNeeded();
  const flow = await slider.getAttribute("aria-valuetext");
  // The page may still be growing: what is below the plan comes after it.
  await expect(async () => {
    const [thumb, top] = [(await slider.boundingBox())!, await page.evaluate(() => scrollY)];
    await swipe(thumb.x + 90, thumb.y + thumb.height / 2, 0, -120);
    await expect.poll(() => page.evaluate(() => scrollY), { timeout: 2000 }).toBeGreaterThan(top);
  }).toPass();
  expect(await slider.getAttribute("aria-valuetext")).toBe(flow);
  // The thumb itself does move it.
  await slider.scrollIntoViewIfNeeded();
  const held = (await slider.boundingBox())!;
  await swipe(held.x + held.width / 2, held.y + held.height / 2, 60, 0);
  await expect(slider).not.toHaveAttribute("aria-valuetext", flow!);

  await page.getByRole("button", { name: "View options" }).click();
  await page.getByRole("button", { name: "Edit the bed" }).click();
  await page.keyboard.press("Escape");
  const stone = page.getByRole("button", { name: /^flat stone, .*arrow keys move it/ });
  // The flow is still being solved, and lies change: the plan stays where it is, or the stone would slip away.
  await stone.scrollIntoViewIfNeeded();
  await expect(stone).toHaveAccessibleName(/^flat stone, 69\.0 m down the reach/);
  const before = (await stone.boundingBox())!;
  await swipe(before.x + before.width / 2, before.y + before.height / 2, 40, 24);
  // Where it was let go, kept or not yet: 38 px of 6 a metre after the first 2 that make it a drag.
  await expect(stone).toHaveAccessibleName(/^flat stone, 75\.3 m down the reach/);
  await context.close();
});

const WIDTHS = [
  [390, 844],
  [320, 640],
] as const;

test("at 390 and 320 px nothing runs off the side, nothing is too small to read or to press, one row stands before the plan", async ({
  page,
}) => {
  await page.setViewportSize({ width: WIDTHS[0][0], height: WIDTHS[0][1] });
  await loadDemo(page);
  for (const station of STATIONS) {
    await open(page, station);
    for (const [width, height] of WIDTHS) {
      await page.setViewportSize({ width, height });
      await expect.poll(() => overflow(page), { message: `${station} at ${width}` }).toBeLessThanOrEqual(0);
      expect(await tooSmall(page), `${station} at ${width}`).toEqual([]);
      // Twice as large letters, as a reader may set them.
      const large = await page.addStyleTag({ content: "html { font-size: 200% !important; }" });
      await expect.poll(() => overflow(page), { message: `${station} at ${width}, 200 %` }).toBeLessThanOrEqual(0);
      await large.evaluate((element) => (element as Element).remove());
    }
  }
  await open(page, "Reach");
  for (const [width, height] of WIDTHS) {
    await page.setViewportSize({ width, height });
    await rowBeforeThePlan(page);
  }
});

/** Reach and fish stand in one row, and what has the focus is under neither the strip nor the stations. */
async function rowBeforeThePlan(page: Page): Promise<void> {
  const row = ["Reach", "Fish"].map((name) => page.getByRole("combobox", { name, exact: true }));
  const tops = await Promise.all(
    [...row, page.getByRole("button", { name: "View options" })].map(async (one) => (await one.boundingBox())!.y),
  );
  for (const top of tops) expect(Math.abs(top - tops[0]!)).toBeLessThan(2);
  // What has the focus is under neither the strip nor the stations.
  const [strip, stations] = [
    (await page.getByRole("banner").boundingBox())!,
    (await page.getByRole("navigation", { name: "Stations" }).boundingBox())!,
  ];
  await page.locator("#station").focus();
  for (let press = 0; press < 30; press++) {
    await page.keyboard.press("Tab");
    const box = await page.evaluate(() => {
      const on = document.activeElement;
      if (!on?.closest("#station") || on.getAttribute("role") === "group") return undefined;
      const { top, bottom } = on.getBoundingClientRect();
      return { top, bottom };
    });
    if (!box) continue;
    expect(box.bottom).toBeLessThanOrEqual(stations.y + 1);
    expect(box.top).toBeGreaterThanOrEqual(strip.y + strip.height - 1);
  }
}

test("held sideways: the plan, the slider and the verdict stand together", async ({ page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await loadDemo(page, "/reach");
  await settled(page);
  await page
    .getByRole("group", { name: /^The reach from above/ })
    .evaluate((element) => element.scrollIntoView({ block: "start" }));
  const plan = (await page.getByRole("group", { name: /^The reach from above/ }).boundingBox())!;
  const slider = (await page.getByRole("slider", { name: "Flow shown" }).boundingBox())!;
  const verdict = (await page.getByText(/^Steady/).boundingBox())!;
  const top = plan.y;
  expect(slider.y + slider.height - top).toBeLessThanOrEqual(390);
  expect(verdict.y + verdict.height - top).toBeLessThanOrEqual(390);
});

test("what is heard: headings before controls, the strip says flow, trend and clarity, lies have their number everywhere", async ({
  page,
}) => {
  await loadDemo(page);
  for (const station of STATIONS) {
    await open(page, station);
    const first = await page.evaluate(() => {
      const main = document.getElementById("station")!;
      const [heading, control] = [main.querySelector("h1"), main.querySelector("button, a, input, [role=combobox]")];
      return heading && control ? heading.compareDocumentPosition(control) & Node.DOCUMENT_POSITION_FOLLOWING : 0;
    });
    expect(first, station).toBeTruthy();
  }
  await expect(page.getByRole("banner").getByRole("link")).toHaveAccessibleName(
    /^Kiln Glide: 6\.7 m³\/s, falling 42 h; green, visible to the \w+; demo river\. Opens Water\.$/,
  );
  await open(page, "Reach");
  const list = page.getByRole("list", { name: "Lies in order of rank" }).getByRole("button");
  await expect(list.first()).toHaveAccessibleName(/^Lie 1: /);
  await expect(page.getByRole("heading", { name: /^Why lie 1: / })).toBeVisible();
  // On the plan they follow each other from the first.
  const marks = page.locator("svg [role=button][aria-label^='Lie ']");
  const names = await marks.evaluateAll((all) =>
    all.map((one) => Number(/^Lie (\d+)/.exec(one.getAttribute("aria-label")!)![1])),
  );
  expect(names).toEqual([...names].sort((a, b) => a - b));
  expect(names).toHaveLength(await list.count());
});

test("colours that the browser sets keep slider, band, pressed state and progress", async ({ page }) => {
  await page.emulateMedia({ forcedColors: "active" });
  await loadDemo(page, "/reach");
  await settled(page);
  const background = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  await page.getByRole("button", { name: "Depths" }).click();
  const [pressed, plain] = [
    await background("[aria-pressed=true]"),
    await page
      .getByRole("button", { name: "Structure" })
      .evaluate((element) => getComputedStyle(element).backgroundColor),
  ];
  expect(pressed).not.toBe(plain);
  const page_ = await background("body");
  for (const part of ["thumb", "track", "band"]) expect(await background(`[data-slid=${part}]`)).not.toBe(page_);
});

test("on paper: ink on white without bars, the rig card on one page", async ({ page }) => {
  await loadDemo(page, "/rig");
  await expect(page.getByTestId("setting")).toBeVisible({ timeout: 120_000 });
  // A4 less 12 mm about, at 96 px an inch (CSS).
  await page.setViewportSize({ width: 703, height: 1032 });
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("navigation", { name: "Stations" })).toBeHidden();
  await expect(page.getByRole("banner")).toBeHidden();
  const [ground, ink] = await page.evaluate(() => {
    const { backgroundColor, color } = getComputedStyle(document.body);
    return [backgroundColor, color];
  });
  expect([ground, ink]).toEqual(["rgb(255, 255, 255)", "rgb(0, 0, 0)"]);
  const height = await page.evaluate(() => document.getElementById("station")!.scrollHeight);
  expect(height).toBeLessThanOrEqual(1032);
});
