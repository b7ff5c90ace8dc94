/** What is said of lies on solved rivers, held against the figures it stands beside. */
import { SPECIES } from "../../src/core/fish/species-list";
import type { Lie } from "../../src/core/fish/read";
import type { Light } from "../../src/core/gauge/light";
import type { Field } from "../../src/core/flow/grid";
import { solveSteady } from "../../src/core/flow/steady";
import { rasteriseReach } from "../../src/core/flow/rasterise";
import { DEMO_REACHES } from "../../src/demo/river";
import { livingFish, type SeasonChoice } from "../../src/scenario/fish";
import { readingRequest } from "../../src/scenario/reading";
import { readReach } from "../../src/scenario/read";
import { reasonText } from "../../src/words/reasons";
import { pick } from "./mutate";
import { type Part, taken } from "./part";

/** m3/s, and m: coarse, since words and figures are compared, and not flows. */
const FLOWS = [3.5, 6.8, 12, 20];
const CELL = 1;
const LIGHTS: readonly Light[] = ["day", "twilight", "night"];

const numbers = (text: string): number[] => [...text.matchAll(/\d+(?:\.\d+)?/g)].map(([one]) => Number(one));

/** What is wrong between the sentences of a lie, and its own figures; undefined when nothing is. */
function contradiction(lie: Lie, said: readonly string[], visibleDepth: number, feeds: boolean): string | undefined {
  const find = (pattern: RegExp) => said.find((one) => pattern.test(one)) ?? "";
  const [own, beside] = numbers(find(/at the fish/));
  const side = find(/slow side|fast side/);
  const food = find(/enters the reach/);
  const share = numbers(food)[0] ?? 0;
  const energy = find(/Feeding pays|costs more than the food/);
  const ambush = find(/^Slow beside fast/);
  const checks: Record<string, boolean> = {
    "told twice": new Set(said).size === said.length,
    "undefined or NaN": !/undefined|NaN|Infinity/.test(said.join(" ")),
    "one speed": said.filter((one) => /at the fish/.test(one)).length === 1,
    "slow side": !/slow side/.test(side) || own! <= beside!,
    "fast side": !/fast side/.test(side) || own! >= beside!,
    "food line": food === "" || /^The food line/.test(food) === share > 1,
    "little food": food === "" || /^Little food/.test(food) === share <= 0.7,
    energy: energy === "" || /^Feeding pays/.test(energy) === lie.score > 0,
    "times nothing": !/ 0(\.0)? ×/.test(energy),
    ambush: ambush === "" || numbers(ambush)[0]! > own!,
    "keep low": /keep low/.test(find(/visible to/)) === lie.depth < visibleDepth,
    "food of a fish that eats nothing": feeds || !/[Ff]ood|[Ff]eeding/.test(said.join(" ")),
    cover: !(/Little cover/.test(said.join(" ")) && /Cover overhead/.test(said.join(" "))),
  };
  const wrong = Object.entries(checks).find(([, well]) => !well);
  return wrong && `${wrong[0]}: ${said.join(" | ")}`;
}

export const sentences: Part = {
  name: "sentences of lies",
  share: 0.02,
  trial: () => {
    const solved = new Map<string, Field>();
    return (random) => {
      const reach = pick(DEMO_REACHES, random);
      const discharge = pick(FLOWS, random);
      const key = `${reach.id} ${discharge}`;
      const field =
        solved.get(key) ?? solveSteady(rasteriseReach(reach, CELL), { discharge, downstream: reach.downstream });
      solved.set(key, field);
      const species = pick(SPECIES, random);
      const season = pick<SeasonChoice>(["usual", ...(species.seasons ?? []).map(({ phase }) => phase)], random);
      const temperature = Math.round(1 + 25 * random());
      const visibleDepth = Math.round((0.2 + 3 * random()) * 10) / 10;
      const light = pick(LIGHTS, random);
      const fish = livingFish(species, season, { temperature, at: undefined }, undefined);
      const request = readingRequest(fish.species, { visibleDepth, temperature, light }, reach.features);
      const reading = readReach(field, request);
      const system = random() < 0.5 ? "metric" : "us";
      if (reading.lies.length > 0) taken.count++;
      const scene = `${reach.id}, ${discharge} m3/s, ${species.id} ${season}, ${temperature} C, ${visibleDepth} m, ${light}`;
      for (const lie of reading.lies) {
        const wrong = contradiction(
          lie,
          lie.reasons.map((reason) => reasonText(reason, system)),
          visibleDepth,
          fish.species.model !== "travel",
        );
        if (wrong) return `${scene}: ${wrong}`;
      }
      return undefined;
    };
  },
};
