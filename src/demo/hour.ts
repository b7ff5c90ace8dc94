/** The demo's own hour: the afternoon of the second day of a falling flood, colour going out (standins/gauge.ts). */
export const DEMO_HOUR = Date.UTC(2026, 4, 14, 14, 40);
