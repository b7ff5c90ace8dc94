import next from "eslint-config-next/core-web-vitals";
import typescript from "eslint-config-next/typescript";
import tseslint from "typescript-eslint";

const CODE = ["src/**/*.{ts,tsx}", "app/**/*.{ts,tsx}", "cli/**/*.ts", "scripts/**/*.ts", "e2e/**/*.ts", "proxy.ts"];
const TESTS = ["**/*.test.ts", "**/*.test.tsx", "e2e/**"];

/** Two words with a space between them: something said to somebody. */
const SAID = "/[A-Za-z]{2,} [a-z]{2,}/";
const WORDS_LEAVE = "The core gives data: words belong to src/words (docs/architecture.md).";

export default [
  {
    ignores: [
      ".next/**",
      "node_modules/**",
      "next-env.d.ts",
      "test-results/**",
      "playwright-report/**",
      ".shots/**",
      ".stryker-tmp/**",
      "reports/**",
      "coverage/**",
      // AssemblyScript, and what is compiled from it (scripts/kernel.mjs).
      "src/core/flow/kernel/**",
      "src/core/flow/kernel-bytes/**",
    ],
  },
  ...next,
  ...typescript,
  {
    // No React there, or none that ships: its rules, which compile each function, look in vain for it.
    files: [
      "src/{core,scenario,words,store,workers,standins,demo}/**/*.ts",
      "cli/**",
      "scripts/**",
      "e2e/**",
      "app/api/**",
      "**/*.test.tsx",
    ],
    rules: Object.fromEntries(
      next
        .flatMap(({ rules }) => Object.keys(rules ?? {}))
        .flatMap((rule) => (/^react/.test(rule) ? [[rule, "off"]] : [])),
    ),
  },
  { files: ["*.mjs"], rules: { "import/no-anonymous-default-export": "off" } },
  {
    rules: {
      "max-len": [
        "error",
        {
          code: 120,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreUrls: true,
          ignoreRegExpLiterals: true,
          // Text between the tags of a screen is wrapped by the formatter; long class lists are strings.
          ignorePattern: "^\\s*(className=|d=|<)|^import |^test\\(|^ +source=",
        },
      ],
    },
  },
  {
    // No promise without a handler, `void` included.
    files: CODE,
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { "@typescript-eslint": tseslint.plugin },
    rules: {
      "@typescript-eslint/no-floating-promises": ["error", { ignoreVoid: false }],
      "@typescript-eslint/no-misused-promises": "error",
      "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }],
    },
  },
  {
    files: CODE,
    // What waits beside the current is a table.
    ignores: [...TESTS, "scripts/**", "src/core/fish/species-ambush.ts"],
    rules: {
      "max-lines": ["error", { max: 350, skipBlankLines: true, skipComments: true }],
      complexity: ["error", { max: 22, variant: "modified" }],
      "max-params": ["error", 6],
      "no-console": "error",
    },
  },
  {
    // Screens are long in markup; the service worker is one function, since its text is what the browser gets.
    files: ["src/**/*.ts", "cli/**/*.ts"],
    ignores: [...TESTS, "src/offline/service-worker.ts"],
    rules: { "max-lines-per-function": ["error", { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ["src/**/*.tsx", "app/**/*.tsx"],
    ignores: TESTS,
    rules: {
      "max-lines-per-function": ["error", { max: 150 }],
      // A component of more than ten props is several.
      "no-restricted-syntax": [
        "error",
        {
          selector: "FunctionDeclaration[id.name=/^[A-Z]/] > ObjectPattern.params[properties.length>10]",
          message: "A component takes ten props at most.",
        },
      ],
    },
  },
  {
    // A live query keeps the answer to its last question: src/state/live-answer.ts does not.
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/state/live-answer.ts"],
    rules: {
      "no-restricted-imports": [
        "error",
        { name: "dexie-react-hooks", message: "Use useLiveAnswer (src/state/live-answer.ts)." },
      ],
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
  {
    // The core has no words: names of sources are data (provenance), and so is what files of others are written in.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "src/core/quantity/provenance.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: `Literal[value=${SAID}]:not(CallExpression[callee.name='sourced'] Literal):not(Property[key.name='source'] Literal):not(Property[key.name='names'] Literal)`,
          message: WORDS_LEAVE,
        },
        {
          selector: `TemplateElement[value.raw=${SAID}]:not(CallExpression[callee.name='sourced'] TemplateElement)`,
          message: WORDS_LEAVE,
        },
      ],
    },
  },
];
