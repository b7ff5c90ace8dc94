import next from "eslint-config-next/core-web-vitals";
import typescript from "eslint-config-next/typescript";

export default [
  { ignores: [".next/**", "node_modules/**", "next-env.d.ts", "test-results/**", "playwright-report/**", ".shots/**"] },
  ...next,
  ...typescript,
  { files: ["*.mjs"], rules: { "import/no-anonymous-default-export": "off" } },
  {
    files: ["**/*.ts", "**/*.tsx"],
    ignores: ["**/*.test.ts", "e2e/**", "scripts/**"],
    rules: {
      "max-lines": ["warn", { max: 500, skipBlankLines: true, skipComments: true }],
      "no-console": "error",
    },
  },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      // The core has no clock and no chance of its own: both are handed in.
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The core has no clock: take the instant as an argument." },
        { object: "Math", property: "random", message: "The core has no random source: take it as an argument." },
      ],
      "no-restricted-globals": [
        "error",
        "window",
        "document",
        "navigator",
        "localStorage",
        "indexedDB",
        "fetch",
        "process",
      ],
    },
  },
];
