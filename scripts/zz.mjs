// node scripts/zz.mjs PATH WxH OUT [js-steps-file]
import { chromium } from "@playwright/test";
const [, , path, size, out, steps] = process.argv;
const [width, height] = size.split("x").map(Number);
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run"],
});
const touch = width < 500;
const page = await (
  await browser.newContext({
    viewport: { width, height },
    hasTouch: touch,
    locale: process.env.LOC ?? "en-GB",
    isMobile: touch,
    reducedMotion: "reduce",
  })
).newPage();
await page.goto("http://localhost:3990" + path);
await page.locator("#station h1, #station h2").first().waitFor({ timeout: 60000, state: "attached" });
if (path.startsWith("/reach") || path.startsWith("/rig"))
  await page
    .getByText(/^Settled|^Not settled/)
    .waitFor({ timeout: 180000 })
    .catch(() => 0);
await page.waitForTimeout(2500);
if (steps) await (await import(steps)).default(page);
await page.screenshot({ path: out, fullPage: process.env.FULL === "1" });
await browser.close();
