import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  resolve: { alias: { "@": at("./src"), "server-only": at("./tests/empty.ts") } },
  test: {
    // A busy machine is slow, not wrong: what hangs is still caught.
    testTimeout: 30_000,
    // Modules are read once for all files of a worker: nothing here replaces a module, and what a test sets it sets back.
    isolate: false,
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          include: ["src/**/*.test.ts", "cli/**/*.test.ts", "tests/simulate/**/*.test.ts"],
          exclude: ["src/{data,steps,demo}/**"],
        },
      },
      // what takes its time: many clients, every position of every approach (npm run proofs)
      { extends: true, test: { name: "proofs", include: ["{src/core,tests}/**/*.proof.ts"] } },
      { extends: true, test: { name: "published", include: ["tests/published/**/*.test.ts"] } },
      // on the demo's own database (scripts/test.mjs)
      { extends: true, test: { name: "demo", include: ["tests/demo/**/*.test.ts"], testTimeout: 180_000 } },
      {
        extends: true,
        test: { name: "database", include: ["src/{data,steps,demo}/**/*.test.ts"], fileParallelism: false, hookTimeout: 60_000 },
      },
    ],
  },
});
