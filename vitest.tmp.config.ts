import { defineConfig } from "vitest/config";
export default defineConfig({ test: { pool: "threads", include: (process.env["INC"] ?? "").split(",") } });
