import { defineConfig } from "vitest/config";

/** Tests that the mutants of one room must not survive: its own, and of limits those of the room that reads it. Flat: the runner knows no projects. */
const room = process.env["ROOM"] ?? "progress";
const rooms = room === "limits" ? "{limits,fit}" : room;

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
