import type { Words } from "./say";

/** What is said of a lure. Rules of the craft: common practice, no source. */
export const LURE: Words = {
  "colours-gin-clear": () => "Gin-clear water: natural, small, translucent; match what is under the stones.",
  "colours-clear": () => "Clear water: plain, dark and natural colours before bright ones.",
  "colours-green": () => "Some colour in the water: dark first for its outline, then one bright.",
  "colours-coloured": () => "Coloured water: dark, then loud; one bright part helps it to be found.",
  "colours-muddy": () => "Muddy water: loud contrast, scent and bulk; black or a bright that cannot be missed.",
  "daylight-on-clear": () => "Full daylight on clear water: the plainer end of the list first.",
  "low-light": () => "Low light: darker, with more outline.",
  "night-dark": () => "Night: an outline against the sky, and something that can be heard or smelt.",
  "school-dark-first": () => "Of the two schools for coloured water yours is dark first.",
  "school-bright-first": () => "Of the two schools for coloured water yours is bright straight away.",
  "school-later-dark-first": () => "If it colours up: dark first, as you have it.",
  "school-later-bright-first": () => "If it colours up: bright straight away, as you have it.",
  "cold-smaller": () => "Cold water slows them: smaller and slower.",
  "warm-larger": () => "Warm water, keen fish: a size up is worth a try.",
  "usual-size": () => "Middling water temperature: the usual size.",
  "phase-spawn": () => "Spawning time: leave them in peace; local close seasons stand.",
  "phase-after": () => "After spawning they are hungry: big for big fish.",
  "phase-summer": () => "High summer: a big bait sorts out the big ones.",
  "phase-staging": () => "Autumn: they group on the way to winter water; the usual size, near the bottom.",
  "phase-winter": () => "Winter: slow, near the bottom, and a soft bite.",
  "tough-smaller": (p) => `A hard day: a size down and darker first; when all that fails, big and ${p.last}.`,
  "prey-insects": (p) =>
    `Insects under the stones: ${p.dirty ? "matched in size, since little is seen" : "brown and natural first"}.`,
  "prey-crayfish": (p) =>
    `Crayfish seen: ${p.dirty ? "bumped along the bottom, whatever its colour" : "their colour first, and on the bottom"}.`,
  "prey-bait-fish": (p, say) =>
    `Bait fish seen: ${p.dirty ? "their size counts, their colour is hardly seen" : "their colour first"}${p.matched === undefined ? "" : `, and as long as they are: ${say.of(p.matched, "smallLength")}`}.`,
  "prey-worms": (p) => `Worms are about: ${p.dirty ? "a worm is what they expect after rain" : "brown and red"}.`,
  "prey-length-noted": (p, say) => `What they eat is ${say.of(p.length, "smallLength")} long: keep near that.`,
  "weed-weedless": () => "Weed: the point hidden in the body. Fewer are hooked than on an open hook.",
  "weed-open": () => "Weed, and this cannot be rigged weedless: fish it over the weed and beside it.",
  "snags-weedless": () => "Many snags: rigged weedless. Fewer are hooked than on an open hook.",
  "snags-open": () => "Many snags, and this cannot be rigged weedless: keep it off the bottom.",
  "snags-some": () => "Some snags: an open hook still, since it hooks more; carry spares.",
  "worm-smells": () => "A worm smells and moves where little can be seen.",
  "brights-attract-pike": () => "Bright ones attract pike besides: mind the leader.",
};
