/** npm run mutate: does any test see a broken line? Not part of npm test. */
const config = {
  testRunner: "vitest",
  plugins: ["@stryker-mutator/vitest-runner"],
  vitest: { configFile: "vitest.mutation.config.ts" },
  mutate: ["src/core/{limits,fit,floor,progress,record}/**/*.ts", "src/core/templates/{ask,read}.ts", "!**/*.test.ts", "!**/*.fixture.ts"],
  coverageAnalysis: "perTest",
  concurrency: 2,
  tempDirName: ".data/stryker",
  ignorePatterns: [".next", ".data", "docs"],
  reporters: ["clear-text", "progress-append-only"],
  clearTextReporter: { allowColor: false, logTests: false },
  thresholds: { high: 90, low: 85, break: 85 },
};

export default config;
