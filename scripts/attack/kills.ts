/**
 * `npm run attack -- --kills N`: a real browser is killed outright, N times, at random moments of a day on the Log with
 * everything that was acknowledged counted; after each kill the same book is opened again, and must hold it all.
 */
import { execFileSync, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, chromium, type Page } from "playwright-core";
import type { Random } from "./mutate";

const PORT = 3986;
const BASE = `http://localhost:${PORT}`;
/** Most that is waited for one thing of the page, ms. */
const PATIENCE = 30_000;

interface Held {
  /** Lures of the running session's fish, one for each. */
  lures: string[];
  /** Records that lack what every one has. */
  broken: number;
}

/** What the page's own store holds, read beside the application. */
const inBook = (page: Page): Promise<Held> =>
  page.evaluate(
    () =>
      new Promise<Held>((resolve, reject) => {
        const opening = indexedDB.open("low-heron");
        opening.onerror = () => reject(new Error("the book does not open"));
        opening.onsuccess = () => {
          const reading = opening.result.transaction(["catches", "sessions"]);
          const catches = reading.objectStore("catches").getAll() as IDBRequest<Record<string, unknown>[]>;
          const sessions = reading.objectStore("sessions").getAll() as IDBRequest<Record<string, unknown>[]>;
          reading.onerror = () => reject(new Error("the book cannot be read"));
          reading.oncomplete = () => {
            const running = sessions.result.find((one) => one.end === null)?.id;
            opening.result.close();
            resolve({
              lures: catches.result.filter((one) => one.session === running).map((one) => String(one.lure)),
              broken: catches.result.filter((one) => typeof one.at !== "string" || typeof one.lure !== "string").length,
            });
          };
        };
      }),
  );

async function openBrowser(folder: string): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking"],
  });
  const page = context.pages()[0] ?? (await context.newPage());
  page.setDefaultTimeout(PATIENCE);
  return { context, page };
}

/** Logs a fish; resolves when the page has acknowledged it. */
async function land(page: Page, number: number): Promise<void> {
  await page.getByRole("button", { name: "Fish landed" }).click();
  await page.getByRole("button", { name: "Say later" }).click();
  await page.getByText(`Fish ${number} is in the book`).first().waitFor();
}

/** Says of the fish with nothing said what it took, a name of its own; resolves when that is acknowledged. */
async function tell(page: Page, lure: string): Promise<void> {
  await page
    .getByRole("button", { name: /nothing more said yet/ })
    .first()
    .click();
  await page.getByLabel("Lure or bait").fill(lure);
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("dialog").waitFor({ state: "hidden" });
}

export interface Kills {
  kills: number;
  acknowledged: number;
  lost: number;
  broken: number;
}

/** @returns what was acknowledged, and what of it was lost; tells each loss as it comes */
export async function kill(times: number, random: Random): Promise<Kills> {
  const server = spawn("npx", ["next", "start", "-p", String(PORT)], { stdio: "ignore", detached: true });
  const folder = mkdtempSync(join(tmpdir(), "heron-kills-"));
  const sum: Kills = { kills: 0, acknowledged: 0, lost: 0, broken: 0 };
  try {
    await answering();
    const expected = new Set<string>();
    let fish = 0;
    for (let k = 0; k < times; k++) {
      const { page } = await openBrowser(folder);
      await page.goto(`${BASE}/log`);
      if (k === 0) await begin(page);
      const found = await inBook(page);
      const lost = [...expected].filter((lure) => !found.lures.includes(lure));
      const short = Math.max(0, fish - found.lures.length);
      if (lost.length > 0 || short > 0) process.stdout.write(`kill ${k}: ${short} fish lost; ${lost.join(", ")}\n`);
      sum.lost += lost.length + short;
      sum.broken += found.broken;
      lost.forEach((lure) => expected.delete(lure));
      // What was on its way may have come through as well.
      fish = found.lures.length;
      // Killed while the next is on its way: some before, some in the midst of it, some after.
      const dying = new Promise<void>((resolve) => setTimeout(resolve, 1000 + random() * 5000)).then(() => {
        execFileSync("pkill", ["-9", "-f", `user-data-dir=${folder}`]);
        sum.kills++;
      });
      for (let n = 0, alive = true; alive; n++) {
        const lure = `lure ${k}.${n}`;
        try {
          await land(page, fish + 1);
          fish++;
          sum.acknowledged++;
          await tell(page, lure);
          expected.add(lure);
          sum.acknowledged++;
        } catch {
          alive = false;
        }
      }
      await dying;
    }
    return sum;
  } finally {
    process.kill(-server.pid!, "SIGKILL");
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A made-up river to log on, with a session running. */
async function begin(page: Page): Promise<void> {
  await page.goto(BASE);
  await page.getByRole("button", { name: "Load the made-up river" }).click();
  await page.getByRole("heading", { name: "Ostrel at Corbel Bridge" }).waitFor();
  await page.goto(`${BASE}/log`);
  await page.getByRole("button", { name: "Start a session" }).click();
  await page.getByRole("button", { name: "Fish landed" }).waitFor();
}

async function answering(): Promise<void> {
  for (let tries = 0; tries < 60; tries++) {
    try {
      if ((await fetch(`${BASE}/water`)).ok) return;
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error("the application does not answer: build it first (npm run build)");
}
