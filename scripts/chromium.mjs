import { existsSync } from "node:fs";

/**
 * Debian's Chromium without a window: its headless shell, the same engine at two thirds of the processor, or the whole
 * browser where that is there and the shell is not.
 */
const SHELL = "/usr/bin/chromium-headless-shell";
const WHOLE = "/usr/bin/chromium";

export const chromiumPath = () => (existsSync(SHELL) ? SHELL : WHOLE);
export const isChromiumThere = () => existsSync(SHELL) || existsSync(WHOLE);
