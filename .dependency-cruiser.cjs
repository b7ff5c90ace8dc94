/** The arrows of the house (docs/architecture.md): each room may use only the rooms below it. */
const room = (name, allowed) => ({
  name: `${name}-looks-only-down`,
  severity: "error",
  from: { path: `^${name}/`, pathNot: "\\.test\\.ts$" },
  to: { path: "^(src|app|cli|e2e|scripts)/", pathNot: `^(${[name, ...allowed].join("|")})(/|$)|\\.d\\.ts$` },
});

module.exports = {
  forbidden: [
    room("src/core", []),
    room("src/workers", ["src/core"]),
    room("src/store", ["src/core"]),
    room("src/standins", ["src/core"]),
    room("src/demo", ["src/core", "src/standins"]),
    room("src/ui", ["src/core", "src/workers", "src/store", "src/standins", "src/demo"]),
    room("src/stations", ["src/core", "src/workers", "src/store", "src/standins", "src/demo", "src/ui"]),
    room("app", ["src/core", "src/standins", "src/stations", "src/ui"]),
    room("cli", ["src/core", "scripts"]),
    {
      name: "core-is-plain",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { path: "^(node:|node_modules/(react|next|dexie|radix-ui|comlink|chart\\.js))" },
    },
    {
      name: "core-has-no-node",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "no-circles",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\.next|node_modules/.*/node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "require", "node", "default"] },
  },
};
