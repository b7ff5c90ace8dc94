import { defineConfig } from "@playwright/test";
import { chromiumPath } from "./scripts/chromium.mjs";

const port = 3987;

/**
 * The real interface in Debian's Chromium, against a production server. Three workers for two cores: many tests
 * wait for the page, not for a field.
 */
export default defineConfig({
  testDir: "e2e",
  workers: 3,
  fullyParallel: true,
  timeout: 150_000,
  expect: { timeout: 20_000 },
  reporter: "list",
  projects: [
    { name: "setup", testMatch: /demo\.setup\.ts/ },
    { name: "chromium", dependencies: ["setup"] },
  ],
  use: {
    baseURL: `http://localhost:${port}`,
    locale: "en-GB",
    viewport: { width: 1280, height: 800 },
    reducedMotion: "reduce",
    // Each page would keep the whole application first; offline.spec.ts lets it.
    serviceWorkers: "block",
    // Half of what a page with the made-up river works out it works out ahead; reach.spec.ts lets it.
    storageState: {
      cookies: [],
      origins: [
        {
          origin: `http://localhost:${port}`,
          localStorage: [
            { name: "low-heron-settings", value: JSON.stringify({ state: { ahead: "none" }, version: 0 }) },
          ],
        },
      ],
    },
    launchOptions: {
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
    },
  },
  // Next ends idle connections after 5 s; a test that waits as long would ask through one that is just being ended.
  webServer: {
    command: `npx next start -p ${port} --keepAliveTimeout 75000`,
    port,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
