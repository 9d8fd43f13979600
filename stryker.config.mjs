const room = process.env["ROOM"] ?? "progress";

/** npm run mutate, room by room: does any test see a broken line? Not part of npm test. */
const config = {
  testRunner: "vitest",
  plugins: ["@stryker-mutator/vitest-runner"],
  vitest: { configFile: "vitest.mutation.config.ts" },
  mutate: [
    room === "templates" ? "src/core/templates/{ask,read}.ts" : `src/core/${room}/**/*.ts`,
    "!**/*.{test,proof}.ts",
    "!**/*.fixture.ts",
    "!**/*.data.ts",
  ],
  tsconfigFile: "none", // nothing in it to rewrite, and the compiler no longer answers to scripts
  coverageAnalysis: "perTest",
  ignoreStatic: true,
  concurrency: 2,
  tempDirName: ".data/stryker",
  ignorePatterns: [".next", ".data", "docs"],
  reporters: ["clear-text"],
  clearTextReporter: { allowColor: false, logTests: false },
  thresholds: { high: 90, low: 85, break: 85 },
};

export default config;
