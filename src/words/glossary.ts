/** The trade's words as this program uses them, and what each of its models knows and does not know. */

export const TERMS: readonly (readonly [term: string, meaning: string])[] = [
  [
    "Adipose fin",
    "The small fin in front of the tail. Many hatcheries clip it so anglers can tell their fish from wild ones.",
  ],
  ["Ambush", "Waiting in slow water beside fast water, as bass, walleye and catfish do."],
  ["Bank-full", "A river up to the top of its banks."],
  ["Blank", "Hours without a fish. Log them too: catch rates need them."],
  [
    "Break",
    "Anything that breaks the current: a stone, wood, a wall, a bar. Fish hold behind it, some in the cushion in front.",
  ],
  ["Cast and mend", "A mend lifts a belly of line upstream, so the float drifts freely again."],
  ["Clarity", "How deep you can see the bottom: muddy, coloured, green, clear or gin-clear, by marks on your body."],
  ["Cushion", "Soft water in front of a stone, where the current splits."],
  ["Drop shot", "A hook tied above the weight, so the bait stays off the bottom."],
  ["Eddy", "Water that turns back behind a large break. Food collects in it."],
  ["Exceedance", "How often the river is at or above a flow at this season. A low figure means a high river."],
  ["Feeding, resting, prime lie", "Feeding: food for some effort. Resting: shelter with little food. Prime: both."],
  ["Foam line", "A line of drifting foam. Drifting food collects in it too."],
  ["Barometer", "Air pressure and its trend."],
  ["Head and tail of a pool", "Head: where fast water drops in. Tail: where it gets shallow again."],
  ["Held back", "Slowing the float a little so the bait leads and isn’t dragged."],
  ["Ledge", "A step in the bottom."],
  ["Lie", "A place where a fish would hold at this flow."],
  ["Rising or falling limb", "Which side of a flood the river is on."],
  ["Prime", "The level is falling and some colour is left. You need both."],
  ["Rest a spot", "Leave it for a while so the fish settle."],
  ["Riffle, run, pool", "Riffle: fast and shallow. Run: even and deeper. Pool: slow and deepest."],
  ["Presentation", "How the line is fished: cast upstream, across or downstream, or straight down from a boat."],
  ["Purpose of a weight", "Just touch, down fast, hold, or slow fall. The size is chosen for it."],
  ["Retrieve", "What your hand does: drag, hop, snap, hold, steady, stop and go, swing, lift and drop, dead drift."],
  ["Rod-hour", "One rod fished for one hour. Catch rates are per rod-hour."],
  ["Seam", "Where fast water meets slow. Fish hold on the slow side and feed from the fast."],
  ["Shot", "Small weights on the line. Go by grams, as size names differ between countries."],
  ["Slot", "Deep water just below a riffle. In rules: a protected range of lengths."],
  ["Flood", "A rise after rain."],
  ["Spent", "Thin after spawning."],
  ["Stage", "The height of the water on the gauge."],
  ["Strike zone", "The water where a fish will take a passing lure."],
  ["Tapering shot", "Heavier near the float, lighter near the hook, so the bait leads."],
  ["Line and target", "A line of casts across the water, and one place to land on it."],
  ["Method", "One way to fish a lie: float, bottom drift, jig, plug and so on."],
];

export const MODELS: readonly {
  name: string;
  knows: string;
  unknown: string;
}[] = [
  {
    name: "River forecast",
    knows:
      "What this river did from states like today’s, at this hour and on this weekday, and how often such forecasts were right.",
    unknown:
      "Tomorrow’s rain, a dam off its usual hours, ice, or moving wood. With a record of a few weeks it only forecasts the fall.",
  },
  {
    name: "The flow of a reach",
    knows: "Depth and average speed over the bed you entered, at any flow, with eddies behind obstacles.",
    unknown:
      "Stones, wood or bed changes you didn’t enter. Speeds are averages over the depth. Eddies are less certain than depths.",
  },
  {
    name: "Where they hold",
    knows: "What the water offers that fish: drifting food, effort, shelter, depth, light and temperature.",
    unknown: "Whether a fish is there, or how hard the spot was fished. It learns your river’s fish from your log.",
  },
  {
    name: "The rig in the water",
    knows: "How weights, lines and baits sink, drift and drag in that water, with your tackle.",
    unknown: "Gusts of wind, weed on the hook, or a worn line.",
  },
  {
    name: "Wading",
    knows: "Depth times speed against hydrographers’ wading limits, on the bed you entered.",
    unknown: "Holes, slime, your footing, or the river in an hour. Trust your eyes and a wading staff first.",
  },
  {
    name: "Fish per hour",
    knows: "Your hours and fish, blanks included. Ranges allow for fish coming in bunches.",
    unknown: "Why. Anything else that differed on those days is in the figures too. Hours you didn’t log are not.",
  },
  {
    name: "Where to go",
    knows:
      "The river forecast, light, weather, your rules and flow bands, the lies at that flow, and your log there. You can see every weight.",
    unknown: "Future rain, other anglers, or the road. Scores compare places; they aren’t chances of a fish.",
  },
  {
    name: "Keep or release",
    knows: "The rules you entered, and when.",
    unknown: "The law. Local rules and your licence come first.",
  },
];
