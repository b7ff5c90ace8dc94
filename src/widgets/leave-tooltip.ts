import type { Chart, Plugin } from "chart.js";

/** A chart's tooltip goes when the chart is left: by the pointer, by a finger elsewhere, by scrolling away. */
export const leaveTooltip: Plugin = {
  id: "leave-tooltip",
  start(chart) {
    const away = (event: Event) => {
      if (event.type === "scroll" || !(event.target instanceof Node) || !chart.canvas?.contains(event.target))
        forget(chart);
    };
    for (const name of LEAVING) window.addEventListener(name, away, { capture: true, passive: true });
    listeners.set(chart, away);
  },
  stop(chart) {
    const away = listeners.get(chart);
    if (away) for (const name of LEAVING) window.removeEventListener(name, away, true);
    listeners.delete(chart);
  },
};

const LEAVING = ["pointerdown", "pointermove", "scroll"] as const;
const listeners = new WeakMap<Chart, (event: Event) => void>();

function forget(chart: Chart): void {
  const { tooltip } = chart;
  if (!tooltip || tooltip.getActiveElements().length === 0) return;
  chart.setActiveElements([]);
  tooltip.setActiveElements([], { x: 0, y: 0 });
  chart.update("none");
}
