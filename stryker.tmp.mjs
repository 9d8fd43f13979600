import base from "./stryker.config.mjs";
export default { ...base, vitest: { configFile: "vitest.tmp.config.ts" }, mutate: (process.env["MUT"] ?? "").split(","), concurrency: 1, tempDirName: ".data/stryker-" + process.env["NAME"], thresholds: { high: 90, low: 85, break: 0 } };
