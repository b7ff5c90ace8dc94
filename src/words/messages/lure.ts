import type { Words } from "./message-format";

/** What is said of a lure. Rules of the craft: common practice, no source. */
export const LURE: Words = {
  "colours-gin-clear": () => "Gin-clear water: small, natural, translucent. Match what lives under the stones.",
  "colours-clear": () => "Clear water: try plain, dark and natural colours before bright ones.",
  "colours-green": () => "Some colour: dark first for its outline, then one bright.",
  "colours-coloured": () => "Coloured water: dark, then loud. One bright part helps fish find it.",
  "colours-muddy": () => "Muddy water: contrast, scent and bulk. Use black, or a very bright colour.",
  "daylight-on-clear": () => "Full daylight on clear water: start with the plainer colours.",
  "low-light": () => "Low light: darker, with a stronger outline.",
  "night-dark": () => "Night: a dark outline, and something fish can hear or smell.",
  "school-dark-first": () => "Coloured water: dark first, as you set.",
  "school-bright-first": () => "Coloured water: bright first, as you set.",
  "school-later-dark-first": () => "If it colours up: dark first, as you set.",
  "school-later-bright-first": () => "If it colours up: bright first, as you set.",
  "cold-smaller": () => "Cold water slows them: go smaller and slower.",
  "warm-larger": () => "Warm water, keen fish: try a size up.",
  "usual-size": () => "Mild water: use the usual size.",
  "phase-spawn": () => "Spawning time: leave them alone, and follow local closed seasons.",
  "phase-after": () => "They are hungry after spawning: go big for big fish.",
  "phase-summer": () => "High summer: a big bait picks out big fish.",
  "phase-staging": () => "Autumn: they group on the way to winter water. Usual size, near the bottom.",
  "phase-winter": () => "Winter: slow, near the bottom. Expect soft bites.",
  "tough-smaller": (p) => `Tough day: go a size down and darker. If that fails, big and ${p.last}.`,
  "prey-insects": (p) =>
    `Insects under the stones: ${p.dirty ? "match the size; they see little else" : "start with brown and natural"}.`,
  "prey-crayfish": (p) =>
    `Crayfish seen: ${p.dirty ? "bump it along the bottom, any colour" : "start with their colour, on the bottom"}.`,
  "prey-bait-fish": (p, say) =>
    `Bait fish seen: ${p.dirty ? "match the size; colour hardly shows" : "start with their colour"}${p.matched === undefined ? "" : `, and as long as they are: ${say.of(p.matched, "smallLength")}`}.`,
  "prey-worms": (p) => `Worms are out: ${p.dirty ? "fish expect worms after rain" : "brown and red"}.`,
  "prey-length-noted": (p, say) => `Their food is ${say.of(p.length, "smallLength")} long: stay near that.`,
  "weed-weedless": () => "Weed: hide the hook point in the body. It hooks fewer fish than an open hook.",
  "weed-open": () => "Weed, and this can’t be rigged weedless: fish it over or beside the weed.",
  "snags-weedless": () => "Many snags: rig it weedless. It hooks fewer fish than an open hook.",
  "snags-open": () => "Many snags, and this can’t be rigged weedless: keep it off the bottom.",
  "hook-asked-weedless": () => "Weedless: your choice. Hidden, it takes a third of the snags and hooks fewer fish.",
  "hook-asked-open": () => "Open hook: your choice. It hooks more fish, and more snags.",
  "snags-some": () => "Some snags: keep the open hook, as it hooks more fish. Carry spares.",
  "worm-smells": () => "A worm smells and moves where little can be seen.",
  "brights-attract-pike": () => "Bright lures attract pike too: check your leader.",
};
