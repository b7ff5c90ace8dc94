/** The dependency rules (docs/architecture.md): each module may use only the modules named before it. */

/** Modules of the core, lowest first. */
const CORE = [
  "quantity",
  "gauge",
  "flow",
  "trace",
  "water",
  "film",
  "fish",
  "approach",
  "tactics",
  "rig",
  "book",
  "plan",
  "drills",
  "formats",
];

/** Floors above the core: what each may use. */
const LAYERS = {
  "src/words": ["src/core"],
  "src/scenario": ["src/core"],
  "src/workers": ["src/core", "src/scenario"],
  "src/store": ["src/core", "src/scenario", "src/workers"],
  "src/standins": ["src/core"],
  "src/demo": ["src/core", "src/standins"],
  "src/widgets": ["src/core", "src/words", "src/workers"],
  "src/state": [
    "src/core",
    "src/words",
    "src/scenario",
    "src/workers",
    "src/store",
    "src/standins",
    "src/demo",
    "src/widgets",
  ],
  "src/stations": [
    "src/core",
    "src/words",
    "src/scenario",
    "src/workers",
    "src/store",
    "src/standins",
    "src/demo",
    "src/widgets",
    "src/state",
  ],
  "src/offline": [],
  "src/testing": ["src/core"],
  app: ["src/core", "src/standins", "src/demo", "src/offline", "src/stations", "src/state", "src/widgets", "src/words"],
  cli: ["src/core", "src/scenario", "src/words", "scripts"],
};

const NO_TEST = "\\.test\\.tsx?$";

const moduleRule = (name, allowed) => ({
  name: `${name.replaceAll("/", "-")}-looks-only-down`,
  severity: "error",
  from: { path: `^${name}/`, pathNot: NO_TEST },
  to: { path: "^(src|app|cli|e2e|scripts)/", pathNot: `^(${[name, ...allowed].join("|")})(/|$)|\\.d\\.ts$` },
});

module.exports = {
  forbidden: [
    ...CORE.map((name, k) =>
      moduleRule(
        `src/core/${name}`,
        CORE.slice(0, k).map((below) => `src/core/${below}`),
      ),
    ),
    ...Object.entries(LAYERS).map(([name, allowed]) => moduleRule(name, allowed)),
    {
      name: "core-is-in-modules",
      severity: "error",
      from: { path: "^src/core/", pathNot: `^src/core/(${CORE.join("|")})/` },
      to: {},
    },
    {
      name: "core-is-plain",
      severity: "error",
      from: { path: "^src/core/", pathNot: NO_TEST },
      to: { path: "^(node:|node_modules/(react|next|dexie|radix-ui|comlink|chart\\.js))" },
    },
    {
      name: "core-has-no-node",
      severity: "error",
      from: { path: "^src/core/", pathNot: NO_TEST },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "testing-is-for-tests",
      severity: "error",
      from: { path: "^(src|app|cli)/", pathNot: `^src/testing/|${NO_TEST}` },
      to: { path: "^src/testing/" },
    },
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\.next|node_modules/.*/node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "require", "node", "default"] },
  },
};
