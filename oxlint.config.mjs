import { defineConfig } from "oxlint";

/** Each list says what a folder must not import. */
const forbid = (files, patterns, message, excludeFiles = []) => ({
  files,
  excludeFiles,
  rules: { "no-restricted-imports": ["error", { patterns: [{ group: patterns, message }] }] },
});
const FRAMEWORKS = [
  "next",
  "next/*",
  "react",
  "react-*",
  "styled-components",
  "@mikro-orm/*",
  "pg",
  "joi",
  "node:*",
  "pino",
  "better-auth*",
];
const CORE = [
  "numeric",
  "body",
  "standards",
  "mechanics",
  "templates",
  "kit",
  "catalogue",
  "approach",
  "limits",
  "screen",
  "assess",
  "judge",
  "progressions",
  "dose",
  "floor",
  "progress",
  "week",
  "session",
  "record/facts",
  "record/standing",
  "record/gate",
  "record/programme",
  "studio",
];
const LAYERS = ["formats", "schemas", "words", "data", "steps", "demo", "server", "actions", "workers", "outbox", "ui", "app"];
const outer = (...layers) => layers.flatMap((layer) => [`@/${layer}/**`, `**/${layer}/**`]);
const TESTS = ["**/*.{test,proof}.ts", "**/*.fixture.ts"];

/** The rules of the house. What needs the types asks them of the compiler (`--type-aware`). */
export default defineConfig({
  plugins: ["eslint", "typescript", "unicorn", "oxc", "react", "nextjs", "jsx-a11y", "import"],
  categories: { correctness: "error" },
  ignorePatterns: [".next/**", "public/**", ".data/**", "next-env.d.ts", "scripts/**", "playwright-report/**", "test-results/**"],
  rules: {
    "jsx-a11y/prefer-tag-over-role": "off", // drawings and groups of buttons, which have no element of their own
    "unicorn/no-thenable": "off", // what follows a condition of a schema is called so
    "unicorn/no-new-array": "off",
    "jsx-a11y/no-autofocus": "off", // a field that a tap has just opened
    "jsx-a11y/no-noninteractive-tabindex": "off", // what scrolls can be reached by keys
    "typescript/no-misused-spread": "off", // texts are of digits and letters where they are taken apart
    "typescript/no-meaningless-void-operator": "off",
    "no-control-regex": "off",
    "no-empty-pattern": "off", // a fixture of a browser test that needs no other
    "nextjs/no-html-link-for-pages": "off", // what is left to plain links is a file
    "typescript/unbound-method": "off",
    "no-unused-vars": ["error", { argsIgnorePattern: "^_", ignoreRestSiblings: true }],
    "max-lines": ["error", { max: 300, skipBlankLines: true, skipComments: true }],
    "typescript/no-explicit-any": "error",
    "typescript/switch-exhaustiveness-check": ["error", { considerDefaultExhaustiveForUnions: true }],
    "typescript/no-floating-promises": "error",
    "typescript/only-throw-error": "error",
    "typescript/consistent-type-imports": "error",
    "react/rules-of-hooks": "error",
    "react/exhaustive-deps": "error",
    "react/immutability": "error",
    "react/purity": "error",
    "react/refs": "error",
    "react/set-state-in-effect": "error",
    "react/set-state-in-render": "error",
  },
  overrides: [
    { files: ["**/*.data.ts", "**/*.{test,proof}.ts", "tests/**"], rules: { "max-lines": "off" } },
    {
      files: ["src/core/**/*.ts"],
      excludeFiles: ["**/*.{test,proof}.ts"],
      rules: {
        "no-restricted-globals": ["error", "Date", "process", "fetch", "window", "document"],
        "no-restricted-properties": ["error", { object: "Math", property: "random" }],
      },
    },
    // the core's rooms in order: each knows those before it and no other
    ...CORE.map((room, i) =>
      forbid(
        [`src/core/${room}/**/*.ts`],
        [...FRAMEWORKS, ...outer(...LAYERS), ...CORE.slice(i + 1).map((later) => `**/${later.split("/").at(-1)}/**`)],
        `${room} knows only ${CORE.slice(0, i).join(", ") || "itself"}`,
        TESTS,
      ),
    ),
    forbid(["src/formats/**/*.ts"], outer(...LAYERS.slice(1)), "formats know the core only", TESTS),
    forbid(["src/schemas/**/*.ts"], outer(...LAYERS.slice(2)), "schemas know core and formats only", TESTS),
    forbid(["src/words/**/*.ts"], outer(...LAYERS.slice(3)), "words know what they are about, and nothing that shows or keeps it", TESTS),
    forbid(
      ["src/data/**/*.ts"],
      outer("words", "steps", "demo", "server", "actions", "workers", "ui", "app"),
      "data knows core, formats and schemas",
      TESTS,
    ),
    forbid(["src/steps/**/*.ts"], outer("words", "demo", "server", "actions", "workers", "ui", "app"), "steps know core and data", TESTS),
    forbid(
      ["src/demo/**/*.ts"],
      outer("words", "server", "actions", "workers", "outbox", "ui", "app"),
      "the demo is told by steps, and knows what they know",
    ),
    forbid(["src/server/**/*.ts"], outer("ui", "app", "actions", "workers"), "the server knows steps, data, words and core"),
    forbid(["src/workers/**/*.ts"], outer("data", "steps", "ui", "app", "server", "actions"), "workers know the core only"),
    forbid(
      ["src/outbox/**/*.ts"],
      outer("schemas", "words", "data", "steps", "demo", "server", "actions", "workers", "ui", "app"),
      "the way to the studio knows the core alone",
      TESTS,
    ),
    forbid(
      ["src/ui/**/*.ts", "src/ui/**/*.tsx"],
      [...outer("data", "steps", "app", "server"), "next/link"],
      "ui gets plain data and does not fetch it; links are kit/link's",
      ["src/ui/kit/link.tsx"],
    ),
    forbid(["src/app/**/*.tsx"], ["next/link"], "links are ui/kit/link's: they ask for nothing until they are followed"),
    forbid(
      ["cli/**/*.ts"],
      outer("data", "steps", "ui", "app", "server", "actions", "workers"),
      "the command line knows core and schemas only",
    ),
  ],
});
