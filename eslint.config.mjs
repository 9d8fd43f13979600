import next from "eslint-config-next/core-web-vitals";
import { defineConfig, globalIgnores } from "eslint/config";
import tseslint from "typescript-eslint";

/** Layers: core <- nothing; each list says what a folder must not import. */
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
const outer = (...layers) => layers.flatMap((layer) => [`@/${layer}/**`, `**/${layer}/**`]);

export default defineConfig([
  globalIgnores([".next/**", ".data/**", "node_modules/**", "next-env.d.ts", "scripts/**", "playwright-report/**", "test-results/**"]),
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
  { files: ["**/*.data.ts", "**/*.test.ts", "tests/**"], rules: { "max-lines": "off" } },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "Date", "process", "fetch", "window", "document"],
      "no-restricted-properties": ["error", { object: "Math", property: "random" }],
    },
  },
  {
    ...forbid(
      ["src/core/**/*.ts"],
      [...FRAMEWORKS, ...outer("data", "ui", "app", "server", "actions", "workers", "schemas")],
      "the core imports nothing outside itself",
    ),
    ignores: ["**/*.test.ts"],
  },
  forbid(["src/schemas/**/*.ts"], outer("data", "ui", "app", "server", "actions", "workers"), "schemas know the core only"),
  forbid(["src/data/**/*.ts"], outer("ui", "app", "server", "actions", "workers"), "data knows core and schemas only"),
  forbid(["src/workers/**/*.ts"], outer("data", "ui", "app", "server", "actions"), "workers know the core only"),
  forbid(["src/ui/**/*.ts", "src/ui/**/*.tsx"], outer("data", "app", "server"), "ui gets plain data; it does not fetch it"),
  forbid(["cli/**/*.ts"], outer("data", "ui", "app", "server", "actions", "workers"), "the command line knows core and schemas only"),
]);
