import { defineConfig } from "vitest/config";

/** Tests that the mutants of one room must not survive: its own, and of some those of the room that reads it. Flat: the runner knows no projects. */
const room = process.env["ROOM"] ?? "progress";
const READ_BY: Readonly<Record<string, string>> = {
  limits: "{limits,judge}",
  kit: "{kit,progressions}",
  judge: "{judge,progressions}",
  progressions: "{judge,progressions}",
};
const rooms = READ_BY[room] ?? room;

/** Rules of a room that a published check alone sees. */
const PUBLISHED: Readonly<Record<string, readonly string[]>> = {
  assess: ["tests/published/measures.test.ts"],
  week: ["tests/published/strength.test.ts"],
};

export default defineConfig({
  test: {
    pool: "threads",
    // a busy machine is slow, not wrong
    testTimeout: 60_000,
    include: [`src/core/${rooms}/**/*.test.ts`, ...(PUBLISHED[room] ?? [])],
  },
});
