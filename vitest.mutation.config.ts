import { defineConfig } from "vitest/config";

/** Tests that mutants must not survive: those of the rooms that decide. Flat, for the mutation runner knows no projects. */
export default defineConfig({
  test: {
    pool: "threads",
    include: ["src/core/{limits,fit,dose,floor,progress,record,catalogue}/**/*.test.ts"],
  },
});
