import { adviseRig } from "../core/rig/advise";
import { METHODS } from "../core/tactics/methods";
import { METHOD } from "../core/tactics/methods";
import { methodWords } from "./methods";
import { RETRIEVE_SENTENCES } from "./retrieve-sentences";

test("the card tells the hand what was chosen, for every method and retrieve, and nothing else", () => {
  for (const method of METHODS)
    for (const retrieve of METHOD[method].retrieves) {
      const advice = adviseRig({
        method,
        species: "walleye",
        water: { depth: 2, meanSpeed: 0.4, bedRoughness: 0.1, visibleDepth: 1, temperature: 13 },
        style: { retrieve },
      });
      expect(advice.retrieveKind).toBe(retrieve);
      const { sentence } = methodWords(advice).hand(advice, { mends: 1 }, "from-below");
      const told = Object.entries(RETRIEVE_SENTENCES)
        .filter(([, text]) => sentence.includes(text))
        .map(([kind]) => kind);
      // The method's own is told by what is done anyway: a mend, or turns of the reel.
      expect([method, retrieve, told.every((one) => one === retrieve)]).toEqual([method, retrieve, true]);
      if (retrieve !== METHOD[method].retrieves[0]) expect([method, told]).toEqual([method, [retrieve]]);
    }
});
