import { readFileSync } from "node:fs";
import { join } from "node:path";
import { rgb } from "./colours";

/** Relative luminance and contrast (WCAG 2.2, definitions). */
const luminance = (hex: string): number => {
  const [r, g, b] = rgb(hex).map((value) => {
    const share = value / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};

const css = readFileSync(join(__dirname, "..", "..", "app", "globals.css"), "utf8");
const themes = [":root {", '[data-theme="dusk"] {', '[data-theme="glare"] {'].map((head) => {
  const block = css.slice(css.indexOf(head), css.indexOf("}", css.indexOf(head)));
  return [
    head,
    Object.fromEntries([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6})/g)].map(([, name, value]) => [name, value])),
  ] as const;
});

test("black on white is 21:1 (WCAG 2.2)", () => {
  expect(contrast("#000000", "#ffffff")).toBeCloseTo(21, 10);
});

test.each(themes)(
  "%s borders of controls and thin marks have 3:1, text 4.5:1 (WCAG 2.2, 1.4.11 and 1.4.3)",
  (_, colours) => {
    for (const ground of ["paper", "paper-deep"]) {
      for (const name of ["edge", "ochre", "clay", "stone"])
        expect([name, contrast(colours[name]!, colours[ground]!) >= 3]).toEqual([name, true]);
      for (const name of ["ink", "ink-soft", "clay"])
        expect([name, contrast(colours[name]!, colours[ground]!) >= 4.5]).toEqual([name, true]);
    }
  },
);
