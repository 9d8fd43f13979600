import { defineConfig } from "@playwright/test";
import { address } from "./tests/e2e/server";

/** It kills the database under everybody's feet, and wants it as it was seeded: before all others. */
const ALONE = /durability\.spec\.ts$/;
/** What every change must pass: nothing typed is lost, one whole loop, the first visit. The rest belongs to the proofs. */
const FIRST = /(outbox|tablets|loop|fast-path)\.spec\.ts$/;

export default defineConfig({
  testDir: "tests/e2e",
  projects: [
    { name: "alone", testMatch: ALONE },
    { name: "first", testMatch: FIRST, dependencies: ["alone"] },
    { name: "rest", testIgnore: [ALONE, FIRST] },
  ],
  maxFailures: 4,
  retries: 1, // what passes the second time is printed as flaky, and is to be looked at
  timeout: 180_000, // a busy machine is slow, not wrong
  expect: { timeout: 20_000 },
  reporter: [["list"]],
  outputDir: "test-results",
  use: {
    baseURL: address,
    actionTimeout: 30_000,
    timezoneId: process.env["DEMO_TIME_ZONE"], // a tablet in the studio
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "block", // a worker puts all files of the build on each new tablet: only where a connection is lost
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium-headless-shell",
      // as root in a container there is no sandbox to be had; the rest keeps it off a closed network
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
