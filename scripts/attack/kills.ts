/**
 * `npm run attack -- --kills N`: a real browser is killed outright, N times, at random moments of a day on the bank.
 * Everything that was acknowledged is counted; after each kill the same book is opened again, and must hold it all.
 */
import { execFileSync, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, chromium, type Locator, type Page } from "playwright-core";
import type { Random } from "./mutate";
import { chromiumPath } from "../chromium.mjs";

const PORT = 3986;
const BASE = `http://localhost:${PORT}`;
/** Most that is waited for one thing of the page, ms. */
const PATIENCE = 30_000;

interface Held {
  /** Casts, fish, their lengths in mm, and bites of the running session. */
  casts: number;
  fish: number;
  lengths: number[];
  bites: number;
  /** Records that lack what every one has, or that belong together and are not both there. */
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
          const names = ["catches", "sessions", "stretches", "observations"];
          const reading = opening.result.transaction(names);
          const all = Object.fromEntries(
            names.map((name) => [name, reading.objectStore(name).getAll() as IDBRequest<Record<string, unknown>[]>]),
          );
          reading.onerror = () => reject(new Error("the book cannot be read"));
          reading.oncomplete = () => {
            opening.result.close();
            const alive = (name: string) => all[name]!.result.filter((one) => one.deleted !== true);
            const session = alive("sessions").find((one) => one.end === null);
            const own = (name: string) => alive(name).filter((one) => one.session === session?.id);
            const stretches = own("stretches");
            const open = stretches.filter((one) => one.end === null);
            const fish = own("catches");
            // A fish that is on, or one that was landed just now, has closed its stretch; otherwise one rod fishes.
            const stands = session !== undefined && (session.on !== undefined || session.paused !== undefined);
            const wrong = [
              ...fish.filter((one) => !stretches.some((other) => other.id === one.stretch)),
              ...open.slice(stands ? 0 : 1),
              ...(session !== undefined && !stands && open.length === 0 ? [session] : []),
              ...[...fish, ...own("observations")].filter((one) => typeof one.at !== "string"),
            ];
            resolve({
              casts: stretches
                .flatMap((one) => one.casts as { count: number }[])
                .reduce((sum, { count }) => sum + count, 0),
              fish: fish.length,
              lengths: fish.flatMap((one) => (typeof one.length === "number" ? Math.round(one.length * 1000) : [])),
              bites: own("observations").filter((one) => one.kind === "bite").length,
              broken: wrong.length,
            });
          };
        };
      }),
  );

async function openBrowser(folder: string): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: chromiumPath(),
    args: ["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking"],
  });
  // What runs in the page is compiled with names kept by a helper that is not there.
  await context.addInitScript("globalThis.__name ??= (made) => made;");
  const page = context.pages()[0] ?? (await context.newPage());
  page.setDefaultTimeout(PATIENCE);
  return { context, page };
}

/** Goes on from wherever the page was left: a fish that is on is landed, one that was landed is let go. */
async function toCasting(page: Page): Promise<void> {
  const cast = page.getByRole("button", { name: "Cast", exact: true });
  const landed = page.getByRole("button", { name: "Landed", exact: true });
  const released = page.getByRole("button", { name: "Released, repeat the cast" });
  await cast.or(landed).or(released).first().waitFor();
  if (await landed.isVisible()) await press(landed);
  await cast.or(released).first().waitFor();
  if (await released.isVisible()) await press(released);
  await cast.waitFor();
}

/** A press within half a second on what has just come up is not taken. */
async function press(button: Locator): Promise<void> {
  await button.page().waitForTimeout(550);
  await button.click();
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
    let sure: Held = { casts: 0, fish: 0, lengths: [], bites: 0, broken: 0 };
    for (let k = 0; k < times; k++) {
      const { page } = await openBrowser(folder);
      await page.goto(`${BASE}/session`);
      if (k === 0) await begin(page);
      const found = await inBook(page);
      const short =
        Math.max(0, sure.casts - found.casts) +
        Math.max(0, sure.fish - found.fish) +
        Math.max(0, sure.bites - found.bites) +
        sure.lengths.filter((one) => !found.lengths.includes(one)).length;
      if (short > 0 || found.broken > 0)
        process.stdout.write(`kill ${k}: ${short} lost, ${found.broken} broken: ${JSON.stringify({ sure, found })}\n`);
      sum.lost += short;
      sum.broken += found.broken;
      await toCasting(page);
      // What was on its way may have come through as well.
      sure = await inBook(page);
      const dying = new Promise<void>((resolve) => setTimeout(resolve, 800 + random() * 6000)).then(() => {
        execFileSync("pkill", ["-9", "-f", `user-data-dir=${folder}`]);
        sum.kills++;
      });
      const done = (change: Partial<Held>) => {
        sure = { ...sure, ...change };
        sum.acknowledged++;
      };
      for (let n = 0, alive = true; alive; n++) {
        try {
          await page.getByRole("button", { name: "Cast", exact: true }).click();
          await page.getByText(`cast ${sure.casts + 1}, `).waitFor();
          done({ casts: sure.casts + 1 });
          await page.getByRole("button", { name: "Bite", exact: true }).click();
          await page.getByText("bite, missed").waitFor();
          done({ bites: sure.bites + 1 });
          await page.getByRole("button", { name: "Fish on", exact: true }).click();
          await press(page.getByRole("button", { name: "Landed", exact: true }));
          await page.getByRole("region", { name: "The fish", exact: true }).waitFor();
          done({ fish: sure.fish + 1 });
          const length = 100 + 10 * k + n;
          await page.getByLabel(/^Length/).fill(`${length} mm`);
          await page.getByLabel(/^Length/).press("Enter");
          await page.getByRole("heading", { name: new RegExp(`, ${Math.floor(length / 10)}`) }).waitFor();
          done({ lengths: [...sure.lengths, length] });
          await press(page.getByRole("button", { name: "Released, repeat the cast" }));
          await page.getByRole("button", { name: "Cast", exact: true }).waitFor();
        } catch {
          alive = false;
        }
      }
      await dying;
      process.stdout.write(`kill ${k + 1} of ${times}: ${sum.acknowledged} acknowledged so far\n`);
    }
    return sum;
  } finally {
    process.kill(-server.pid!, "SIGKILL");
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A demo river to log on, with a session running. */
async function begin(page: Page): Promise<void> {
  await page.goto(BASE);
  await page.getByRole("button", { name: "Load the demo river" }).click();
  await page.getByRole("heading", { name: "Ostrel at Corbel Bridge" }).waitFor();
  await page.goto(`${BASE}/session`);
  await page.getByRole("button", { name: "Start a session" }).click();
  await page.getByRole("button", { name: "Fish on" }).waitFor();
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
