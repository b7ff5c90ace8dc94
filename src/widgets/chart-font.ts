/** The application's own face for what is drawn on a canvas, at the size of small text. */
export const CHART_FONT = { family: "'body', 'body Fallback', system-ui, sans-serif", size: 13 };
