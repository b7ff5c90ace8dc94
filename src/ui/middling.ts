/** What is taken where the gauge does not say: m, degC, m3/s. */
export const MIDDLING = { visibleDepth: 1, temperature: 12, flow: 5 };
