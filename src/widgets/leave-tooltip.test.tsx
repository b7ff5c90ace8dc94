/** @jest-environment jsdom */
import type { Chart } from "chart.js";
import { leaveTooltip } from "./leave-tooltip";

/** A chart with its tooltip open, as far as the plugin asks. */
function chartWithTooltip() {
  const canvas = document.body.appendChild(document.createElement("canvas"));
  let active: unknown[] = [{}];
  const chart = {
    canvas,
    tooltip: { getActiveElements: () => active, setActiveElements: (next: unknown[]) => (active = next) },
    setActiveElements: () => undefined,
    update: () => undefined,
  } as unknown as Chart;
  leaveTooltip.start!(chart, {} as never, {});
  return { chart, canvas, open: () => active.length > 0 };
}

test("the tooltip goes by a press elsewhere or by scrolling, not by a press on its own chart", () => {
  const { chart, canvas, open } = chartWithTooltip();
  canvas.dispatchEvent(new Event("pointerdown", { bubbles: true }));
  expect(open()).toBe(true);
  document.body.dispatchEvent(new Event("pointerdown", { bubbles: true }));
  expect(open()).toBe(false);
  leaveTooltip.stop!(chart, {} as never, {});

  const scrolled = chartWithTooltip();
  window.dispatchEvent(new Event("scroll"));
  expect(scrolled.open()).toBe(false);
  leaveTooltip.stop!(scrolled.chart, {} as never, {});

  const stopped = chartWithTooltip();
  leaveTooltip.stop!(stopped.chart, {} as never, {});
  document.body.dispatchEvent(new Event("pointerdown", { bubbles: true }));
  expect(stopped.open()).toBe(true);
});
