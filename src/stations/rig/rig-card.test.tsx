import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import { speciesById } from "../../core/fish/species";
import { adviseRig } from "../../core/rig/advise";
import type { RigRequest } from "../../core/rig/request";
import { nextChanges } from "../../core/rig/next-changes";
import { METHODS } from "../../core/tactics/methods";
import { sideWords } from "./side-view";
import { RigCard } from "./rig-card";

const request = {
  method: "float" as const,
  species: "brown-trout",
  water: { depth: 1.2, meanSpeed: 0.4, visibleDepth: 0.3, temperature: 10 },
};
const card = (asked: RigRequest, system: "metric" | "us" = "metric") => {
  const advice = adviseRig(asked);
  render(
    <RigCard
      advice={advice}
      cast={["From below: 9.0 m of cast."]}
      changes={nextChanges(advice)}
      second="Spinner, up: 1.9 turns a second"
      system={system}
    />,
  );
  return advice;
};

test("the card says what the advice says: setting, lure, colours in order, every shot, in the order of the hand", () => {
  const advice = adviseRig(request);
  card(request);
  expect(screen.getByTestId("setting")).toHaveTextContent(`${advice.setting.toFixed(2)}m`);
  const colours = within(screen.getByRole("list", { name: "Colours, best first" })).getAllByRole("listitem");
  expect(colours.map((one) => one.textContent)).toEqual(advice.lure.colours.slice(0, 4));
  const shot = within(screen.getByRole("list", { name: "Shot on the line, from the float" })).getAllByRole("listitem");
  expect(shot).toHaveLength(advice.shot.length);
  shot.forEach((row, k) => {
    const { count, size, below } = advice.shot[k]!;
    expect(row).toHaveTextContent(`${count} of ${size}`);
    expect(row).toHaveTextContent(`${below.toFixed(2)} m under the float`);
  });
  expect(screen.getAllByRole("heading").map((one) => one.textContent)).toEqual([
    "Worm",
    expect.stringMatching(/^Shot, tapered/),
    "Cast",
    "If nothing bites",
  ]);
});

test("the sentence of the float comes from the solved bait: held, trailing by so much, so far off the bed", () => {
  const advice = card({ ...request, style: { holdBack: 0.2 } });
  const text = document.body.textContent!;
  expect(text).toContain("Hold back to 80 % of the surface speed");
  if (advice.method !== "float") throw new Error("a float");
  expect(text).toContain(`${advice.lead > 0 ? "leads" : "trails"} by ${Math.abs(advice.lead).toFixed(2)} m`);
  expect(text).toContain(`${advice.baitHeight.toFixed(2)} m off the bottom`);
});

test("in US units, and with the caution of a fish in water too warm for it before everything else", () => {
  const advice = card({ ...request, water: { ...request.water, temperature: 30 } }, "us");
  if (advice.method !== "float") throw new Error("a float");
  expect(screen.getByTestId("setting")).toHaveTextContent(`${(advice.setting / 0.3048).toFixed(1)}ft`);
  const first = screen.getByLabelText("Rig card").firstChild!;
  expect(first.textContent).toMatch(/^▲ 86 °F: leave brown trout alone/);
});

test("nobody is told to take off the only shot: where it touches too much the leader is lengthened", () => {
  const at = (meanSpeed: number) =>
    adviseRig({ method: "drift", species: "brown-trout", water: { ...request.water, depth: 1, meanSpeed } });
  const [slow, strong] = [at(0.15), at(0.9)];
  expect([slow.pieces, slow.touchFraction > 0.6]).toEqual([1, true]);
  expect(nextChanges(slow).map(({ code }) => code)).toContain("try-longer-leader");
  expect(strong.touchFraction).toBeLessThan(0.6);
  expect(nextChanges(strong).map(({ code }) => code)).toContain("try-shot-more");
});

test.each(METHODS)("%s has its figure, its changes in the order of the trade, and a picture in words", (method) => {
  const species = method === "dead-bait" || method === "sinker" ? "channel-catfish" : "walleye";
  const asked = { ...request, method, species, water: { ...request.water, depth: 2, visibleDepth: 1 } };
  const advice = card(asked);
  expect(screen.getByTestId("setting").textContent).not.toMatch(/NaN|undefined/);
  expect(screen.getByTestId("setting").textContent!.length).toBeGreaterThan(1);
  const changes = nextChanges(advice);
  expect(changes.length).toBeGreaterThan(0);
  expect(changes.length).toBeLessThanOrEqual(4);
  const shown = screen.getAllByRole("list").find((one) => one.textContent!.startsWith("1. "))!;
  expect(within(shown).getAllByRole("listitem")).toHaveLength(Math.min(3, changes.length));
  if (advice.lure.colours.length > 1) expect(changes[0]!.code).toBe("try-colour");
  expect(sideWords({ depth: 2 }, advice, "metric")).toMatch(/^Side view: 2\.00 m of water, \w/);
  expect(speciesById(species).id).toBe(species);
});
