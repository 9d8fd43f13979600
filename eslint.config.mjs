import next from "eslint-config-next/core-web-vitals";
import { defineConfig, globalIgnores } from "eslint/config";
import tseslint from "typescript-eslint";

/** Each list says what a folder must not import. */
const forbid = (files, patterns, message) => ({
  files,
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
  "catalogue",
  "school",
  "limits",
  "screen",
  "assess",
  "fit",
  "dose",
  "floor",
  "progress",
  "week",
  "session",
  "record",
];
const REACT_RULES = next.flatMap(({ rules = {} }) => Object.keys(rules)).filter((rule) => rule.startsWith("react"));
const LAYERS = ["data", "ui", "app", "server", "actions", "workers", "schemas"];
const outer = (...layers) => layers.flatMap((layer) => [`@/${layer}/**`, `**/${layer}/**`]);

export default defineConfig([
  globalIgnores([
    ".next/**",
    "public/**",
    ".data/**",
    "node_modules/**",
    "next-env.d.ts",
    "scripts/**",
    "playwright-report/**",
    "test-results/**",
  ]),
  ...next,
  ...tseslint.configs.recommended,
  {
    files: ["**/*.ts", "**/*.tsx"],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      "@typescript-eslint/switch-exhaustiveness-check": ["error", { considerDefaultExhaustiveForUnions: true }],
      "@typescript-eslint/no-floating-promises": "error",
      "@typescript-eslint/only-throw-error": "error",
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", ignoreRestSiblings: true }],
      "max-lines": ["warn", { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  // where there is no React its rules, which compile every function to look at it, have nothing to find
  {
    files: ["{cli,tests}/**", "src/{core,data,formats,schemas,server,workers}/**"],
    rules: Object.fromEntries(REACT_RULES.map((rule) => [rule, "off"])),
  },
  { files: ["**/*.data.ts", "**/*.test.ts", "tests/**"], rules: { "max-lines": "off" } },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "Date", "process", "fetch", "window", "document"],
      "no-restricted-properties": ["error", { object: "Math", property: "random" }],
    },
  },
  // the core's rooms in order: each knows those before it and no other
  ...CORE.map((room, i) => ({
    ...forbid(
      [`src/core/${room}/**/*.ts`],
      [...FRAMEWORKS, ...outer(...LAYERS), ...CORE.slice(i + 1).map((later) => `**/${later}/**`)],
      `${room} knows only ${CORE.slice(0, i).join(", ") || "itself"}`,
    ),
    ignores: ["**/*.test.ts", "**/*.fixture.ts"],
  })),
  forbid(["src/schemas/**/*.ts"], outer("data", "ui", "app", "server", "actions", "workers"), "schemas know the core only"),
  forbid(["src/data/**/*.ts"], outer("ui", "app", "server", "actions", "workers"), "data knows core and schemas only"),
  forbid(["src/workers/**/*.ts"], outer("data", "ui", "app", "server", "actions"), "workers know the core only"),
  forbid(["src/server/**/*.ts"], outer("ui", "app", "actions", "workers"), "the server knows data, schemas and core"),
  {
    ...forbid(
      ["src/ui/**/*.ts", "src/ui/**/*.tsx"],
      [...outer("data", "app", "server"), "next/link"],
      "ui gets plain data and does not fetch it; links are kit/link's",
    ),
    ignores: ["src/ui/kit/link.tsx"],
  },
  forbid(["src/app/**/*.tsx"], ["next/link"], "links are ui/kit/link's: they ask for nothing until they are followed"),
  forbid(["cli/**/*.ts"], outer("data", "ui", "app", "server", "actions", "workers"), "the command line knows core and schemas only"),
]);
