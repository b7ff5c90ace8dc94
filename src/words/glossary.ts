/** The trade's words as this program uses them, and what each of its models knows and does not know. */

export const TERMS: readonly (readonly [term: string, meaning: string])[] = [
  ["Adipose fin", "The small fin before the tail; clipped off in many hatcheries, so that rules can tell fish apart."],
  ["Ambush", "Waiting in slow water beside fast, as bass, walleye and catfish do."],
  ["Bank-full", "A river up to the edge of its banks."],
  ["Blank", "Hours without a fish. They count as much as fish do: without them there is no rate."],
  [
    "Break",
    "Anything that stops the current: a stone, wood, a wall, a bar. Fish hold in its lee, some in the cushion above.",
  ],
  [
    "Cast and mend",
    "A mend lifts the bow of line that faster water has bellied, so that the float drifts freely again.",
  ],
  [
    "Clarity",
    "How deep the bed is seen: muddy, coloured, green, clear, gin-clear; told by the marks of a wader’s body.",
  ],
  ["Cushion", "The soft water in front of a stone, where the current splits."],
  ["Drop shot", "A hook on the line above the weight, so that the bait stays off the bottom."],
  ["Eddy", "Water that turns back behind a large break; food collects in it."],
  ["Exceeded so often", "The share of a season’s record at or above a flow: a low figure is a high river."],
  ["Feeding, resting, prime lie", "Food with some effort; shelter with little food; both."],
  ["Foam line", "Where drifting foam gathers, and drifting food with it."],
  ["Glass", "The barometer."],
  ["Head and tail of a pool", "Where the fast water drops in, and where it shallows again."],
  ["Held back", "A float checked a little, so that the bait runs ahead of it and is not dragged."],
  ["Ledge", "A step in the bed."],
  ["Lie", "A place where a fish would hold at this flow."],
  ["Limb", "Rising or falling: which side of a spate the river is on."],
  ["Prime", "The level coming down, and some colour still in. Neither alone is it."],
  ["Rest a spot", "Leave it alone for a while, so that fish there settle."],
  ["Riffle, run, pool", "Fast and thin; even and deeper; slow and deepest."],
  ["Rod-hour", "One rod fished for an hour: what rates are counted by."],
  ["Seam", "The line where fast water meets slow. Fish sit on its slow side and take from the fast."],
  ["Shot", "Small weights on the line; their grams decide, since names differ between countries."],
  ["Slot", "The deep water just below a riffle; as a rule: lengths between two limits that are protected."],
  ["Spate", "A rise after rain."],
  ["Spent", "Thin after spawning."],
  ["Stage", "The height of the water on the gauge."],
  ["Strike zone", "The water in which a fish takes what passes."],
  ["Tapering shot", "Heavier below the float, lighter to the hook: the bait runs ahead into the fish’s mouth."],
  ["Thread and knot", "A line of casts across the water before you, and one landing place on it."],
  ["Way", "One way to fish a lie: float, bottom drift, jig, plug and so on, each worked out and played."],
];

export const MODELS: readonly {
  name: string;
  knows: string;
  unknown: string;
}[] = [
  {
    name: "The river to come",
    knows:
      "What this river did from states like the present one, rain and all, over its own record; and how often such forecasts held.",
    unknown: "Tomorrow’s rain, a dam’s gates, ice, wood that moves. A record under half a year gives the fall alone.",
  },
  {
    name: "The flow of a reach",
    knows:
      "Depth and mean speed over the bed that was entered, at any flow, with eddies behind what stands in the water.",
    unknown:
      "What was not entered: stones, wood, a bed that has moved since. Speeds are means over the depth; eddies are less sure than depths.",
  },
  {
    name: "Where they hold",
    knows: "What the water offers a fish of that kind: food drifting by, effort, shelter, depth, light and warmth.",
    unknown:
      "Whether a fish is there, how it was fished yesterday, and what this river’s own fish prefer until your log says so.",
  },
  {
    name: "The rig in the water",
    knows: "How weights, lines and baits sink, drift and drag in that water, with the tackle that you own.",
    unknown: "Wind in gusts, weed on the hook, a line that is older than it looks.",
  },
  {
    name: "Wading",
    knows: "Depth times speed against the hydrographers’ limits, on the bed that was entered.",
    unknown: "Holes, slime, your footing, and what the river will do in an hour. Your eyes and a staff stand above it.",
  },
  {
    name: "Fish an hour",
    knows: "Your hours and fish, blanks included, with intervals that know that fish come in bunches.",
    unknown: "Why. What else was different on those days is in the figures too; hours that were not kept are not.",
  },
  {
    name: "Where to go",
    knows:
      "The river’s forecast, the light, the weather where a forecast of it is kept or you say what you expect, your rules and bands, the lies at such flows, and your log there; rules of the trade as weights that can be seen.",
    unknown:
      "What rain that has not fallen will do to the river, who fishes there already, the road. Its scores hold places against each other; they are no chances.",
  },
  {
    name: "Keep or release",
    knows: "The rules that you entered, and when.",
    unknown: "The law. The local authority’s rules and your licence stand above all of this.",
  },
];
